<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Keeping\Log\TestKit;
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
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Log\ImportColumn;
use Olvek\Service\Start\RunningTank;
use Olvek\Service\Start\TakenIn;

/** The form in which a keeper tells of a tank that runs already. */
final readonly class RunningForm
{
    private const TOO_OLD = 'Olvek runs the first three years of a tank. Of an older one give a day within the last three years: its bed '
        .'then counts as that old.';
    /** Rows of plants and of animals that the page has. */
    public const ROWS = 8;

    public function __construct(
        private VesselForm $vessels,
        private Editor $editor,
        private Catalogue $catalogue,
        private Today $today,
        private RunningFacts $facts,
    ) {
    }

    /**
     * @param array<mixed> $sent
     *
     * @throws Refused with the fields
     */
    public function read(array $sent, Keeper $keeper): RunningTank
    {
        $day = \is_string($sent['filled'] ?? null) ? $sent['filled'] : '';
        if ('' === $day) {
            throw FormRefused::at('filled', 'Say on which day it was filled, or about.');
        }
        $filled = $this->today->orEarlier($keeper, $day) ?? throw FormRefused::at('filled', Today::REFUSED);
        $age = Today::between($filled, $this->today->of($keeper));
        if ($age >= Plan::LAST_DAY) {
            throw FormRefused::at('filled', self::TOO_OLD);
        }
        $plants = $this->things($sent, 'plants', Clump::MOST_PIECES, $age);
        $animals = $this->things($sent, 'animals', Group::MOST, $age);
        $plan = $this->standing($sent, $keeper, $plants, $animals, 1 + min(364, (int) $filled->format('z')));
        $typed = \is_array($sent['reading'] ?? null) ? $sent['reading'] : [];

        return new RunningTank(
            $plan,
            $filled,
            $plants,
            $animals,
            self::inUnits($typed, \is_array($sent['unit'] ?? null) ? $sent['unit'] : [], $keeper),
        );
    }

    /**
     * The plan of a tank as it stands: vessel and method, and who is in.
     *
     * @param array<mixed>  $sent
     * @param list<TakenIn> $plants
     * @param list<TakenIn> $animals
     * @param int           $dayOfYear on which it was filled
     *
     * @throws Refused
     */
    private function standing(array $sent, Keeper $keeper, array $plants, array $animals, int $dayOfYear): Plan
    {
        $plan = $this->vessels->read($sent, $keeper->units());
        $method = \is_string($sent['method'] ?? null) ? Method::tryFrom($sent['method']) : null;
        $plan = null === $method ? $plan : $this->editor->make($plan, [new TakeMethod($method)], $keeper->units())->plan;
        $plan = $this->facts->apply($plan, VesselForm::texts($sent), $keeper->units());
        $changes = [
            ...array_map(static fn (TakenIn $clump): Change => new AddClump($clump->kind, $clump->count), $plants),
            ...array_map(static fn (TakenIn $group): Change => new AddGroup($group->kind, $group->count, $group->day), $animals),
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
     * @param array<mixed>       $sent
     * @param 'plants'|'animals' $list
     * @param int                $age  days since filling
     *
     * @return list<TakenIn>
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
            $things[] = new TakenIn(
                $kind,
                (int) $text('count'),
                '' === $weeks ? $usual : $age - 7 * (int) $weeks,
                '' === $now ? null : (int) $now,
            );
        }

        return $things;
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
}
