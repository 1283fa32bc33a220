<?php

declare(strict_types=1);

namespace Olvek\Page\Build;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\Unit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Nature\Animal\AnimalShape;
use Olvek\Core\Nature\Water\Ammonium;
use Olvek\Core\Nature\Water\WaterChange;
use Olvek\Core\Planning\Steps\Acclimatisation;
use Symfony\Component\HttpFoundation\Request;

/** The sums by the tank, as asked for in an address: a dose of ammonia, a change of water. */
final readonly class Calculators
{
    /** What each field says before anybody types. */
    private const USUAL = [
        'dose' => '2',
        'strength' => '',
        'from' => '',
        'to' => '',
        'tap' => '0',
        'treat' => '',
        'treats' => '',
        'hardness' => '',
        'acidity' => '',
        'warmth' => '',
    ];

    /**
     * @param array<string, string>  $asked       as typed
     * @param array<string, string>  $errors      why, by field
     * @param float|null             $grams       of ammonium chloride
     * @param float|null             $millilitres of its solution
     * @param float|null             $drops       of its solution
     * @param float|null             $treatment mL of the water treatment for the change
     * @param float|null             $filling   mL of it for all of the water that the tank is filled with
     * @param Acclimatisation|null   $fish      how long fish take from the shop's water
     * @param Acclimatisation|null   $shelled   likewise shrimp and snails
     * @param WaterChange|false|null $change      false where none gets there, null where none was asked for
     */
    private function __construct(
        public array $asked,
        public array $errors,
        public ?float $grams = null,
        public ?float $millilitres = null,
        public ?float $drops = null,
        public WaterChange|false|null $change = null,
        public ?float $treatment = null,
        public ?float $filling = null,
        public ?Acclimatisation $fish = null,
        public ?Acclimatisation $shelled = null,
    ) {
    }

    /**
     * @param float $litres of free water
     * @param float $all    litres that it is filled with, what the bed drinks among them
     */
    public static function asked(Request $request, float $litres, float $all, UnitSystem $units): self
    {
        $asked = $numbers = $errors = [];
        foreach (self::USUAL as $name => $usual) {
            $asked[$name] = mb_substr($request->query->getString($name, $usual), 0, 40);
            try {
                $numbers[$name] =
                    '' === trim($asked[$name])
                        ? null
                        : QuantityReader::read(
                            $asked[$name],
                            match ($name) {
                                'treat' => Unit::Millilitre,
                                'treats' => $units->volume(),
                                'hardness' => $units->unitFor(Dimension::Hardness),
                                'acidity' => Unit::Piece,
                                'warmth' => $units->unitFor(Dimension::TemperatureDifference),
                                default => Unit::MilligramPerLitre,
                            },
                        );
                if ($numbers[$name] < 0 || $numbers[$name] > 1e6) {
                    $errors[$name] = 'Type 0 or more.';
                } elseif ('treats' === $name && 0.0 === $numbers[$name]) {
                    $errors[$name] = 'Enter a volume above 0.';
                }
            } catch (UnreadableQuantity $unreadable) {
                $errors[$name] = $unreadable->getMessage();
            }
        }
        if ([] !== $errors) {
            return new self($asked, $errors);
        }
        $dose = $numbers['dose'] ?? null;
        // A solution's strength, in g/L, is read as a bare number.
        $millilitres =
            null !== $dose && ($numbers['strength'] ?? 0.0) > 0 ? Ammonium::millilitres($dose, $litres, $numbers['strength']) : null;

        $change = isset($numbers['from'], $numbers['to'])
            ? WaterChange::of($numbers['from'], $numbers['to'], $numbers['tap'] ?? 0.0, $litres) ?? false
            : null;
        // mL of treatment to each litre of new water, by its label.
        $strength = isset($numbers['treat'], $numbers['treats']) ? (1000 * $numbers['treat']) / $numbers['treats'] : null;

        return new self(
            $asked,
            [],
            null === $dose ? null : Ammonium::grams($dose, $litres),
            $millilitres,
            null === $millilitres ? null : $millilitres / Ammonium::DROP,
            $change,
            null === $strength || !($change instanceof WaterChange) ? null : $strength * $change->each * $litres,
            null === $strength ? null : $strength * $all,
            ...self::acclimatised($numbers),
        );
    }

    /**
     * @param array<string, float|null> $numbers
     *
     * @return array{Acclimatisation|null, Acclimatisation|null} for fish, and for what has a shell
     */
    private static function acclimatised(array $numbers): array
    {
        $by = [$numbers['warmth'] ?? null, $numbers['hardness'] ?? null, $numbers['acidity'] ?? null];
        if ([] === array_filter($by, static fn (?float $n): bool => null !== $n)) {
            return [null, null];
        }

        return array_map(
            static fn (AnimalShape $shape): Acclimatisation => Acclimatisation::by((float) $by[0], (float) $by[1], (float) $by[2], $shape),
            [AnimalShape::Fish, AnimalShape::Shrimp],
        );
    }
}
