<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;

/** Something that a keeper may log as done in a tank, with the amount that is likeliest. */
final readonly class LogAction
{
    /** Share of floaters that is usually taken: half, as in UsualCare. C. */
    public const THINNED = 0.5;
    /** Share of the water that evaporates between two toppings up. C. */
    private const TOPPED_UP = 0.03;
    /** Tasks that change nothing that the run follows, by what the logbook keeps them as. */
    public const TOPPED = 'topped-up';
    public const SPENT = 'spent';
    private const TASKS = [
        'glass-cleaned' => 'Glass wiped',
        'root-tabs' => 'Root tabs pressed in',
        'pump-cleaned' => 'Pump or sponge rinsed',
    ];

    /**
     * @param string      $button  what was done, short
     * @param float|null  $amount  as its kind counts it; litres topped up; null where there is nothing to count
     * @param Number|null $number  what is typed, where anything is
     * @param string|null $of      clump, group or task that it concerns
     * @param string      $section "water", "plants", "animals" or "tank"
     */
    private function __construct(
        public EventKind $kind,
        public string $button,
        public string $section,
        public ?float $amount = null,
        public ?Number $number = null,
        public ?string $of = null,
    ) {
    }

    /**
     * All that may be logged of a tank with this plan, what is usual first.
     *
     * @return list<self>
     */
    public static function of(Plan $plan): array
    {
        $actions = [
            new self(EventKind::Task, 'Topped up', 'water', $plan->netWater() * self::TOPPED_UP, self::litres(), self::TOPPED),
            ...self::ofSection($plan, 'water'),
            ...self::ofSection($plan, 'plants'),
            ...self::ofSection($plan, 'animals'),
            ...self::ofSection($plan, 'tank'),
            new self(EventKind::Task, 'Money spent', 'tank', null, self::money(), self::SPENT),
        ];
        foreach (self::TASKS as $task => $words) {
            $actions[] = new self(EventKind::Task, $words, 'tank', of: $task);
        }

        return $actions;
    }

    /** @return list<self> each plant by each kind of deed, then each group of animals with all that may befall it */
    private static function ofSection(Plan $plan, string $section): array
    {
        $actions = [];
        $kinds = EventKind::buttonsOf($section);
        foreach ($kinds as $kind) {
            foreach (['clump' => $plan->clumps, 'group' => [], '' => [null]][$kind->of() ?? ''] as $clump) {
                $actions[] = self::event($plan, $kind, $clump);
            }
        }
        foreach ($plan->groups as $group) {
            foreach (array_filter($kinds, static fn (EventKind $kind): bool => 'group' === $kind->of()) as $kind) {
                $actions[] = self::event($plan, $kind, $group);
            }
        }

        return $actions;
    }

    /** By kind and what it concerns; null for what may not be logged of this plan. */
    public static function find(Plan $plan, EventKind $kind, ?string $of): ?self
    {
        foreach (self::of($plan) as $action) {
            if ($action->kind === $kind && $action->of === $of) {
                return $action;
            }
        }

        return null;
    }

    /** Known by this on a page: "change", "trim-c1". */
    public function id(): string
    {
        return null === $this->of ? $this->kind->value : "{$this->kind->value}-$this->of";
    }

    private static function event(Plan $plan, EventKind $kind, Clump|Group|null $concerned): self
    {
        $button = $kind->logButton() ?? throw new \LogicException("$kind->value has no button");
        $floats = $concerned instanceof Clump && $concerned->kind->role->coversSurface();
        $number = $kind->amount();

        return new self(
            $kind,
            \sprintf($floats && '' !== $button->afloat ? $button->afloat : $button->words, $concerned?->kind->common),
            $button->section,
            self::usualHere($plan, $kind, $concerned) ?? $number?->usual,
            $number,
            $concerned?->id,
        );
    }

    /** The amount that this plan makes likeliest; null where the kind's own is. */
    private static function usualHere(Plan $plan, EventKind $kind, Clump|Group|null $concerned): ?float
    {
        return match (true) {
            EventKind::Trim === $kind && $concerned instanceof Clump && $concerned->kind->role->coversSurface() => self::THINNED,
            EventKind::Feed === $kind => $plan->feed->grams,
            EventKind::Light === $kind => $plan->lamp->hours,
            EventKind::Stock === $kind && $concerned instanceof Group => (float) $concerned->count,
            default => null,
        };
    }

    /** Least and most that is topped up at once, L. J: beyond them a digit was slipped. */
    private const LITRES = [0.01, 5000.0];

    /** Least and most that is spent at once, in whatever money. J. */
    private const MONEY = [0.01, 100000.0];

    private static function money(): Number
    {
        return new Number('money', Dimension::Count, self::MONEY[0], self::MONEY[1], decimals: 2);
    }

    /** Whether it can be logged in one press: there is an amount, or nothing to count. */
    public function isUsual(): bool
    {
        return null !== $this->amount || null === $this->number;
    }

    private static function litres(): Number
    {
        return new Number('water', Dimension::Volume, self::LITRES[0], self::LITRES[1], decimals: 2);
    }

    /** The clump that it concerns. */
    public function clump(Plan $plan): ?Clump
    {
        return array_column($plan->clumps, null, 'id')[$this->of ?? ''] ?? null;
    }

    /** The group that it concerns. */
    public function group(Plan $plan): ?Group
    {
        return array_column($plan->groups, null, 'id')[$this->of ?? ''] ?? null;
    }
}
