<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Account\Today;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\OverBound;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Task\TaskMark;
use Symfony\Component\Uid\Uuid;

/** What is written down of tanks: the one place where lines are added and taken back. */
final readonly class Logbook
{
    /** Times what counts as nothing, up to which "less than" is still the palest colour of a test. J. */
    private const PALEST = 4.0;

    public function __construct(
        private EntityManagerInterface $entities,
        private Today $today,
        private Bounds $bounds,
    ) {
    }

    /**
     * Reads and keeps what was read of a tank; nothing is kept unless all of it can be read.
     *
     * @param array<string, string> $typed by what may be read (ToRead)
     * @param array<string, ToRead> $may   what may, by the same
     * @param Uuid|null             $id    of its first line, from which those of the others are made
     *
     * @return array<string, string> why an entry was refused, by what was to be read; "" for the whole, "day" for its day
     */
    public function test(
        Tank $tank,
        array $typed,
        array $may,
        string $day,
        TestKit $kit,
        UnitSystem $units,
        ?Uuid $id = null,
    ): array {
        $on = $this->today->orEarlier($tank->keeper, $day);
        $errors = null === $on ? ['day' => Today::REFUSED] : [];
        $values = [];
        foreach ($may as $name => $toRead) {
            $measure = $toRead->measure;
            $text = trim($typed[$name] ?? '');
            if ('' === $text) {
                continue;
            }
            try {
                $value = self::typed($measure, $text, $kit, $units);
                $outside = ReadingRange::fault($measure, $value, $kit, $units);
                if (null !== $outside) {
                    $errors[$name] = $outside;
                }
                $values[$name] = $value;
            } catch (UnreadableQuantity $unreadable) {
                $errors[$name] = $unreadable->getMessage();
            }
        }
        if ([] === $values && [] === $errors) {
            $errors[''] = 'Type at least one reading; 0 where nothing showed.';
        }
        $full = [] === $errors ? $this->bounds->fault($tank->keeper, new Holding(lines: \count($values))) : null;
        if (null !== $full) {
            $errors[''] = $full;
        }
        if ([] !== $errors || null === $on) {
            return $errors;
        }
        $next = $id;
        foreach ($values as $of => $value) {
            $measure = $may[$of]->measure;
            $this->entities->persist(
                new Entry(
                    $tank,
                    $on,
                    EntryKind::Reading,
                    $measure->value,
                    $value,
                    $may[$of]->of,
                    self::line($measure, $value, $kit, $units, $may[$of]->whom),
                    id: $next,
                ),
            );
            $next = null === $next ? null : Uuid::v5($next, $of);
        }
        $this->entities->flush();

        return [];
    }

    /**
     * A reading on its base scale. "<0.25" says that the test showed nothing, where that is about the least that it shows.
     *
     * @throws UnreadableQuantity
     */
    private static function typed(Measure $measure, string $text, TestKit $kit, UnitSystem $units): float
    {
        $below = 1 === preg_match('/^[<≤]\s*(.+)$/u', $text, $match);
        $value = $kit->toBase($measure, QuantityReader::read($match[1] ?? $text, $units->unitFor($measure->dimension())));
        if ($measure->isWhole() && floor($value) !== $value) {
            throw new UnreadableQuantity('Type a whole number.');
        }
        if ($below && $value > self::PALEST * $measure->nothingBelow()) {
            throw UnreadableQuantity::onlyBelow($text);
        }

        return $below ? 0.0 : $value;
    }

    /** A reading as the logbook tells it. */
    public static function line(Measure $measure, float $value, TestKit $kit, UnitSystem $units, string $whom = ''): string
    {
        return Words::capital($measure->label()).' '.$kit->show($measure, $value, $units).('' === $whom ? '' : ": $whom");
    }

    /** @return string|null why it was refused */
    public function done(Tank $tank, EventKind $kind, float $amount, ?string $of, string $words, string $day): ?string
    {
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        $this->write($tank, $on, $kind, $amount, $of, $words);
        $this->entities->flush();

        return null;
    }

    /**
     * A line about something done, not yet flushed.
     *
     * @throws OverBound where the keeper may have no more
     */
    public function write(Tank $tank, \DateTimeImmutable $on, EventKind $kind, float $amount, ?string $of, string $words): Entry
    {
        $this->bounds->ask($tank->keeper, new Holding(lines: 1));
        $entry = new Entry($tank, $on, EntryKind::Done, $kind->value, $amount, $of, mb_substr($words, 0, Entry::LONGEST_WORDS));
        $this->entities->persist($entry);

        return $entry;
    }

    /** Whether algae showed when somebody looked. */
    public function algae(Tank $tank, bool $show, string $day): ?string
    {
        $on = $this->today->orEarlier($tank->keeper, $day);
        if (null === $on) {
            return Today::REFUSED;
        }
        $this->entities->persist(
            new Entry(
                $tank,
                $on,
                EntryKind::Sighting,
                LogBuilder::ALGAE,
                $show ? 1.0 : 0.0,
                null,
                $show ? 'Algae show' : 'No algae to be seen',
            ),
        );
        $this->entities->flush();

        return null;
    }

    /** A line of any kind. */
    public function add(Entry $entry): void
    {
        $this->entities->persist($entry);
        $this->entities->flush();
    }

    public function takeBack(Entry $entry): void
    {
        foreach ($this->entities->getRepository(TaskMark::class)->findBy(['tank' => $entry->tank->id(), 'entry' => $entry->id]) as $mark) {
            $this->entities->remove($mark);
        }
        $this->entities->remove($entry);
        $this->entities->flush();
    }
}
