<?php

declare(strict_types=1);

namespace Olvek\Service\Build;

use Doctrine\ORM\Mapping as ORM;
use Olvek\Service\Tank\Tank;

/** How far the building of a tank has come on its sheet: bag sizes, prices, what is on hand, what is ticked. */
#[ORM\Entity]
#[ORM\Table(name: 'build_progress')]
class Progress
{
    private const EMPTY = ['bags' => [], 'prices' => [], 'have' => [], 'costs' => [], 'ticked' => []];

    /**
     * @var array{
     *     bags: array<string, float>, prices: array<string, float>, have: array<string, float>, costs?: array<string, float>,
     *     ticked: list<string>
     * }
     */
    #[ORM\Column(type: 'json')]
    private array $sheet = self::EMPTY;

    /** 0 before anything has been kept. */
    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    private int $version = 0;

    public function __construct(
        #[ORM\Id]
        #[ORM\OneToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Tank $tank,
    ) {
    }

    /**
     * @return array{
     *     bags: array<string, float>, prices: array<string, float>, have: array<string, float>, costs: array<string, float>,
     *     ticked: list<string>
     * }
     */
    public function sheet(): array
    {
        // Sheets from before there were prices of all lines have none.
        return [...self::EMPTY, ...$this->sheet];
    }

    /**
     * @param array{
     *     bags: array<string, float>, prices: array<string, float>, have: array<string, float>, costs: array<string, float>,
     *     ticked: list<string>
     * } $sheet
     */
    public function keep(array $sheet): void
    {
        $this->sheet = $sheet;
    }

    public function version(): int
    {
        return $this->version;
    }
}
