<?php

declare(strict_types=1);

namespace Olvek\Page\Device;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Device\DeviceToken;
use Olvek\Service\Device\DeviceTokens;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\PlainText;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** Tokens of a keeper's devices. */
#[Route('/account/tokens')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class TokenController extends AbstractController
{
    public function __construct(private readonly DeviceTokens $tokens)
    {
    }

    #[Route('', name: 'tokens', methods: ['GET'])]
    public function show(#[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($keeper);
    }

    #[Route('', name: 'token_make', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $name = trim($request->request->getString('name'));
        $fault = match (true) {
            '' === $name => 'Say which device it is for.',
            default => PlainText::fault($name, DeviceToken::LONGEST_NAME, 'A name'),
        };
        $made = null === $fault ? $this->tokens->make($keeper, $name) : null;
        if (null === $made) {
            $fault ??= \sprintf('There are %d already: revoke one first.', DeviceTokens::MOST);

            return $this->page($keeper, ['fault' => $fault, 'typed' => $name], Response::HTTP_UNPROCESSABLE_ENTITY);
        }

        // Shown on the answer itself, and never again.
        return $this->page($keeper, ['made' => $made]);
    }

    #[Route('/{token}/remove', name: 'token_remove', requirements: ['token' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function remove(Request $request, string $token, #[CurrentUser] Keeper $keeper): Response
    {
        if (!$this->tokens->takeBack($keeper, $token)) {
            throw $this->createNotFoundException('There is no such token.');
        }

        return $this->redirectToRoute('tokens', status: Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, mixed> $shown */
    private function page(Keeper $keeper, array $shown = [], int $status = Response::HTTP_OK): Response
    {
        return $this->render(
            'device/tokens.html.twig',
            ['fault' => '', 'typed' => '', 'made' => '', ...$shown, 'tokens' => $this->tokens->of($keeper)],
            new Response(status: $status),
        );
    }
}
