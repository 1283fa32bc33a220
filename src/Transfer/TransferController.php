<?php

declare(strict_types=1);

namespace Olvek\Transfer;

use Olvek\Account\Keeper;
use Olvek\Site\Attachment;
use Olvek\Site\Zip;
use Olvek\Work\Deadline;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Everything that a keeper has, carried away as one file and brought back. */
#[Route('/account')]
final class TransferController extends AbstractController
{
    /** Seconds for which tanks are brought in one request; whoever brings the same file again goes on from there. */
    private const PATIENCE = 15.0;

    public function __construct(#[Autowire(service: 'limiter.carry')] private readonly RateLimiterFactory $often)
    {
    }

    #[Route('/everything.zip', name: 'carry_away', methods: ['GET'])]
    public function away(#[CurrentUser] Keeper $keeper, ShelfExport $parcel, ClockInterface $clock): Response
    {
        if (!$this->often($keeper)) {
            return $this->told(
                '',
                null,
                'This was asked for many times in a short while. Try again in ten minutes.',
                Response::HTTP_TOO_MANY_REQUESTS,
            );
        }
        $day = $clock->now()->setTimezone($keeper->zone())->format('Y-m-d');
        $file = new BinaryFileResponse(
            Zip::of($parcel->of($keeper)),
            headers: Attachment::headers('application/zip', $keeper->displayName()." $day.olvek.zip", "olvek-$day.zip"),
            public: false,
            autoEtag: false,
            autoLastModified: false,
        );

        return $file->deleteFileAfterSend();
    }

    #[Route('/bring', name: 'carry_bring', methods: ['POST'])]
    public function bring(Request $request, #[CurrentUser] Keeper $keeper, ShelfImport $bringing): Response
    {
        $file = $request->files->get('file');
        $fault = match (true) {
            !$this->isCsrfTokenValid('account', $request->request->getString('_token')) => 'This page has expired, so nothing was taken. '
                .'Choose the file again.',
            !($file instanceof UploadedFile) || !$file->isValid() => 'No file came. Choose a ZIP file that was downloaded from Olvek’s '
                .'account page.',
            !$this->often($keeper) => 'This was asked for many times in a short while, so nothing was taken. Try again in ten minutes.',
            default => '',
        };
        if ('' !== $fault || !($file instanceof UploadedFile)) {
            return $this->told('', null, $fault, Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        try {
            return $this->told(
                $file->getClientOriginalName(),
                $bringing->bring($keeper, $file->getPathname(), new Deadline(self::PATIENCE)),
                '',
            );
        } catch (UnreadableFile $unreadable) {
            return $this->told($file->getClientOriginalName(), null, $unreadable->getMessage(), Response::HTTP_UNPROCESSABLE_ENTITY);
        }
    }

    private function often(Keeper $keeper): bool
    {
        return $this->often
            ->create($keeper->id()->toBase58())
            ->consume()
            ->isAccepted();
    }

    private function told(string $name, ?ImportResult $brought, string $fault, int $status = Response::HTTP_OK): Response
    {
        return $this->render(
            'transfer/brought.html.twig',
            ['name' => mb_scrub($name), 'brought' => $brought, 'fault' => $fault],
            new Response(status: $status),
        );
    }
}
