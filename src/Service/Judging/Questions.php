<?php

declare(strict_types=1);

namespace Olvek\Service\Judging;

use Olvek\Core\Judgement\Solve\BedDepth;
use Olvek\Core\Judgement\Solve\EarliestStart;
use Olvek\Core\Judgement\Solve\LeastPlants;
use Olvek\Core\Judgement\Solve\LightHours;
use Olvek\Core\Judgement\Solve\LongestHoliday;
use Olvek\Core\Judgement\Solve\MostFood;
use Olvek\Core\Judgement\Solve\MostStock;
use Olvek\Core\Judgement\Solve\Question;
use Olvek\Core\Judgement\Solve\WeeklyTrim;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;

/** The inverse questions by the names that commands and addresses give them. */
final readonly class Questions
{
    public const NAMES = ['stock', 'food', 'plants', 'light', 'depth', 'start', 'trim', 'holiday'];

    public function __construct(private Editor $editor, private Catalogue $catalogue)
    {
    }

    /**
     * @param string|null $kind  for stock, the animal's id
     * @param float       $years for depth, how long the soil is to last
     *
     * @return Question|null null where the name or the kind is not known
     */
    public function named(string $name, ?string $kind = null, float $years = 1.0): ?Question
    {
        $animal = $this->catalogue->animals[$kind ?? ''] ?? null;

        return match ($name) {
            'stock' => null === $animal ? null : new MostStock($this->editor, $animal),
            'food' => new MostFood($this->editor),
            'plants' => new LeastPlants($this->editor, $this->catalogue),
            'light' => new LightHours($this->editor),
            'depth' => new BedDepth($this->editor, $years),
            'start' => new EarliestStart($this->editor),
            'trim' => new WeeklyTrim($this->editor),
            'holiday' => new LongestHoliday($this->editor),
            default => null,
        };
    }
}
