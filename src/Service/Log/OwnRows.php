<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Olvek\Core\Basis\Unit\TextTable;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** Rows of a logbook that Olvek wrote, as it was or as a spreadsheet has saved it. */
final readonly class OwnRows
{
    /** Rows whose ids are looked up at once. */
    private const AT_ONCE = 200;

    public function __construct(private EntryRepository $entries, private Knowledge $knowledge)
    {
    }

    /** @return \Generator<int, Entry|string> by line: an entry, or why the row is none */
    public function entries(Tank $tank, TextTable $table, TableChoice $choice, ?Uuid $import): \Generator
    {
        $waiting = [];
        foreach ($table->named([...TableLook::LOG_COLUMNS, 'made_up', 'note', 'cause', 'id']) as $line => $row) {
            $waiting[$line] = $row;
            if (\count($waiting) >= self::AT_ONCE) {
                yield from $this->some($tank, $waiting, $choice, $import);
                $waiting = [];
            }
        }
        yield from $this->some($tank, $waiting, $choice, $import);
    }

    /**
     * @param array<int, array<string, string>> $rows by line
     *
     * @return \Generator<int, Entry|string>
     */
    private function some(Tank $tank, array $rows, TableChoice $choice, ?Uuid $import): \Generator
    {
        $given = array_map(
            static fn (array $row): string => Uuid::isValid($row['id']) ? Uuid::fromString($row['id'])->toRfc4122() : '',
            $rows,
        );
        $here = array_fill_keys($this->entries->standing(array_values(array_filter($given, static fn ($id) => '' !== $id)), $tank), true);
        foreach ($rows as $line => $row) {
            // A line of this tank is itself; one of another tank's is a line of its own here, the same each time.
            $id = match (true) {
                '' === $given[$line] => Uuid::v5($tank->id(), implode("\n", $row)),
                isset($here[$given[$line]]) => Uuid::fromString($given[$line]),
                default => Uuid::v5($tank->id(), $given[$line]),
            };
            yield $line => $this->entry($tank, $row, $choice, $id, $import);
        }
    }

    /** @param array<string, string> $row */
    private function entry(Tank $tank, array $row, TableChoice $choice, Uuid $id, ?Uuid $import): Entry|string
    {
        $on = $choice->days?->read($row['day']);
        $kind = EntryKind::tryFrom($row['kind']);
        $amount = '' === $row['amount'] ? null : TextTable::number($row['amount']);
        $measure = EntryKind::Reading === $kind ? Measure::tryFrom($row['what']) : null;
        $outside = null === $measure || null === $amount
            ? null
            : ReadingRange::fault($measure, $amount, $tank->keeper->kit(), $tank->keeper->units());
        $fault = match (true) {
            null === $on => "“{$row['day']}” isn’t a day.",
            null === $kind || !$this->isKnown($kind, $row['what']) => 'Olvek doesn’t know this reading, action or sign.',
            '' !== $row['amount'] && null === $amount => "“{$row['amount']}” isn’t a number.",
            null !== $measure && null === $amount => 'This reading has no amount.',
            null !== $outside => $outside,
            1 !== preg_match('/^[a-z0-9:-]{0,80}$/Di', $row['of']) => 'The column “of” may hold only letters, digits and hyphens.',
            default => PlainText::fault($row['words'], Entry::LONGEST_WORDS, 'The text')
                ?? PlainText::faultOfLines($row['note'], Entry::LONGEST_NOTE, 'The note'),
        };

        return null === $on || null === $kind || null !== $fault
            ? $fault
            : new Entry(
                $tank,
                $on,
                $kind,
                $row['what'],
                $amount,
                '' === $row['of'] ? null : $row['of'],
                $row['words'],
                'yes' === strtolower($row['made_up']),
                $id,
                note: $row['note'],
                cause: DeathCause::tryFrom($row['cause'])->value ?? '',
                import: $import,
            );
    }

    private function isKnown(EntryKind $kind, string $what): bool
    {
        return match ($kind) {
            EntryKind::Reading => null !== Measure::tryFrom($what),
            EntryKind::Done => null !== EventKind::named($what),
            EntryKind::Sighting => LogBuilder::ALGAE === $what || null !== Sign::tryFrom($what),
            EntryKind::Note => true,
            EntryKind::Tried, EntryKind::Came => isset($this->knowledge->causes[$what]),
        };
    }
}
