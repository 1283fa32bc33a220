<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Invitations;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\PasswordRule;
use Olvek\Service\Account\Registration;
use Olvek\Service\Site\FormToken;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** Becoming a keeper by oneself, where whoever runs Olvek allows it. */
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class RegisterController extends AbstractController
{
    public function __construct(
        #[Autowire('%env(enum:Olvek\Service\Account\Registration:OLVEK_REGISTRATION)%')] private readonly Registration $registration,
        private readonly Invitations $invitations,
        private readonly KeeperRepository $keepers,
        private readonly EntityManagerInterface $entities,
        #[Autowire(service: 'limiter.register')] private readonly RateLimiterFactory $often,
    ) {
    }

    #[Route(
        '/register/{code}',
        name: 'account_register',
        requirements: ['code' => Invitations::CODE],
        defaults: ['code' => null],
        methods: ['GET', 'POST'],
    ),]
    public function register(Request $request, ?string $code, Security $security): Response
    {
        $invitation = null === $code ? null : $this->invitations->find($code);
        $mayCome = match ($this->registration) {
            Registration::Open => null === $code || null !== $invitation,
            Registration::Invite => null !== $invitation,
            Registration::Closed => false,
        };
        if (!$mayCome) {
            return $this->render(
                'account/closed.html.twig',
                ['words' => $this->registration->words(), 'spent' => null !== $code && Registration::Closed !== $this->registration],
                new Response(status: Response::HTTP_NOT_FOUND),
            );
        }
        $typed = ['name' => mb_scrub($request->request->getString('name')), 'display' => mb_scrub($request->request->getString('display'))];
        if (!$request->isMethod('POST')) {
            return $this->form($typed, $code, '');
        }
        if ($request->request->getString('password') !== $request->request->getString('again')) {
            return $this->form($typed, $code, 'The two passwords are not the same. Type both again.');
        }
        try {
            // Typing errors are found, and the password hashed, before anything is counted or locked.
            $keeper = $this->keepers->prepare($typed['name'], $typed['display'], $request->request->getString('password'));
            if (!$this->often->create((string) $request->getClientIp())->consume()->isAccepted()) {
                return $this->form(
                    $typed,
                    $code,
                    'Many accounts were created from your network in the last hour. Try again later.',
                    Response::HTTP_TOO_MANY_REQUESTS,
                );
            }
            $this->entities->wrapInTransaction(function () use ($keeper, $invitation): void {
                if (null !== $invitation && !$this->invitations->take($invitation)) {
                    throw new \InvalidArgumentException('This invitation has just been used. Ask for another.');
                }
                $this->keepers->add($keeper);
            });
        } catch (\InvalidArgumentException $refused) {
            return $this->form($typed, $code, $refused->getMessage());
        }
        $security->login($keeper, 'form_login', 'main');

        return $this->redirectToRoute('shelf', [], Response::HTTP_SEE_OTHER);
    }

    /** @param array{name: string, display: string} $typed */
    private function form(array $typed, ?string $code, string $fault, int $status = Response::HTTP_UNPROCESSABLE_ENTITY): Response
    {
        return $this->render(
            'account/register.html.twig',
            ['typed' => $typed, 'code' => $code, 'fault' => $fault, 'least' => PasswordRule::LEAST],
            new Response(status: '' === $fault ? Response::HTTP_OK : $status),
        );
    }
}
