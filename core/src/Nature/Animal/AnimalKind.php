<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

use Olvek\Core\Basis\Unit\Estimate;

/** A kind of animal: what it weighs, eats and needs. */
final readonly class AnimalKind
{
    /** L below which the trade keeps shrimp and snails only. C. */
    public const FISH_FROM = 10.0;

    /**
     * @param string   $synonyms   other names that it is sold or written under, parted by semicolons
     * @param Estimate $grams      wet mass of an adult
     * @param Estimate $leastTank  litres of the smallest tank that suits the kind
     * @param Estimate $litresEach litres for each further adult
     * @param Estimate $group      least number that should live together
     * @param Estimate $coolest    °C from which it thrives; so are the other bounds
     * @param Estimate $warmest    °C
     * @param Estimate $food       share of body mass eaten a day, dry food
     * @param Estimate $acidest    lowest pH
     * @param Estimate $alkalinest highest pH
     * @param Estimate $softest    lowest general hardness, °dH
     * @param Estimate $hardest    highest general hardness, °dH
     * @param KeptRange $kept      wider ranges of all six, in which it is kept for years
     * @param list<CompanyRule> $company absolute rules of company
     * @param Estimate $breeds     d⁻¹ at which numbers grow while there is food and room; 0 where it does not breed in a tank
     * @param Estimate $grazes     share of a full-time grazer's appetite for algae and mulm
     * @param Estimate $oxygen     mg/L below which it suffers
     * @param list<Prey> $eats     beside what it is given
     * @param Estimate $protein    share of its usual food
     */
    public function __construct(
        public string $id,
        public string $scientific,
        public string $common,
        public string $synonyms,
        public AnimalShape $shape,
        public Level $level,
        public Estimate $grams,
        public Estimate $leastTank,
        public Estimate $litresEach,
        public Estimate $group,
        public Estimate $coolest,
        public Estimate $warmest,
        public Estimate $food,
        public bool $jumper,
        public Estimate $acidest,
        public Estimate $alkalinest,
        public Estimate $softest,
        public Estimate $hardest,
        public KeptRange $kept,
        public Temper $temper,
        public array $company,
        public Estimate $breeds,
        public Estimate $grazes,
        public bool $burrows,
        public bool $breathesAir,
        public Estimate $oxygen,
        public array $eats,
        public Estimate $protein,
        public bool $invasive,
        public bool $wildCaught,
        public bool $matureTank,
        public AnimalLook $look,
        public string $remarks,
    ) {
    }

    /** Its names as a list shows them: the common one, the accepted one and others that it is sold or written under. */
    public function names(): string
    {
        return \sprintf('%s (%s)', $this->common, '' === $this->synonyms ? $this->scientific : "$this->scientific; $this->synonyms");
    }

    /** @return list<string> what to mind before buying, each a sentence */
    public function cautions(): array
    {
        return array_keys(array_filter([
            'Jumps: a lid, floaters or a lower water line.' => $this->jumper,
            'For a grown tank: wait until film has covered glass and leaves.' => $this->matureTank,
            'Often caught in the wild: ask for bred ones.' => $this->wildCaught,
            'Settles in the wild: check what your country allows.' => $this->invasive,
        ]));
    }

    /** Litres of the smallest tank that anybody should keep it in. */
    public function leastLitres(): float
    {
        return max($this->leastTank->value, AnimalShape::Fish === $this->shape ? self::FISH_FROM : 0.0);
    }
}
