<?php

declare(strict_types=1);

namespace Olvek\Start;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Account\Keeper;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Core\Catalogue\Catalogue;
use Olvek\Core\Change\AddClump;
use Olvek\Core\Change\AddGroup;
use Olvek\Core\Change\Change;
use Olvek\Core\Change\Editor;
use Olvek\Core\Change\SetNumber;
use Olvek\Core\Change\TakeMethod;
use Olvek\Core\Log\ToRead;
use Olvek\Core\Plan\Clump;
use Olvek\Core\Plan\Group;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\Method;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\Problem;
use Olvek\Core\Plan\UsualAmount;
use Olvek\Core\Steps\Steps;
use Olvek\Core\Unit\Words;
use Olvek\Core\Water\Measure;
use Olvek\Editing\TankEditor;
use Olvek\Log\Logbook;
use Olvek\Tank\Tank;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A tank that stands already: what is in it, since when, and what was read last. */
#[Route('/tanks/new/running')]
final class RunningController extends AbstractController
{
    private const EXPIRED = 'This page has expired. Nothing is lost: send it again.';
    /** Rows of plants and of animals that the page has. */
    private const ROWS = 8;

    public function __construct(
        private readonly VesselForm $vessels,
        private readonly WishPage $page,
        private readonly Editor $editor,
        private readonly Catalogue $catalogue,
        private readonly TankEditor $road,
        private readonly BuildRecords $book,
        private readonly Logbook $logbook,
        private readonly Today $today,
        private readonly EntityManagerInterface $entities,
    ) {
    }

