<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Animal\Coat;

/** Animals of one kind, drawn from their body and their marks and gathered by paint: a path for each, however many there are. */
abstract class AnimalFigure
{
    /** g per cm³ of length: mass of a slender small fish = 0.012 · length³. M (0.008–0.016). */
    private const SLENDERNESS = 0.012;
    /**
     * The same of snails, worms and insects. J: a ramshorn of 1.3 cm weighs 0.4 g, a blackworm of 4 cm 0.01 g, a backswimmer of 1.5 cm 0.15
     * g.
     */
    private const ROUND = 0.2;
    private const THREAD = 0.00015;
    private const STOUT = 0.045;

    /** @var array<string, string> */
    private array $bodies = [];
    /** @var array<string, string> */
    private array $marks = [];
    private string $lines = '';
    private float $x = 0.0;
    private float $y = 0.0;
    private float $unit = 1.0;
    private int $facing = 1;

    final private function __construct(protected readonly AnimalKind $kind)
    {
    }

    public static function of(AnimalKind $kind): self
    {
        return match ($kind->shape) {
            AnimalShape::Fish => new FishFigure($kind),
            AnimalShape::Snail => new SnailFigure($kind),
            AnimalShape::Shrimp => new CrustaceanFigure($kind),
            AnimalShape::Worm, AnimalShape::Insect => new SmallLifeFigure($kind),
        };
    }

    /** m from head to tail of an adult. */
    final public static function length(AnimalKind $kind): float
    {
        $slenderness = match ($kind->shape) {
            AnimalShape::Fish, AnimalShape::Shrimp => self::SLENDERNESS,
            AnimalShape::Snail => self::ROUND,
            AnimalShape::Worm => self::THREAD,
            AnimalShape::Insect => self::STOUT,
        };

        return ($kind->grams->value / $slenderness) ** (1 / 3) / 100;
    }

    /**
     * One more of them.
     *
     * @param float $length in drawing units
     * @param int   $facing 1 to the right, −1 to the left
     */
    final public function add(float $x, float $y, float $length, int $facing): void
    {
        [$this->x, $this->y, $this->unit, $this->facing] = [$x, $y, $length / 20, $facing];
        $this->one();
    }

    /** @return list<Shape> bodies below marks */
    final public function shapes(): array
    {
        $shapes = [];
        foreach ($this->bodies as $coat => $path) {
            $shapes[] = new Shape($path, "animal coat-$coat");
        }
        foreach (array_filter($this->marks, static fn (string $path): bool => '' !== $path) as $coat => $path) {
            $shapes[] = new Shape($path, "mark coat-$coat");
        }
        if ('' !== $this->lines) {
            $shapes[] = new Shape($this->lines, 'feeler');
        }

        return $shapes;
    }

    /** Draws one animal, of 20 units from −10 (tail) to 10 (snout), y downward. */
    abstract protected function one(): void;

    /** @param string $path by p() */
    final protected function body(string $path, ?Coat $coat = null): void
    {
        $name = ($coat ?? $this->kind->look->coat)->value;
        $this->bodies[$name] = ($this->bodies[$name] ?? '').$path;
    }

    final protected function mark(string $path, ?Coat $coat = null): void
    {
        $name = ($coat ?? $this->kind->look->second)->value;
        $this->marks[$name] = ($this->marks[$name] ?? '').$path;
    }

    /** Legs, feelers, whiskers. */
    final protected function line(string $path): void
    {
        $this->lines .= $path;
    }

    /**
     * @param string $path of the animal: "M-8 6.4Q-2 3 7 4Z"
     * @param float  $tall how many times as high it is drawn
     * @param float  $dx   units further to the front
     * @param float  $dy   units further down
     */
    final protected function path(string $path, float $tall = 1.0, float $dx = 0.0, float $dy = 0.0): string
    {
        return (string) preg_replace_callback(
            '/(-?[\d.]+) (-?[\d.]+)/',
            fn (array $point): string => $this->p((float) $point[1] + $dx, (float) $point[2] * $tall + $dy),
            $path,
        );
    }

    private function p(float $dx, float $dy): string
    {
        return Pen::at($this->x + $this->facing * $dx * $this->unit, $this->y + $dy * $this->unit);
    }

    final protected function disc(float $dx, float $dy, float $radius, ?float $tall = null): string
    {
        return Pen::disc(
            $this->x + $this->facing * $dx * $this->unit,
            $this->y + $dy * $this->unit,
            $radius * $this->unit,
            ($tall ?? $radius) * $this->unit,
        );
    }

    /** Whether it is large enough in the drawing for an eye and for fine marks. */
    final protected function isLarge(): bool
    {
        return $this->unit > 0.5;
    }

    final protected function eye(float $dx, float $dy, float $radius = 0.9): void
    {
        if ($this->isLarge()) {
            $this->mark($this->disc($dx, $dy, $radius), Coat::Black === $this->kind->look->coat ? Coat::White : Coat::Black);
        }
    }
}
