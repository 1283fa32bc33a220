<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Level;

/**
 * What of a group of animals stays the same through a run.
 *
 * @internal
 */
final readonly class GroupConstants
{
    /** g at which the parameter animalBasal holds, and animalBreath. */
    private const BASAL_GRAMS = 0.5;
    private const BREATH_GRAMS = 30.0;
    /** Power of size. P: Clarke & Johnston (1999): metabolism per gram falls as mass to the −0.2. */
    private const SIZE = -0.2;
    /** What shrimp and snails burn of themselves against fish. M (0.3–0.6). */
    private const THRIFTY = 0.45;

    /** How much harder fish of the bottom hunt what lives in mulm than swimmers do. J (2–5). */
    private const SIFTS = 3.0;

    public AnimalKind $kind;
    public bool $fish;
    /** Fish that take their food before it has sunk; and what is no fish and filters the open water. */
    public bool $swims;
    public bool $filters;
    /** How hard it hunts the life in mulm. */
    public float $hunts;
    /** g of an adult. */
    public float $grams;
    public float $grazes;
    /** What a g of it burns against fish of BASAL_GRAMS, breathes against fish of BREATH_GRAMS, and eats. */
    public float $burns;
    public float $breathes;
    public float $eats;

    public function __construct(AnimalKind $kind)
    {
        $this->kind = $kind;
        $this->fish = AnimalShape::Fish === $kind->shape;
        $this->swims = $this->fish && Level::Bottom !== $kind->level;
        $this->filters = !$this->fish && Level::Middle === $kind->level;
        $this->hunts = $this->fish ? ($this->swims ? 1.0 : self::SIFTS) : 0.0;
        $this->grams = $kind->grams->value;
        $this->grazes = $kind->grazes->value;
        $thrift = $this->fish ? 1.0 : self::THRIFTY;
        $this->eats = ($this->grams / self::BASAL_GRAMS) ** self::SIZE;
        $this->burns = $thrift * $this->eats;
        $this->breathes = $thrift * ($this->grams / self::BREATH_GRAMS) ** self::SIZE;
    }
}
