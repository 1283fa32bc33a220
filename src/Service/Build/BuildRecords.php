<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Planning\Buying\Shop;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Account\Today;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Tank;
use Psr\EventDispatcher\EventDispatcherInterface;

/** Keeps what is ticked and typed while a tank is being built. */
final readonly class BuildRecords
{
    private const MOST_TICKS = 400;

    public function __construct(
        private EntityManagerInterface $entities,
        private Today $today,
        private Saver $saver,
        private EventDispatcherInterface $events,
    ) {
    }

    public function progress(Tank $tank): Progress
    {
        return $this->entities->find(Progress::class, ['tank' => $tank->id()]) ?? new Progress($tank);
    }

    public function shop(Progress $progress): Shop
    {
        $sheet = $progress->sheet();

        return new Shop($sheet['bags'], $sheet['prices'], $sheet['have'], $sheet['costs']);
    }

    /**
     * Reads a whole sheet as typed; nothing is kept unless all of it can be read.
     *
     * @param array<string, array<string, string>> $typed by column (bags, prices, have) and material; costs by line of the list
     * @param list<string>                         $ticks
     * @param list<Material>                       $materials that the sheet has
     * @param list<string>                         $lines     of the shopping list
     *
     * @return array<string, string> why an entry was refused, by "column.material"
     *
     * @throws ConcurrentChange when another window has kept the sheet at the same moment
     */
    public function keepSheet(
        Progress $progress,
        array $typed,
        array $ticks,
        array $materials,
        array $lines,
        UnitSystem $units,
    ): array {
        $sheet = $progress->sheet();
        $errors = [];
        foreach (['bags' => $units->volume(), 'prices' => Unit::Piece, 'have' => $units->volume()] as $column => $unit) {
            foreach ($materials as $of) {
                $material = $of->id;
                $text = trim($typed[$column][$material] ?? '');
                unset($sheet[$column][$material]);
                if ('' === $text) {
                    continue;
                }
                try {
                    $value = 'prices' === $column ? QuantityReader::read($text, $unit) : self::litres($text, $unit, $of);
                    if ($value < 0 || $value > 100000 || ('bags' === $column && $value <= 0)) {
                        $errors["$column.$material"] = 'bags' === $column ? 'A bag holds more than nothing.' : 'This must be 0 or more.';
                    } else {
                        $sheet[$column][$material] = $value;
                    }
                } catch (UnreadableQuantity $unreadable) {
                    $errors["$column.$material"] = $unreadable->getMessage();
                }
            }
        }
        foreach ($lines as $line) {
            $text = trim($typed['costs'][$line] ?? '');
            unset($sheet['costs'][$line]);
            if ('' === $text) {
                continue;
            }
            try {
                $value = QuantityReader::read($text, Unit::Piece);
                if ($value < 0 || $value > 100000) {
                    $errors["costs.$line"] = 'This must be 0 or more.';
                } else {
                    $sheet['costs'][$line] = $value;
                }
            } catch (UnreadableQuantity $unreadable) {
                $errors["costs.$line"] = $unreadable->getMessage();
            }
        }
        if ([] === $errors) {
            $sheet['ticked'] = array_values(
                array_unique(
                    \array_slice(
                        array_filter($ticks, static fn (string $t): bool => 1 === preg_match('/^[a-z0-9.-]{1,80}$/', $t)),
                        0,
                        self::MOST_TICKS,
                    ),
                ),
            );
            $progress->keep($sheet);
            $this->entities->persist($progress);
            $this->saver->flush();
        }

        return $errors;
    }

    /**
     * Litres of a material as laid, typed by volume or by mass: sand is sold by the kilogram.
     *
     * @throws UnreadableQuantity
     */
    private static function litres(string $text, Unit $bare, Material $material): float
    {
        return Dimension::Mass === QuantityReader::unitOf($text)?->dimension()
            ? QuantityReader::read($text, Unit::Kilogram) / 1000 / $material->density->value
            : QuantityReader::read($text, $bare);
    }

    /** The day of filling: as typed, else as ticked, else today; null where what was typed is no day. */
    public function filled(Tank $tank, string $typed): ?\DateTimeImmutable
    {
        if ('' === $typed) {
            return $tank->filledOn() ?? $this->today->of($tank->keeper);
        }

        return Today::read($typed);
    }

    /** Why a typed day ("" for today) can be none on which something was seen or done in this tank; null where it can. */
    public function dayFault(Tank $tank, string $typed): ?string
    {
        return self::faultOf($typed, $this->today->of($tank->keeper), $tank->filledOn());
    }

    /** The same, where both days are known: of many lines none is asked for again. */
    public static function faultOf(string $typed, \DateTimeImmutable $today, ?\DateTimeImmutable $filled): ?string
    {
        $on = '' === $typed ? $today : Today::read($typed);

        return match (true) {
            null === $on => Today::REFUSED,
            $on > $today => 'This day lies ahead: come back once it has happened.',
            null !== $filled && $on < $filled => \sprintf(
                'The tank was filled on %s; choose that day or a later one.',
                $filled->format('j F Y'),
            ),
            default => null,
        };
    }

    /** @return array<string, StepMark> by step */
    public function marks(Tank $tank): array
    {
        $marks = [];
        foreach ($this->entities->getRepository(StepMark::class)->findBy(['tank' => $tank->id()]) as $mark) {
            $marks[$mark->step] = $mark;
        }

        return $marks;
    }

    /**
     * Marks steps that are still open as done on a day, all or none.
     *
     * @param list<string> $steps
     *
     * @return string|null why it was refused
     *
     * @throws ConcurrentChange when another window has marked one of them at the same moment
     */
    public function markDone(Tank $tank, array $steps, string $day): ?string
    {
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        $marks = $this->marks($tank);
        foreach ($steps as $step) {
            if (!isset($marks[$step])) {
                $this->entities->persist(new StepMark($tank, $step, true, $on, ''));
                $this->events->dispatch(new StepMarked($tank, $step, true, $on));
            }
        }
        $this->saver->flush();

        return null;
    }

    /**
     * @param bool|null $done null to take the mark away
     *
     * @return string|null why it was refused
     *
     * @throws ConcurrentChange when another window has marked it at the same moment
     */
    public function mark(Tank $tank, string $step, ?bool $done, string $day, string $note): ?string
    {
        $mark = $this->entities->find(StepMark::class, ['tank' => $tank->id(), 'step' => $step]);
        if (null === $done) {
            if (null !== $mark) {
                $mark->takeBack();
                $this->entities->remove($mark);
                $this->events->dispatch(new StepMarked($tank, $step, null, $mark->on()));
                $this->saver->flush();
            }

            return null;
        }
        $note = trim($note);
        $fault = PlainText::fault($note, StepMark::LONGEST_NOTE, 'A note');
        if (null !== $fault) {
            return $fault;
        }
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        if (null === $mark) {
            $this->entities->persist(new StepMark($tank, $step, $done, $on, $note));
        } else {
            $mark->change($done, $on, $note);
        }
        $this->events->dispatch(new StepMarked($tank, $step, $done, $on));
        $this->saver->flush();

        return null;
    }
}
