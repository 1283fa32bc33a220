<?php

declare(strict_types=1);

namespace Olvek\Page\Settings;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\PasswordRule;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holdings;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** What a keeper decides about the account: name, units, time zone, password, where one is signed in, and what is removed. */
#[Route('/account')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class AccountController extends AbstractController
{
    private const WRONG = 'That is not your password, so nothing was changed.';

    public function __construct(
        private readonly KeeperRepository $keepers,
        private readonly TankRepository $tanks,
        private readonly Saver $saver,
        private readonly ClockInterface $clock,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly Holdings $holdings,
        private readonly Bounds $bounds,
        #[Autowire(service: 'limiter.own_password')] private readonly RateLimiterFactory $guesses,
    ) {
    }

    #[Route('', name: 'account', methods: ['GET'])]
    public function show(#[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($keeper);
    }

    #[Route('/settings', name: 'account_settings', methods: ['POST'])]
    public function settings(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $typed = [
            'display' => trim($request->request->getString('display')),
            'zone' => $request->request->getString('zone'),
            'units' => $request->request->getString('units'),
        ];
        $units = UnitSystem::tryFrom($typed['units']);
        if (null === $units) {
            return $this->page($keeper, ['settings' => 'Choose the units from the list.'], $typed);
        }
        $fault = match (true) {
            '' === $typed['display'] => 'Give the name that is to stand on your shelf.',
            !\in_array($typed['zone'], \DateTimeZone::listIdentifiers(), true) => 'That time zone is not known: choose one from the list.',
            default => PlainText::fault($typed['display'], Keeper::LONGEST_NAME, 'A name'),
        };
        if (null !== $fault) {
            return $this->page($keeper, ['settings' => $fault], $typed);
        }
        $keeper->goBy($typed['display']);
        $keeper->liveIn(new \DateTimeZone($typed['zone']));
        $keeper->prefer($units);

        return $this->kept('settings');
    }

    #[Route('/password', name: 'account_password', methods: ['POST'])]
    public function password(Request $request, #[CurrentUser] Keeper $keeper, Security $security): Response
    {
        $fault = $this->distrust($request, $keeper);
        if ('' === $fault && $request->request->getString('new') !== $request->request->getString('again')) {
            $fault = 'The two new passwords are not the same, so nothing was changed.';
        }
        if ('' !== $fault) {
            return $this->page($keeper, ['password' => $fault]);
        }
        try {
            $this->keepers->changePassword($keeper, $request->request->getString('new'));
        } catch (\InvalidArgumentException $refused) {
            return $this->page($keeper, ['password' => $refused->getMessage()]);
        }
        // All other sessions end; this one goes on.
        $security->login($keeper, 'form_login', 'main');

        return $this->redirectToRoute('account', ['_fragment' => 'password', 'kept' => 'password'], Response::HTTP_SEE_OTHER);
    }

    #[Route('/sign-out-everywhere', name: 'account_everywhere', methods: ['POST'])]
    public function everywhere(Request $request, #[CurrentUser] Keeper $keeper, Security $security): Response
    {
        $keeper->signOutEverywhere();
        $this->saver->flush();
        $security->login($keeper, 'form_login', 'main');

        return $this->redirectToRoute('account', ['_fragment' => 'password', 'kept' => 'everywhere'], Response::HTTP_SEE_OTHER);
    }

    /** Asked once more, with what would go. */
    #[Route('/tanks/{tank}/remove', name: 'account_remove_tank', requirements: ['tank' => Requirement::UUID], methods: ['GET', 'POST'])]
    public function removeTank(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        if ($request->isMethod('POST')) {
            $this->tanks->takeOff($tank, $this->clock->now());

            return $this->redirectToRoute('account', ['_fragment' => 'tanks', 'kept' => 'tank'], Response::HTTP_SEE_OTHER);
        }

        return $this->render(
            'settings/remove_tank.html.twig',
            ['tank' => $tank, 'days' => Keeper::UNDONE_WITHIN, 'photos' => $this->holdings->all($keeper)->photos],
        );
    }

    #[Route('/tanks/bring-back', name: 'account_bring_back', methods: ['POST'])]
    public function bringBack(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $found = array_filter(
            $this->tanks->removed($keeper),
            static fn (Tank $t): bool => $t->id()->toRfc4122() === $request->request->getString('tank'),
        );
        if ([] === $found) {
            return $this->page($keeper, ['tanks' => 'That tank is not among those that can be brought back.']);
        }
        $this->tanks->bringBack(array_values($found)[0]);

        return $this->kept('tanks');
    }

    /** The keeper with all tanks and lines: asked once more, with the password. */
    #[Route('/remove', name: 'account_remove', methods: ['GET', 'POST'])]
    public function remove(Request $request, #[CurrentUser] Keeper $keeper, Security $security): Response
    {
        $fault = '';
        if ($request->isMethod('POST')) {
            $fault = $this->distrust($request, $keeper);
            if ('' === $fault) {
                $keeper->remove($this->clock->now());
                $this->saver->flush();
                $security->logout(false);

                return $this->redirectToRoute('account_gone', [], Response::HTTP_SEE_OTHER);
            }
        }

        return $this->render(
            'settings/remove.html.twig',
            [
                'tanks' => $this->tanks->onShelf($keeper),
                'photos' => $this->holdings->all($keeper)->photos,
                'fault' => $fault,
                'days' => Keeper::UNDONE_WITHIN,
            ],
            new Response(status: '' === $fault ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    #[Route('/gone', name: 'account_gone', methods: ['GET'])]
    public function gone(): Response
    {
        return $this->render('settings/gone.html.twig', ['days' => Keeper::UNDONE_WITHIN]);
    }

    private function kept(string $part): Response
    {
        $this->saver->flush();

        return $this->redirectToRoute('account', ['_fragment' => $part, 'kept' => $part], Response::HTTP_SEE_OTHER);
    }

    /** Why something that needs the password is not done; '' where it may be. */
    private function distrust(Request $request, Keeper $keeper): string
    {
        return match (true) {
            !$this->guesses
                ->create($keeper->id()->toRfc4122())
                ->consume()
                ->isAccepted() => 'Those were too many tries in a row, so nothing was changed. Wait a minute, then try again.',
            !$this->hasher->isPasswordValid($keeper, $request->request->getString('password')) => self::WRONG,
            default => '',
        };
    }

    /**
     * @param array<string, string> $faults by part of the page
     * @param array<string, string> $typed
     */
    private function page(Keeper $keeper, array $faults = [], array $typed = []): Response
    {
        return $this->render(
            'settings/account.html.twig',
            [
                'keeper' => $keeper,
                'faults' => $faults,
                'typed' => $typed,
                'zones' => \DateTimeZone::listIdentifiers(),
                'least' => PasswordRule::LEAST,
                'days' => Keeper::UNDONE_WITHIN,
                'tanks' => $this->tanks->all($keeper),
                'removed' => $this->tanks->removed($keeper),
                'holding' => $this->holdings->all($keeper),
                'most' => $this->bounds->most,
            ],
            new Response(status: [] === $faults ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
