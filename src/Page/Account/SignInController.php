<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\Registration;
use Olvek\Service\Drawing\Picture;
use Olvek\Service\Site\FormToken;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAccountStatusException;
use Symfony\Component\Security\Core\Exception\InvalidCsrfTokenException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

final class SignInController extends AbstractController
{
    #[Route('/sign-in', name: 'account_sign_in', methods: ['GET', 'POST'])]
    public function signIn(
        Request $request,
        Picture $picture,
        #[Autowire('%env(enum:Olvek\Service\Account\Registration:OLVEK_REGISTRATION)%')] Registration $registration,
    ): Response {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('shelf');
        }
        $error = $request->attributes->get(SecurityRequestAttributes::AUTHENTICATION_ERROR);
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME);
        $throttled = $error instanceof TooManyLoginAttemptsAuthenticationException;
        $response = new Response(
            status: $throttled
                ? Response::HTTP_TOO_MANY_REQUESTS
                : (null === $error
                    ? Response::HTTP_OK
                    : Response::HTTP_UNPROCESSABLE_ENTITY),
            headers: $throttled ? ['Retry-After' => '60'] : [],
        );

        return $this->render(
            'account/sign_in.html.twig',
            [
                'name' => \is_string($name) ? $name : '',
                'fault' => self::fault($error),
                'section' => $picture->section(),
                'registration' => $registration,
                'to' => SamePage::orHome(
                    $request->isMethod('POST') ? $request->request->getString('_target_path', '/') : $request->query->getString('to', '/'),
                ),
            ],
            $response,
        );
    }

    private static function fault(mixed $error): string
    {
        return match (true) {
            null === $error => '',
            $error instanceof TooManyLoginAttemptsAuthenticationException => 'Those were too many tries in a row. Wait a minute, then try '
                .'again.',
            $error instanceof InvalidCsrfTokenException => 'This page has expired. Nothing is lost: sign in again.',
            $error instanceof CustomUserMessageAccountStatusException => $error->getMessageKey(),
            default => 'This name and password do not go together. Check both and try again.',
        };
    }

    #[IsCsrfTokenValid(FormToken::ID)]
    #[Route('/demo', name: 'account_demo', methods: ['POST'])]
    public function demo(Request $request, Security $security, KeeperRepository $keepers, #[Autowire('%olvek.demo%')] bool $demo): Response
    {
        $keeper = $demo ? $keepers->named(Keeper::DEMO) : null;
        if (null === $keeper) {
            throw $this->createNotFoundException();
        }
        $security->login($keeper, 'form_login', 'main');

        return $this->redirectToRoute('shelf');
    }
}
