<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Change\AddClump;
use Olvek\Core\Planning\Change\AddGroup;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Change\SetNumber;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Core\Planning\Plan\Problem;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Core\Planning\Plan\UsualAmount;
use Olvek\Core\Planning\Steps\Step;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\ImportColumn;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Site\FormToken;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** A tank that stands already: what is in it, since when, and what was read last. */
#[Route('/tanks/new/running')]
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class RunningController extends AbstractController
{
    private const TOO_OLD = 'Olvek runs the first three years of a tank. Of an older one give a day within the last three years: its bed '
        .'then counts as that old.';
    /** Rows of plants and of animals that the page has. */
    private const ROWS = 8;

    public function __construct(
        private readonly VesselForm $vessels,
        private readonly WishPage $page,
        private readonly Editor $editor,
        private readonly Catalogue $catalogue,
        private readonly TankEditor $tankEditor,
        private readonly TankRepository $tanks,
        private readonly BuildRecords $buildRecords,
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
            if ('' === $day) {
                throw FormRefused::at('filled', 'Say on which day it was filled, or about.');
            }
            $filled = $this->today->orEarlier($keeper, $day) ?? throw FormRefused::at('filled', Today::REFUSED);
            $age = Today::between($filled, $this->today->of($keeper));
            if ($age >= Plan::LAST_DAY) {
                throw FormRefused::at('filled', self::TOO_OLD);
            }
            $plan = $this->standing($sent, $keeper, 1 + min(364, (int) $filled->format('z')), $age);
            $lives = $this->lives($sent, $age);
        } catch (Refused $refused) {
            return $this->form($keeper, $sent, $refused->messages($keeper->units()));
        }
        $readings = array_filter(\is_array($sent['reading'] ?? null) ? $sent['reading'] : [], is_string(...));
        $tank = null;
        try {
            $readings = self::inUnits($readings, \is_array($sent['unit'] ?? null) ? $sent['unit'] : [], $keeper);
        } catch (Refused $refused) {
            return $this->form($keeper, $sent, $refused->messages($keeper->units()));
        }
        $errors = $this->atOnce(function () use ($keeper, $plan, $filled, $readings, $lives, &$tank): array {
            $tank = $this->tankEditor->begin($keeper, $plan, 'taken over as it runs');

            // The same form, sent twice, has begun it already.
            return null !== $tank->filledOn() ? [] : $this->noted($tank, $keeper, $filled, $readings, $lives);
        });

        return [] === $errors && $tank instanceof Tank
            ? $this->redirectToRoute('today', ['tank' => $tank->id()], Response::HTTP_SEE_OTHER)
            : $this->form($keeper, $sent, $errors);
    }

    /**
     * Its filling, who came when and how many there are now, and its last readings.
     *
     * @param array<mixed>                                                                     $readings
     * @param array{plants: list<array{int, int, int|null}>, animals: list<array{int, int, int|null}>} $lives
     *
     * @return array<string, string> why it was refused
     */
    private function noted(Tank $tank, Keeper $keeper, \DateTimeImmutable $filled, array $readings, array $lives): array
    {
        $refused = $this->buildRecords->mark($tank, Steps::FILL, true, $filled->format('Y-m-d'), '');
        if (null !== $refused) {
            return ['filled' => $refused];
        }
        $plan = $this->tankEditor->plan($this->tanks->head($tank));
        $may = ToRead::of($plan);
        $texts = [];
        foreach (\array_slice($plan->groups, -\count($lives['animals']), \count($lives['animals'])) as $n => $group) {
            [$count, $day, $now] = $lives['animals'][$n];
            $this->logbook->write(
                $tank,
                $filled->modify("+$day days"),
                EventKind::Stock,
                (float) $count,
                $group->id,
                LoggedEvent::line(EventKind::Stock, (float) $count, $keeper->kit(), $group),
            );
            $texts["heads@$group->id"] = (string) ($now ?? '');
        }
        foreach (\array_slice($plan->clumps, -\count($lives['plants']), \count($lives['plants'])) as $n => $clump) {
            $texts["pieces@$clump->id"] = (string) ($lives['plants'][$n][2] ?? '');
        }
        foreach ($readings as $measure => $text) {
            if (\is_string($text) && '' !== trim($text)) {
                $texts[(string) $measure] = trim($text);
            }
        }
        $this->entities->flush();
        // It stands and runs: nothing of its building is still to be done.
        $steps = array_map(static fn (Step $s): string => $s->id, Steps::of($plan, $keeper->units()));
        $this->buildRecords->markDone($tank, $steps, $filled->format('Y-m-d'));
        if ([] === array_filter($texts, static fn (string $text): bool => '' !== $text)) {
            return [];
        }
        $errors = [];
        foreach ($this->logbook->test(
            $tank,
            $texts,
            $may,
            $this->today->of($keeper)->format('Y-m-d'),
            $keeper->kit(),
            $keeper->units(),
        ) as $which => $why) {
            $errors["reading.$which"] = $why;
        }

        return $errors;
    }

    /**
     * Readings in the units that the keeper has chosen for them: none is taken for granted where there are several.
     *
     * @param array<mixed> $readings typed, by measure
     * @param array<mixed> $units    chosen, by measure
     *
     * @return array<string, string> as they are typed in the keeper's own units
     *
     * @throws Refused
     */
    private static function inUnits(array $readings, array $units, Keeper $keeper): array
    {
        $texts = $problems = [];
        foreach ($readings as $name => $typed) {
            $measure = Measure::tryFrom((string) $name);
            $text = \is_string($typed) ? trim($typed) : '';
            if (null === $measure || '' === $text) {
                continue;
            }
            $ways = array_keys(ImportColumn::ways($measure));
            $chosen = $units[$name] ?? '';
            $column = ImportColumn::named($measure->value.':'.(1 === \count($ways) ? $ways[0] : (\is_string($chosen) ? $chosen : '')));
            if (null === $column) {
                $problems[] = new Problem("reading.$name", 'Choose the unit beside it.');
                continue;
            }
            try {
                $base = TestKit::of($column->kit)->toBase($measure, QuantityReader::read($text, $column->unit));
                $unit = $keeper->units()->unitFor($measure->dimension());
                $texts[$measure->value] = \sprintf('%.6F', $unit->fromBase($keeper->kit()->fromBase($measure, $base)));
            } catch (UnreadableQuantity $unreadable) {
                $problems[] = new Problem("reading.$name", $unreadable->getMessage());
            }
        }

        return [] === $problems ? $texts : throw FormRefused::all($problems);
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
     * @param int          $age       days since
     *
     * @throws Refused
     */
    private function standing(array $sent, Keeper $keeper, int $dayOfYear, int $age): Plan
    {
        $plan = $this->vessels->read($sent, $keeper->units());
        $method = \is_string($sent['method'] ?? null) ? Method::tryFrom($sent['method']) : null;
        $changes = [
            ...null === $method ? [] : [new TakeMethod($method)],
            ...array_map(
                static fn (array $row): Change => new AddClump($row[0], $row[1]),
                $this->things($sent, 'plants', Clump::MOST_PIECES, $age),
            ),
            ...array_map(
                static fn (array $row): Change => new AddGroup($row[0], $row[1], $row[2]),
                $this->things($sent, 'animals', Group::MOST, $age),
            ),
            new SetNumber('site.filledOn', $dayOfYear),
        ];
        $plan = $this->editor->make($plan, $changes, $keeper->units())->plan;
        // What the method does to begin a tank lies behind this one.
        $doses = array_filter($plan->events, static fn (PlannedEvent $planned): bool => EventKind::Dose === $planned->kind);
        $changes = array_map(static fn (PlannedEvent $planned): Change => new Remove('events', $planned->id), array_values($doses));
        $plan = [] === $changes ? $plan : $this->editor->make($plan, $changes, $keeper->units())->plan;
        if ([] === $plan->groups || $plan->site->sealed) {
            return $plan;
        }

        return $plan->withFeed($plan->feed->withGrams(UsualAmount::feed($plan->groups)), $plan->firstAnimals() ?? 0);
    }

    /**
     * Who is in, by lists: how many were set in or came, on which day after filling, and how many there are now where that was counted.
     *
     * @param array<mixed> $sent
     *
     * @return array{plants: list<array{int, int, int|null}>, animals: list<array{int, int, int|null}>}
     *
     * @throws Refused
     */
    private function lives(array $sent, int $age): array
    {
        return [
            'plants' => array_map(
                static fn (array $row): array => [$row[1], $row[2], $row[3]],
                $this->things($sent, 'plants', Clump::MOST_PIECES, $age),
            ),
            'animals' => array_map(
                static fn (array $row): array => [$row[1], $row[2], $row[3]],
                $this->things($sent, 'animals', Group::MOST, $age),
            ),
        ];
    }

    /**
     * @param array<mixed>       $sent
     * @param 'plants'|'animals' $list
     * @param int                $age  days since filling
     *
     * @return list<array{string, int, int, int|null}> kind, how many, on which day after filling, and how many there are now
     *
     * @throws Refused
     */
    private function things(array $sent, string $list, int $most, int $age): array
    {
        $rows = \is_array($sent[$list] ?? null) ? \array_slice($sent[$list], 0, self::ROWS) : [];
        $things = [];
        foreach ($rows as $n => $row) {
            $text = static fn (string $of): string => \is_array($row) && \is_string($row[$of] ?? null) ? trim($row[$of]) : '';
            $kind = $text('kind');
            if ('' === $kind) {
                continue;
            }
            $weeks = $text('weeks');
            $now = $text('now');
            $whole = static fn (string $typed, int $from, int $to): bool => ctype_digit($typed)
                && (int) $typed >= $from
                && (int) $typed <= $to;
            $fault = match (true) {
                !isset($this->catalogue->{$list}[$kind]) => 'Choose from the list.',
                !$whole($text('count'), 1, $most) => "How many? From 1 to $most.",
                '' !== $weeks && (!ctype_digit($weeks) || 7 * (int) $weeks > $age) => 'In for how many weeks? '
                    .'No longer than since it was filled.',
                '' !== $now && !$whole($now, 0, $most) => "How many now? From 0 to $most, or nothing.",
                default => null,
            };
            if (null !== $fault) {
                throw FormRefused::at("$list.$n", $fault);
            }
            $usual = 'plants' === $list ? 0 : min($age, AddGroup::USUAL_DAY);
            $things[] = [
                $kind,
                (int) $text('count'),
                '' === $weeks ? $usual : $age - 7 * (int) $weeks,
                '' === $now ? null : (int) $now,
            ];
        }

        return $things;
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
                    static fn (Measure $m): array => [
                        'id' => $m->value,
                        'label' => Words::capital($m->label()),
                        'units' => ImportColumn::ways($m),
                    ],
                    array_filter(Measure::ofWater(), static fn (Measure $m): bool => $m->measured()->isUsual || $m->isElement()),
                ),
                'today' => $this->today->of($keeper)->format('Y-m-d'),
            ],
            new Response(status: [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
