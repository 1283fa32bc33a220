<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Doctrine\ORM\Mapping as ORM;
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
        public bool $done,
        #[ORM\Column(name: 'on_day', type: 'date_immutable')]
        public \DateTimeImmutable $on,
        #[ORM\Column(type: 'string', length: self::LONGEST_NOTE)]
        public string $note,
    ) {
    }
}
