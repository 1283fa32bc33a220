<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Plan\Plan;

/** Something that may be read of a tank: a test of its water, or a clump or a group by ruler and by counting. */
final readonly class ToRead
{
    /**
     * @param string|null $of      clump or group that it is read of
     * @param string      $whom    what that is called
     * @param string      $section "usual", "more", "plants" or "animals"
     */
    private function __construct(public Measure $measure, public ?string $of, public string $whom, public string $section)
    {
    }

    /** @return array<string, self> what may be read of any tank's water, by id */
    public static function water(): array
    {
        $all = [];
        foreach (Measure::ofWater() as $measure) {
            $all[$measure->value] = new self($measure, null, '', $measure->measured()->isUsual ? 'usual' : 'more');
        }

        return $all;
    }

    /**
     * All that may be read of a tank with this plan.
     *
     * @return array<string, self> by id
     */
    public static function of(Plan $plan): array
    {
        $all = array_values(self::water());
        $floats = false;
        foreach ($plan->clumps as $clump) {
            $floats = $floats || $clump->kind->role->coversSurface();
        }
        if ($floats) {
            $all[] = new self(Measure::Cover, null, '', 'plants');
        }
        foreach ($plan->clumps as $clump) {
            foreach ($clump->kind->role->coversSurface() ? [Measure::Pieces] : [Measure::Height, Measure::Pieces] as $measure) {
                $all[] = new self($measure, $clump->id, $clump->kind->common, 'plants');
            }
        }
        foreach ($plan->groups as $group) {
            foreach (Measure::ofGroups() as $measure) {
                $all[] = new self($measure, $group->id, $group->kind->common, 'animals');
            }
        }

        return array_column(array_map(static fn (self $one): array => [$one->id(), $one], $all), 1, 0);
    }

    /** Known by this in a form: "nitrate", "height@c1". */
    public function id(): string
    {
        return $this->measure->value.(null === $this->of ? '' : "@$this->of");
    }
}
