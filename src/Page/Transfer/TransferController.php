<?php

declare(strict_types=1);

namespace Olvek\Page\Transfer;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\WaitingFiles;
use Olvek\Service\Site\Zip;
use Olvek\Service\Transfer\ImportResult;
use Olvek\Service\Transfer\ShelfImport;
use Olvek\Service\Transfer\UnreadableFile;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\Turns;
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
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** Everything that a keeper has, carried away as one file and brought back. */
#[SlowPool]
#[Route('/account')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class TransferController extends AbstractController
{
    /** Seconds for which a file is read in one request; the page that says so goes on from there. */
    private const PATIENCE = 15.0;
    private const TURN = 'bring';

    public function __construct(
        #[Autowire(service: 'limiter.carry')] private readonly RateLimiterFactory $often,
        private readonly ShelfImport $bringing,
        private readonly WaitingFiles $waiting,
        private readonly Turns $turns,
    ) {
    }

    #[Route('/everything.zip', name: 'carry_away', methods: ['GET'])]
    public function away(#[CurrentUser] Keeper $keeper, ShelfExport $parcel, ClockInterface $clock): Response
    {
        if (!$this->often($keeper)) {
            return $this->report(
                '',
                null,
                'This was requested too often. Try again in ten minutes.',
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
    public function bring(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $file = $request->files->get('file');
        $fault = match (true) {
            !($file instanceof UploadedFile) || !$file->isValid() => 'No file came. Choose a ZIP file that was downloaded from Olvek’s '
                .'account page.',
            !$this->often($keeper) => 'This was asked for many times in a short while, so nothing was taken. Try again in ten minutes.',
            default => '',
        };
        if ('' !== $fault || !($file instanceof UploadedFile)) {
            return $this->report('', null, $fault, Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $this->waiting->keep($keeper->id()->toBase58(), $file->getPathname());

        return $this->goOn($keeper, $file->getClientOriginalName());
    }

    /** The same file, from where the last request stopped. */
    #[Route('/bring/on', name: 'carry_on', methods: ['POST'])]
    public function on(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->goOn($keeper, $request->request->getString('name'));
    }

    private function goOn(Keeper $keeper, string $name): Response
    {
        $path = $this->waiting->find($keeper->id()->toBase58());
        if (null === $path) {
            return $this->report(
                $name,
                null,
                'The file is no longer on the server. Upload it again: it continues where it stopped, and nothing is duplicated.',
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        $whose = $keeper->id()->toBase58().'.bring';
        if (!$this->turns->take($whose, self::TURN, again: false)) {
            return $this->report(
                $name,
                null,
                'Another file of yours is being imported right now. Try again in a moment.',
                Response::HTTP_TOO_MANY_REQUESTS,
            );
        }
        try {
            $brought = $this->bringing->bring($keeper, $path, new Deadline(self::PATIENCE));
        } catch (UnreadableFile $unreadable) {
            $this->waiting->drop($keeper->id()->toBase58());

            return $this->report($name, null, $unreadable->getMessage(), Response::HTTP_UNPROCESSABLE_ENTITY);
        } finally {
            $this->turns->give($whose, self::TURN);
        }
        if (0 === $brought->left) {
            $this->waiting->drop($keeper->id()->toBase58());
        }

        return $this->report($name, $brought, '');
    }

    private function often(Keeper $keeper): bool
    {
        return $this->often
            ->create($keeper->id()->toBase58())
            ->consume()
            ->isAccepted();
    }

    private function report(string $name, ?ImportResult $brought, string $fault, int $status = Response::HTTP_OK): Response
    {
        return $this->render(
            'transfer/brought.html.twig',
            ['name' => mb_substr(mb_scrub($name), 0, 200), 'brought' => $brought, 'fault' => $fault],
            new Response(status: $status),
        );
    }
}
