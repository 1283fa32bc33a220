<?php

declare(strict_types=1);

namespace Olvek\Build;

use Olvek\Core\Unit\QuantityReader;
use Olvek\Core\Unit\Unit;
use Olvek\Core\Unit\UnitSystem;
use Olvek\Core\Unit\UnreadableQuantity;
use Olvek\Core\Water\Ammonium;
use Olvek\Core\Water\WaterChange;
use Symfony\Component\HttpFoundation\Request;

/** The sums by the tank, as asked for in an address: a dose of ammonia, a change of water. */
final readonly class Calculators
{
    /** What each field says before anybody types. */
    private const USUAL = ['dose' => '2', 'strength' => '', 'from' => '', 'to' => '', 'tap' => '0', 'treat' => '', 'treats' => ''];

    /**
     * @param array<string, string>  $asked       as typed
     * @param array<string, string>  $errors      why, by field
     * @param float|null             $grams       of ammonium chloride
     * @param float|null             $millilitres of its solution
     * @param float|null             $drops       of its solution
     * @param float|null             $treatment mL of the water treatment for the change
     * @param float|null             $filling   mL of it for all of the free water
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
    ) {
    }

    /** @param float $litres of free water */
    public static function asked(Request $request, float $litres, UnitSystem $units): self
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
            null === $strength ? null : $strength * $litres,
        );
    }
}