    #[Route('', name: 'running', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        return $this->form($keeper, $request->query->all(), []);
    }

    #[Route('', name: 'running_take', methods: ['POST'])]
    public function take(Request $request, #[CurrentUser] Keeper $keeper): Response
    {
        $sent = $request->request->all();
        $day = $request->request->getString('filled');
        try {
            if (!$this->isCsrfTokenValid('new', $request->request->getString('_token'))) {
                throw new InvalidPlan([new Problem('', self::EXPIRED)]);
            }
            if ('' === $day) {
                throw new InvalidPlan([new Problem('filled', 'Say on which day it was filled, or about.')]);
            }
            $filled = $this->today->orEarlier($keeper, $day) ?? throw new InvalidPlan([new Problem('filled', Today::REFUSED)]);
            $plan = $this->standing($sent, $keeper, 1 + min(364, (int) $filled->format('z')));
        } catch (InvalidPlan $refused) {
            return $this->form($keeper, $sent, $refused->messages($keeper->units()));
        }
        $readings = array_filter(\is_array($sent['reading'] ?? null) ? $sent['reading'] : [], is_string(...));
        $tank = null;
        $errors = $this->atOnce(function () use ($keeper, $plan, $day, $readings, &$tank): array {
            $tank = $this->road->begin($keeper, $plan, 'taken over as it runs');

            return $this->noted($tank, $keeper, $day, $readings);
        });

        return [] === $errors && $tank instanceof Tank
            ? $this->redirectToRoute('weeks', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER)
            : $this->form($keeper, $sent, $errors);
    }

    /**
     * Its filling and last readings.
     *
     * @param array<mixed> $readings
     *
     * @return array<string, string> why it was refused
     */
    private function noted(Tank $tank, Keeper $keeper, string $day, array $readings): array
    {
        $refused = $this->book->mark($tank, Steps::FILL, true, $day, '');
        if (null !== $refused) {
            return ['filled' => $refused];
        }
        $texts = [];
        foreach ($readings as $measure => $text) {
            if (\is_string($text) && '' !== trim($text)) {
                $texts[(string) $measure] = trim($text);
            }
        }
        if ([] === $texts) {
            return [];
        }
        $errors = [];
        foreach ($this->logbook->test(
            $tank,
            $texts,
            ToRead::water(),
            $this->today->of($keeper)->format('Y-m-d'),
            $keeper->kit(),
            $keeper->units(),
        ) as $which => $why) {
            $errors["reading.$which"] = $why;
        }

        return $errors;
    }

    /**
     * All of it is kept, or nothing.
     *
     * @param \Closure(): array<string, string> $do
     *
     * @return array<string, string> why it was refused
     */
    private function atOnce(\Closure $do): array
    {
        $connection = $this->entities->getConnection();
        $connection->beginTransaction();
        try {
            $errors = $do();
            if ([] === $errors) {
                $connection->commit();

                return [];
            }
        } catch (\Throwable $failed) {
            $connection->rollBack();
            throw $failed;
        }
        $connection->rollBack();
        $this->entities->clear();

        return $errors;
    }

    /**
     * @param array<mixed> $sent
     * @param int          $dayOfYear on which it was filled
     *
     * @throws InvalidPlan
     */
    private function standing(array $sent, Keeper $keeper, int $dayOfYear): Plan
    {
        $plan = $this->vessels->read($sent, $keeper->units());
        $method = \is_string($sent['method'] ?? null) ? Method::tryFrom($sent['method']) : null;
        $changes = [
            ...null === $method ? [] : [new TakeMethod($method)],
            ...$this->things($sent, 'plants', Clump::MOST_PIECES, static fn (string $kind, int $n): Change => new AddClump($kind, $n)),
            ...$this->things($sent, 'animals', Group::MOST, static fn (string $kind, int $n): Change => new AddGroup($kind, $n)),
            new SetNumber('site.filledOn', $dayOfYear),
        ];
        $plan = $this->editor->make($plan, $changes, $keeper->units())->plan;
        if ([] === $plan->groups || $plan->site->sealed) {
            return $plan;
        }

        return $plan->withFeed($plan->feed->withGrams(UsualAmount::feed($plan->groups)), $plan->firstAnimals() ?? 0);
    }

    /**
     * @param array<mixed>                   $sent
     * @param 'plants'|'animals'             $list
     * @param \Closure(string, int): Change $add
     *
     * @return list<Change>
     *
     * @throws InvalidPlan
     */
    private function things(array $sent, string $list, int $most, \Closure $add): array
    {
        $rows = \is_array($sent[$list] ?? null) ? \array_slice($sent[$list], 0, self::ROWS) : [];
        $changes = [];
        foreach ($rows as $n => $row) {
            $kind = \is_array($row) && \is_string($row['kind'] ?? null) ? $row['kind'] : '';
            $count = \is_array($row) && \is_string($row['count'] ?? null) ? trim($row['count']) : '';
            if ('' === $kind) {
                continue;
            }
            if (!isset($this->catalogue->{$list}[$kind])) {
                throw new InvalidPlan([new Problem("$list.$n", 'Choose from the list.')]);
            }
            if (!ctype_digit($count) || (int) $count < 1 || (int) $count > $most) {
                throw new InvalidPlan([new Problem("$list.$n", "How many? From 1 to $most.")]);
            }
            $changes[] = $add($kind, (int) $count);
        }

        return $changes;
    }

    /**
     * @param array<mixed>          $sent
     * @param array<string, string> $errors
     */
    private function form(Keeper $keeper, array $sent, array $errors): Response
    {
        return $this->render(
            'start/running.html.twig',
            [
                ...$this->page->of($keeper, $sent, $errors),
                'rows' => range(0, self::ROWS - 1),
                'kinds' => [
                    'plants' => $this->page->plants(),
                    'animals' => $this->page->animalNames(),
                ],
                'measures' => array_map(
                    static fn (Measure $m): array => ['id' => $m->value, 'label' => Words::capital($m->label())],
                    [
                        Measure::Ammonia,
                        Measure::Nitrite,
                        Measure::Nitrate,
                        Measure::Acidity,
                        Measure::CarbonateHardness,
                        Measure::GeneralHardness,
                    ],
                ),
                'today' => $this->today->of($keeper)->format('Y-m-d'),
            ],
            new Response(status: [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
