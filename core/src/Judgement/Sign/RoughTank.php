<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\UsualAmount;

/** A tank that has no plan here, told by five things; what is not told is the trade's middle, and is believed little. */
final readonly class RoughTank
{
    /** Litres that a tank may hold, days that it may have run, hours of light. */
    public const LITRES = [3.0, 2000.0];
    public const WEEKS = [0, 150];
    public const HOURS = [0.0, 24.0];
    /** Share of a box's volume that is free water, over a bed. J. */
    private const FREE = 0.78;
    /** Share of its height that the water stands high; m of bed, or as share of the height, and the soil's part of it. C. */
    private const FULL = 0.93;
    private const BED = 0.06;
    private const BED_SHARE = 0.25;
    private const SOIL = 0.45;
    /** lm to a litre of a usual lamp. C: some 20 to 40. */
    private const LUMENS = 30.0;
    /** Floaters to a m² of surface. J. */
    private const FLOATING = 300;
    private const STEM = 'hygrophila-polysperma';
    private const ROSETTE = 'cryptocoryne-wendtii';
    private const FLOATER = 'salvinia-natans';
    private const FISH = 'heterandria-formosa';
    private const MANY = 2.5;

    public function __construct(
        public float $litres,
        public int $weeks,
        public float $hours,
        public bool $sun,
        public RoughPlants $plants,
        public RoughStock $stock,
    ) {
    }

    public function day(): int
    {
        return min(Plan::LAST_DAY, 7 * $this->weeks + 3);
    }

    /** The plan that they make up. */
    public function plan(Catalogue $catalogue): Plan
    {
        $editor = new Editor($catalogue);
        $metric = UnitSystem::Metric;
        $edit = static fn (Plan $to, string $place, string $typed): Plan => $editor->apply($to, [$place => $typed], $metric)->plan;
        $plan = $this->box($editor, $catalogue, $this->litres / self::FREE);
        // Glass and bed take more of a small one.
        $plan = $this->box($editor, $catalogue, $this->litres / self::FREE * $this->litres / $plan->netWater());
        $plan = $editor->apply($plan, [
            'light.lumens' => (string) (int) round(self::LUMENS * $this->litres),
            'light.hours' => \sprintf('%.2f', $this->hours),
            ...$this->sun ? ['site.aspect' => 'south'] : [],
        ], UnitSystem::Metric)->plan;
        [$stems, $rosettes] = $this->plants->shares();
        foreach ([self::STEM => $stems, self::ROSETTE => $rosettes] as $kind => $share) {
            $pieces = (int) round($share * $plan->floor() * 1e4 / $catalogue->plants[$kind]->spread->value);
            $plan = $pieces > 0 ? $edit($plan, "plants.add.$kind", (string) $pieces) : $plan;
        }
        if ($this->plants->floats()) {
            $plan = $edit($plan, 'plants.add.'.self::FLOATER, (string) max(3, (int) round($plan->surface() * self::FLOATING)));
        }
        $heads = match ($this->stock) {
            RoughStock::Nobody => 0,
            RoughStock::Few => UsualAmount::heads($catalogue->animals[self::FISH], $plan),
            RoughStock::Many, RoughStock::Overfed => (int) ceil(self::MANY * UsualAmount::heads($catalogue->animals[self::FISH], $plan)),
        };
        if ($heads > 0) {
            $plan = $edit($plan, 'animals.add.'.self::FISH, \sprintf('%d on %d', $heads, min($this->day(), 28)));
            $grams = UsualAmount::feed($plan->groups) * (RoughStock::Overfed === $this->stock ? self::MANY : 1.0);
            $plan = $edit($plan, 'feeding.grams', \sprintf('%.4f g', $grams));
            $plan = $edit($plan, 'feeding.fromDay', (string) min($this->day(), 28));
        }

        return $plan;
    }

    /** A box of about so many litres with the usual bed, twice as long as wide and high. */
    private function box(Editor $editor, Catalogue $catalogue, float $litres): Plan
    {
        $side = ($litres / 2000) ** (1 / 3);
        $bed = min(self::BED_SHARE * $side, self::BED);
        $metres = static fn (float $length): string => \sprintf('%.4f m', $length);

        return $editor->apply(Plan::starting('A tank', $catalogue), [
            'vessel.length' => $metres(2 * $side),
            'vessel.width' => $metres($side),
            'vessel.height' => $metres($side),
            'waterLine' => $metres(self::FULL * $side),
            'bed.soil.front' => $metres(self::SOIL * $bed),
            'bed.soil.back' => $metres(self::SOIL * $bed),
            'bed.cap.front' => $metres((1 - self::SOIL) * $bed),
            'bed.cap.back' => $metres((1 - self::SOIL) * $bed),
        ], UnitSystem::Metric)->plan;
    }

    /**
     * @param list<Seen>          $seen of the whole tank alone
     * @param array<string, bool> $told
     */
    public function case(
        Catalogue $catalogue,
        array $seen,
        array $told,
        ?TestKit $kit = null,
        UnitSystem $units = UnitSystem::Metric,
    ): TankCase {
        $told += ['fed-much' => RoughStock::Overfed === $this->stock, 'sun' => $this->sun];

        return TankCase::of($this->plan($catalogue), new Log(), $this->day(), $seen, $told, $kit, $units, true);
    }
}
