<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Water;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\Ion;

/**
 * All there is to say of one measure, at its case: forms, tables, the readings API, kits, charts and the estimate derive from it.
 *
 * On two scales: the base scale is that of stored values; readings are held against a run on the scale of `floor`.
 */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Measured
{
    /**
     * @param string                     $label        in the middle of a sentence
     * @param string                     $unit         in what the base scale counts, as tables say it; '' for plain numbers
     * @param array{float, float}        $bounds       least and most on the base scale that can be a reading. J: beyond it is a slip
     * @param float                      $noise        standard deviation of a reading on the scale of `floor`. J where nothing else is said
     * @param float                      $bias         the same of what one kit or probe reads off always: no number of readings averages
     *                                                 it away. J after what makers state and comparisons of kits
     * @param float|null                 $floor        added before the logarithm is taken; null where differences count, not ratios
     * @param float                      $nothingBelow base value below which a reading counts as 0
     * @param string                     $column       of a run, what it is held against; '' where Observation has a way of its own
     * @param string|null                $of           whom it is read of: "clump", "group", or null where the whole tank
     * @param list<Ion>                  $ions         as which kits report it, the usual first
     * @param string                     $element      as which it is counted where not as an ion; '' where there are no ions
     * @param array<string, list<float>> $steps        of common kits, by the ion, element or unit that they show; '' for all others. C
     * @param int                        $decimals     in which it is shown where it has no ion
     * @param bool                       $isUsual      whether it is tested week by week. C
     * @param bool                       $isOfWater    whether it is read of the water, by a test, a probe or a ruler
     * @param list<string>               $aliases      other words by which the columns of people's tables are headed
     * @param string                     $remark       what else has to be known to read it
     */
    public function __construct(
        public string $label,
        public Dimension $dimension,
        public array $bounds,
        public float $noise,
        public string $unit = '',
        public ?float $floor = null,
        public float $bias = 0.0,
        public float $nothingBelow = 0.0,
        public string $column = '',
        public ?string $of = null,
        public array $ions = [],
        public string $element = '',
        public array $steps = [],
        public int $decimals = 1,
        public bool $isUsual = false,
        public bool $isOfWater = true,
        public array $aliases = [],
        public string $remark = '',
    ) {
        if ($bounds[0] >= $bounds[1] || $noise <= 0 || (null !== $floor && $floor <= 0) || $nothingBelow < 0 || $bias < 0) {
            throw new \InvalidArgumentException("\"$label\" has invalid bounds, noise or floor.");
        }
        if (([] === $ions) !== ('' === $element)) {
            throw new \InvalidArgumentException("\"$label\" needs ions and their element, or neither.");
        }
    }
}
