<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Service\Tank\Tank;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** A line of a tank's logbook: a reading, something done, something seen. */
#[ORM\Entity(repositoryClass: EntryRepository::class)]
#[ORM\Table(name: 'log_entry')]
#[ORM\Index(name: 'log_entry_tank_day', columns: ['tank_id', 'on_day'])]
#[ORM\Index(name: 'log_entry_tank_order', columns: ['tank_id', 'on_day', 'written', 'id'])]
#[ORM\Index(name: 'log_entry_tank_kind', columns: ['tank_id', 'kind', 'on_day'])]
#[ORM\Index(name: 'log_entry_tank_written', columns: ['tank_id', 'written'])]
#[ORM\Index(name: 'log_entry_import', columns: ['import_id'])]
class Entry
{
    public const LONGEST_WORDS = 160;
    public const LONGEST_NOTE = 2000;

    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    public readonly Uuid $id;

    /** When it was written, to the microsecond: of two states of a logbook with as many lines, which is which. */
    #[ORM\Column(type: 'string', length: 24)]
    public readonly string $written;

    /**
     * @param string      $what   measure, kind of event or sighting, by its id
     * @param float|null  $amount on the base scale of what it is: readings of nitrogen as mg N/L, what was done as its kind counts
     * @param string|null $of     group or task that it concerns
     * @param string      $words  as people read it
     * @param bool        $madeUp invented for the demo
     * @param Uuid|null   $id      of a line that is brought back; a new one's is made
     * @param string|null $written of a line that is brought back
     * @param string      $note    what the keeper adds
     * @param string      $cause   of what animals died (Cause), '' where it is told of nobody's death
     * @param Uuid|null   $import  of the import that brought it (LogImports), by which all of it is undone
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Column(name: 'on_day', type: 'date_immutable')]
        public readonly \DateTimeImmutable $on,
        #[ORM\Column(type: 'string', length: 16, enumType: EntryKind::class)]
        public readonly EntryKind $kind,
        #[ORM\Column(type: 'string', length: 40)]
        public readonly string $what,
        #[ORM\Column(type: 'float', nullable: true)]
        public readonly ?float $amount,
        #[ORM\Column(name: 'of_id', type: 'string', length: 80, nullable: true)]
        public readonly ?string $of,
        #[ORM\Column(type: 'string', length: self::LONGEST_WORDS)]
        public readonly string $words,
        #[ORM\Column(type: 'boolean')]
        public readonly bool $madeUp = false,
        ?Uuid $id = null,
        ?string $written = null,
        #[ORM\Column(type: 'text', options: ['default' => ''])]
        public readonly string $note = '',
        #[ORM\Column(type: 'string', length: 24, options: ['default' => ''])]
        public readonly string $cause = '',
        #[ORM\Column(name: 'import_id', type: UuidType::NAME, nullable: true)]
        public readonly ?Uuid $import = null,
    ) {
        $this->id = $id ?? Uuid::v7();
        $this->written = $written ?? \sprintf('%.6F', microtime(true));
    }

    /** In what its amount counts, as tables say it; '' where there is none, or it is a plain number. */
    public function unit(): string
    {
        return match (true) {
            null === $this->amount => '',
            EntryKind::Reading === $this->kind => Measure::tryFrom($this->what)?->measured()->unit ?? '',
            EntryKind::Done === $this->kind && LogAction::TOPPED === $this->of => 'L',
            EntryKind::Done === $this->kind => EventKind::named($this->what)?->amountUnit() ?? '',
            default => '',
        };
    }
}
