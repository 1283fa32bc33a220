<?php

declare(strict_types=1);

namespace Olvek\Account;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

final class SignInController extends AbstractController
{
    /** Sign-in name of the keeper whose shelf the demo opens. */
    public const DEMO_KEEPER = 'ferry-landing';

    #[Route('/sign-in', name: 'account_sign_in', methods: ['GET', 'POST'])]
    public function signIn(AuthenticationUtils $last, Picture $picture): Response
    {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('shelf');
        }
        $error = $last->getLastAuthenticationError();

        return $this->render('account/sign_in.html.twig', ['name' => $last->getLastUsername(), 'error' => $error, 'section' => $picture->section()],
            new Response(status: null === $error ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    #[Route('/demo', name: 'account_demo', methods: ['POST'])]
    public function demo(Request $request, Security $security, KeeperRepository $keepers, #[Autowire('%olvek.demo%')] bool $demo): Response
    {
        $keeper = $demo ? $keepers->named(self::DEMO_KEEPER) : null;
        if (null === $keeper) {
            throw $this->createNotFoundException();
        }
        if (!$this->isCsrfTokenValid('demo', $request->request->getString('_token'))) {
            return $this->redirectToRoute('account_sign_in');
        }
        $security->login($keeper, 'form_login', 'main');

        return $this->redirectToRoute('shelf');
    }
}
