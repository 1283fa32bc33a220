<?php

declare(strict_types=1);

namespace Olvek\Page\Photo;

use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Photo\Photo;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Photo\PhotoSize;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\Zip;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\Turns;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank in pictures: week by week, two of them under one slider. Shown to their keeper alone. */
#[Route('/tanks/{tank}/photos', requirements: ['tank' => Requirement::UUID])]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class PhotoController extends AbstractController
{
    private const TURN = 'photo';
    /** Seconds until it is worth sending again: developing one takes less. */
    private const WAIT = 5;
    private const DAYS_A_WEEK = 7;
    /** Photos a page: a year of one a week, and some. */
    private const SHOWN = 60;
    /** Photos that can be chosen from to be laid under one slider. */
    private const CHOICES = 150;

    public function __construct(
        private readonly Photos $photos,
        private readonly Today $today,
        private readonly Turns $turns,
        #[Autowire(service: 'limiter.photos')] private readonly RateLimiterFactory $often,
    ) {
    }

    #[Route('', name: 'photos', methods: ['GET'])]
    public function show(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($tank, $keeper, from: max(0, $request->query->getInt('from')));
    }

    #[SlowPool]
    #[Route('', name: 'photos_add', methods: ['POST'])]
    public function add(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $sent = ['day' => $request->request->getString('day'), 'words' => trim($request->request->getString('words'))];
        $file = $request->files->get('photo');
        $errors = ['photo' => 'No photo arrived. Choose a JPEG, PNG or WebP of at most 15 MB.'];
        if ($file instanceof UploadedFile && $file->isValid()) {
            $wait = $this->turn($keeper);
            if ($wait > 0) {
                return $this->busy($request, $tank, $keeper, $sent, $wait);
            }
            try {
                $errors =
                    $this->photos->add($tank, $file->getPathname(), $sent['day'], $sent['words'], $request->request->getString('id'));
            } finally {
                $this->turns->give(self::whose($keeper), self::TURN);
            }
        }

        if ('json' === $request->getPreferredFormat()) {
            return new JsonResponse(
                [] === $errors ? ['saved' => true] : ['errors' => $errors],
                [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }

        return [] === $errors
            ? $this->redirectToRoute('photos', ['tank' => $tank->id(), '_fragment' => 'weeks'], Response::HTTP_SEE_OTHER)
            : $this->page($tank, $keeper, $sent, $errors, Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    #[Route(
        '/{photo}/{size}.jpg',
        name: 'photo_file',
        requirements: ['photo' => Requirement::UUID, 'size' => 'large|page|strip'],
        methods: ['GET'],
    ),]
    public function picture(Request $request, Tank $tank, string $photo, string $size): Response
    {
        $found = $this->found($tank, $photo);
        // A photo never changes under its id; whose it is is asked each time, since a device may be several people's.
        $answer = new Response(headers: ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, no-cache, max-age=0']);
        $answer->setEtag("$photo-$size");
        if ($answer->isNotModified($request)) {
            return $answer;
        }
        $file = $this->photos->file($found, PhotoSize::from($size))
            ?? throw $this->createNotFoundException('This photo has no such picture.');

        return $answer->setContent($file->bytes());
    }

    /** All photos of a tank in one file, large, with a list of them. */
    #[SlowPool]
    #[Route('.zip', name: 'photos_zip', methods: ['GET'])]
    public function album(
        Tank $tank,
        #[CurrentUser] Keeper $keeper,
        #[Autowire(service: 'limiter.carry')] RateLimiterFactory $carry,
    ): Response {
        if (!$carry->create($keeper->id()->toBase58())->consume()->isAccepted()) {
            throw new TooManyRequestsHttpException(600, 'This was requested too often. Try again in ten minutes.');
        }
        $file = new BinaryFileResponse(
            Zip::of($this->photos->album($tank)),
            headers: Attachment::headers('application/zip', $tank->name().'.photos.zip', 'photos.zip'),
            public: false,
            autoEtag: false,
            autoLastModified: false,
        );

        return $file->deleteFileAfterSend();
    }

    #[Route('/{photo}/remove', name: 'photo_remove', requirements: ['photo' => Requirement::UUID], methods: ['POST'])]
    public function remove(Request $request, Tank $tank, string $photo, #[CurrentUser] Keeper $keeper): Response
    {
        $found = $this->found($tank, $photo);
        $this->photos->remove($found);

        return $this->redirectToRoute('photos', ['tank' => $tank->id(), '_fragment' => 'weeks'], Response::HTTP_SEE_OTHER);
    }

    /** Two days under one slider: the first and the last where nothing is asked. */
    #[Route('/compare', name: 'photos_compare', methods: ['GET'])]
    public function compare(Request $request, Tank $tank): Response
    {
        $days = $this->photos->days($tank);
        $ids = array_keys($days);
        $chosen = static fn (string $name, ?string $else): ?string => isset($days[$request->query->getString($name)])
            ? $request->query->getString($name)
            : $else;
        $before = $chosen('before', $ids[0] ?? null);
        $after = $chosen('after', [] === $ids ? null : $ids[\count($ids) - 1]);
        // Of thousands every so many can be chosen, the last, and those that are looked at.
        $every = max(1, (int) ceil(\count($ids) / self::CHOICES));
        $offered = array_filter($ids, static fn (int $n): bool => 0 === $n % $every, \ARRAY_FILTER_USE_KEY);

        return $this->render('photo/compare.html.twig', [
            'tank' => $tank,
            'days' => array_intersect_key($days, array_flip(array_filter([...$offered, $before, $after, end($ids)], \is_string(...)))),
            'before' => null === $before ? null : $this->found($tank, $before),
            'after' => null === $after ? null : $this->found($tank, $after),
        ]);
    }

    /** @return int seconds until a photo may be sent; 0 where it is its turn now: one at a time for a keeper, and not without end */
    private function turn(Keeper $keeper): int
    {
        $whose = self::whose($keeper);
        if (!$this->turns->take($whose, self::TURN, again: false)) {
            return self::WAIT;
        }
        $allowed = $this->often->create($whose)->consume();
        if (!$allowed->isAccepted()) {
            $this->turns->give($whose, self::TURN);

            return max(1, $allowed->getRetryAfter()->getTimestamp() - time());
        }

        return 0;
    }

    /** Photos have turns of their own: they wait for no answer that is being worked out. */
    private static function whose(Keeper $keeper): string
    {
        return $keeper->id()->toBase58().'.photo';
    }

    /** @param array<string, string> $sent */
    private function busy(Request $request, Tank $tank, Keeper $keeper, array $sent, int $wait): Response
    {
        $words = 'Another photo of yours is still being processed, or many arrived at once. '.
            "Send this one again in $wait s.";
        $answer = 'json' === $request->getPreferredFormat()
            ? new JsonResponse(['message' => $words], Response::HTTP_TOO_MANY_REQUESTS)
            : $this->page($tank, $keeper, $sent, ['photo' => $words], Response::HTTP_TOO_MANY_REQUESTS);
        $answer->headers->set('Retry-After', (string) $wait);

        return $answer;
    }

    private function found(Tank $tank, string $photo): Photo
    {
        return $this->photos->find($tank, $photo) ?? throw $this->createNotFoundException('This tank has no such photo.');
    }

    /**
     * @param array<string, string> $sent   what was refused
     * @param array<string, string> $errors why, by field
     */
    private function page(
        Tank $tank,
        Keeper $keeper,
        array $sent = [],
        array $errors = [],
        int $status = Response::HTTP_OK,
        int $from = 0,
    ): Response {
        $filled = $tank->filledOn();
        $weeks = [];
        // One more than is shown tells whether there are older ones.
        $photos = $this->photos->newest($tank, self::SHOWN + 1, $from);
        foreach (\array_slice($photos, 0, self::SHOWN) as $photo) {
            $day = null === $filled ? null : Today::between($filled, $photo->on);
            $week = null === $day ? 'before filling' : \sprintf('week %d', intdiv($day, self::DAYS_A_WEEK) + 1);
            $weeks[$week][] = ['photo' => $photo, 'day' => $day];
        }

        return $this->render('photo/photos.html.twig', [
            'tank' => $tank,
            'weeks' => $weeks,
            'filled' => $filled,
            'today' => $this->today->of($keeper),
            'sent' => $sent,
            'errors' => $errors,
            'last' => $photos[0] ?? null,
            'zone' => $keeper->zone()->getName(),
            'older' => \count($photos) > self::SHOWN ? $from + self::SHOWN : null,
            'newer' => $from > 0 ? max(0, $from - self::SHOWN) : null,
        ], new Response(status: $status));
    }
}
