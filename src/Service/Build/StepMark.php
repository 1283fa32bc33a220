<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Core\Planning\Steps\Steps;
use Olvek\Service\Tank\Tank;

/** That a step of building was done, or left out on purpose: when, and what is to be remembered of it. */
#[ORM\Entity]
#[ORM\Table(name: 'step_mark')]
class StepMark
{
    public const LONGEST_NOTE = 300;
    /** What a step may be called: those of one group of animals, or of one stone, bear its number. */
    public const ID = '/^[a-z0-9-]{2,40}$/D';

    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
        #[ORM\Id]
        #[ORM\Column(type: 'string', length: 40)]
        public readonly string $step,
        #[ORM\Column(type: 'boolean')]
        private bool $done,
        #[ORM\Column(name: 'on_day', type: 'date_immutable')]
        private \DateTimeImmutable $on,
        #[ORM\Column(type: 'string', length: self::LONGEST_NOTE)]
        private string $note,
    ) {
        $this->tellTank($done ? $on : null);
    }

    /** The tank keeps the day of its filling, which is asked for on every page. */
    private function tellTank(?\DateTimeImmutable $filledOn): void
    {
        if (Steps::FILL === $this->step) {
            $this->tank->fill($filledOn);
        }
    }

    public function done(): bool
    {
        return $this->done;
    }

    public function on(): \DateTimeImmutable
    {
        return $this->on;
    }

    public function note(): string
    {
        return $this->note;
    }

    public function change(bool $done, \DateTimeImmutable $on, string $note): void
    {
        [$this->done, $this->on, $this->note] = [$done, $on, $note];
        $this->tellTank($done ? $on : null);
    }

    /** It is about to be removed: the step stands open again. */
    public function takeBack(): void
    {
        $this->tellTank(null);
    }
}
