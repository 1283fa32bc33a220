<?php

declare(strict_types=1);

namespace Olvek\Page\Almanac;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Almanac\Almanac;
use Olvek\Service\Almanac\AlmanacCalendar;
use Olvek\Service\Almanac\Settling;
use Olvek\Service\Estimate\Standings;
use Olvek\Service\Site\Attachment;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** What is due over all tanks, and the calendar that leaves from it. */
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class AlmanacController extends AbstractController
{
    /** Days ahead to which something can be put off. */
    private const FARTHEST = 366;
    /** More than these in a part of the page are not read; one tank's can be asked for alone. */
    private const MOST = 15;
    /** Seconds for which one request goes through tanks. J. */
    private const PATIENCE = 1.5;

    public function __construct(
        private readonly Almanac $almanac,
        private readonly AlmanacCalendar $calendar,
        private readonly Settling $settling,
        private readonly Today $today,
        private readonly TankRepository $tanks,
        private readonly EntityManagerInterface $entities,
        private readonly Saver $saver,
        private readonly Standings $standings,
    ) {
    }

    #[Route('/almanac', name: 'almanac', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->page($keeper, which: $request->query->getString('tank'));
    }

    /** Goes through the tanks that the page has shown as they were on an earlier day: its script asks until none is left. */
    #[Route('/almanac/refresh', name: 'almanac_refresh', methods: ['GET'])]
    #[SlowPool]
    public function refresh(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $patience = new Deadline(self::PATIENCE);
        $waiting = $this->almanac->refresh($keeper, $patience);
        $waiting = max($waiting, $this->standings->among(array_values($this->tanks->active($keeper)), $keeper, $patience)[1]);
        if ('json' !== $request->getPreferredFormat()) {
            return $this->redirectToRoute('almanac', [], Response::HTTP_SEE_OTHER);
        }

        return $this->json(
            ['waiting' => $waiting],
            0 === $waiting ? Response::HTTP_OK : Response::HTTP_ACCEPTED,
            0 === $waiting ? [] : ['Retry-After' => '0'],
        );
    }

    /** A task is done, left out, or put off. */
    #[Route(
        '/almanac/{tank}/{task}/{due}',
        name: 'almanac_mark',
        requirements: ['tank' => Requirement::UUID, 'task' => '[a-z0-9-]{1,80}', 'due' => '\d{4}-\d\d-\d\d'],
        methods: ['POST'],
    ),]
    public function mark(Request $request, Tank $tank, string $task, string $due, #[CurrentUser] Keeper $keeper): Response
    {
        $time = $this->almanac->find($tank, $keeper, $task, $due);
        if (null === $time || ('' !== $time->way && !$time->isNotice())) {
            return $this->page(
                $keeper,
                'That is not asked for any more: it was settled in another window, or the plan has changed.',
                Response::HTTP_CONFLICT,
            );
        }
        if ('move' === $request->request->getString('state')) {
            $to = Today::read($request->request->getString('to'));
            $ahead = null === $to ? 0 : Today::between($this->today->of($keeper), $to);
            if (null === $to || $ahead < 1 || $ahead > self::FARTHEST) {
                return $this->page(
                    $keeper,
                    \sprintf('“%s” stays where it is: put it off to a day from tomorrow to a year ahead, as year-month-day.', $time->words),
                );
            }
            $kept = $this->settling->move($time, $to);
        } else {
            $kept = $this->settling->settle($time, 'done' === $request->request->getString('state'));
        }

        return $kept
            ? $this->back($request, $tank)
            : $this->page(
                $keeper,
                'Another window was faster, and nothing was logged twice: this is how it stands now.',
                Response::HTTP_CONFLICT,
            );
    }

    /** To where it was pressed: on the tank's own page, or here. */
    private function back(Request $request, Tank $tank): Response
    {
        return 'today' === $request->request->getString('back')
            ? $this->redirectToRoute('today', ['tank' => $tank->id(), '_fragment' => 'due'], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('almanac', [], Response::HTTP_SEE_OTHER);
    }

    /** All of it as one file. */
    #[Route('/almanac.ics', name: 'almanac_file', methods: ['GET'])]
    public function leave(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->calendar(
            $request,
            $keeper,
            Attachment::headers('text/calendar; charset=utf-8', $keeper->displayName().'.ics', 'almanac.ics'),
        );
    }

    /** The calendar's private address is made, renewed or closed. */
    #[Route('/almanac/address', name: 'almanac_address', methods: ['POST'])]
    public function address(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        'close' === $request->request->getString('do') ? $keeper->closeFeed() : $keeper->renewFeed();
        $this->saver->flush();

        return $this->redirectToRoute('almanac', ['_fragment' => 'address'], Response::HTTP_SEE_OTHER);
    }

    /** In which the keeper's days begin. */
    #[Route('/almanac/zone', name: 'almanac_zone', methods: ['POST'])]
    public function zone(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $zone = $request->request->getString('zone');
        if (!\in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            return $this->page($keeper, 'That time zone is not known, so nothing was changed: choose one from the list.');
        }
        $keeper->liveIn(new \DateTimeZone($zone));
        $this->saver->flush();

        return $this->redirectToRoute('almanac', ['_fragment' => 'address'], Response::HTTP_SEE_OTHER);
    }

    /** What calendar programs fetch: whoever knows the address, and nobody else. */
    #[Route('/feed/{address}.ics', name: 'almanac_feed', requirements: ['address' => '[A-Za-z0-9_-]{43}'], methods: ['GET'])]
    public function feed(Request $request, string $address): Response
    {
        $keeper = $this->entities->getRepository(Keeper::class)->findOneBy(['feed' => $address]);
        if (null === $keeper || $keeper->isAway()) {
            throw $this->createNotFoundException('There is no such calendar.');
        }

        return $this->calendar(
            $request,
            $keeper,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Cache-Control' => 'private, max-age=900',
                'X-Robots-Tag' => 'noindex',
                'Referrer-Policy' => 'no-referrer',
            ],
        );
    }

    /**
     * To a program that has this calendar already only that nothing has changed is said.
     *
     * @param array<string, string> $headers
     */
    private function calendar(Request $request, Keeper $keeper, array $headers): Response
    {
        $response = new Response($this->calendar->text($keeper, true), headers: $headers);
        $response->setEtag(hash('xxh128', (string) $response->getContent()));
        $response->isNotModified($request);

        return $response;
    }

    private function page(
        Keeper $keeper,
        string $notice = '',
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
        string $which = '',
    ): Response {
        $today = $this->today->of($keeper);
        $almanac = $this->almanac->of($keeper, '' === $which ? null : [$which], self::MOST);
        $days = [];
        foreach ($almanac['coming'] as $time) {
            $days[$time->on->format('Y-m-d')][] = $time;
        }

        return $this->render(
            'almanac/almanac.html.twig',
            [
                'late' => $almanac['late'],
                'now' => $almanac['now'],
                'days' => $days,
                'more' => [...$almanac['more'], 'unfilled' => max(0, \count($almanac['unfilled']) - self::MOST)],
                'unfilled' => \array_slice($almanac['unfilled'], 0, self::MOST),
                'today' => $today,
                'waiting' => $almanac['waiting'],
                'notice' => $notice,
                'keeper' => $keeper,
                'zones' => \DateTimeZone::listIdentifiers(),
                'tanks' => $this->tanks->active($keeper),
                'which' => $which,
            ],
            new Response(status: '' === $notice ? Response::HTTP_OK : $status),
        );
    }
}
