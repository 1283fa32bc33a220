<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Standing\Standing;

/** What is off or coming in a running tank, marked in its elevation. */
final readonly class ElevationMarks extends ElevationPainter
{
    /** Drawing units that marks keep from each other and from the drawing's edges: a finger's width. */
    private const APART = 60.0;
    private const EDGE = 30.0;
    /** Marks that are drawn; more would hide the tank. J. */
    private const MOST = 7;

    public function mark(Standing $standing): void
    {
        $marks = [];
        foreach ($standing->weighing() as $harm) {
            $marks[] = [MarkPlace::ofHarm($harm->id), $harm->about, $harm->state, $harm->message, $harm->averts];
        }
        foreach ($standing->ahead as $ahead) {
            $state = $ahead->harmless ? MarginState::Holds : MarginState::Tight;
            $marks[] = [MarkPlace::ofAhead($ahead->id), $ahead->about, $state, $ahead->message, []];
        }
        foreach (\array_slice($marks, 0, self::MOST) as [$place, $about, $state, $message, $averts]) {
            [$x, $y] = $this->free($this->at($place, $about));
            $this->view->marks[] = new TankMark($x / $this->view->width, $y / $this->view->height, $state, $message, $averts);
        }
    }

    /**
     * @param string $about id of the kind or clump that it is about; '' for none
     *
     * @return array{float, float} in drawing units
     */
    private function at(MarkPlace $place, string $about): array
    {
        $width = $this->profile->width;
        $bed = $this->plan->bed->meanDepth();
        $line = $this->plan->waterLine;
        $deep = static fn (float $share): float => $bed + ($line - $bed) * $share;
        [$across, $height] = match ($place) {
            MarkPlace::Animals => [0.5, $deep(0.55)],
            MarkPlace::Plants => $this->plant($about) ?? [0.3, $deep(0.3)],
            MarkPlace::Pane => [0.88, $deep(0.45)],
            MarkPlace::Water => [0.18, $deep(0.8)],
            MarkPlace::Bed => [0.5, 0.5 * $bed],
            MarkPlace::Support => [0.92, 0.0],
        };
        // Vessels that narrow keep their marks within the glass.
        $reach = $this->profile->at($height) / $width;

        return [$this->frame->x($width * (0.5 + $reach * ($across - 0.5))), $this->frame->y($height)];
    }

    /** @return array{float, float}|null share from the left, m over the floor; of the tallest clump that is meant */
    private function plant(string $about): ?array
    {
        $tallest = null;
        foreach ($this->plan->clumps as $i => $clump) {
            if (\in_array($about, ['', $clump->id, $clump->kind->id], true) && ($this->day->clumps[$i] ?? 0.0) > 0) {
                $height = min(0.9 * $this->plan->waterLine, $this->plan->bed->meanDepth() + 0.7 * $this->day->height($this->plan, $i));
                $tallest = null === $tallest || $height > $tallest[1] ? [$clump->place, $height] : $tallest;
            }
        }

        return $tallest;
    }

    /**
     * The nearest place at which no mark is hidden by another.
     *
     * @param array{float, float} $wanted
     *
     * @return array{float, float}
     */
    private function free(array $wanted): array
    {
        $left = max(self::EDGE, $this->frame->x(0.0) + self::EDGE);
        $right = min($this->view->width - self::EDGE, $this->frame->x($this->profile->width) - self::EDGE);
        $nearest = $wanted;
        $least = \INF;
        for ($rows = -3; $rows <= 3; ++$rows) {
            for ($columns = -7; $columns <= 7; ++$columns) {
                $x = max($left, min($right, $wanted[0] + self::APART * $columns));
                $y = max(self::EDGE, min($this->view->height - self::EDGE, $wanted[1] + self::APART * $rows));
                $far = hypot($x - $wanted[0], $y - $wanted[1]);
                if ($far < $least && !$this->isTaken($x, $y)) {
                    [$nearest, $least] = [[$x, $y], $far];
                }
            }
        }

        return $nearest;
    }

    private function isTaken(float $x, float $y): bool
    {
        foreach ($this->view->marks as $other) {
            if (hypot($other->x * $this->view->width - $x, $other->y * $this->view->height - $y) < 0.97 * self::APART) {
                return true;
            }
        }

        return false;
    }
}
