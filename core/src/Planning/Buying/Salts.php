<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Buying;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\MolarMass;
use Olvek\Core\Planning\Plan\Care;

/**
 * The salts that make up a week's liquid fertiliser: nitrogen as potassium nitrate, phosphorus as potassium dihydrogen phosphate, the
 * potassium that these do not bring as potassium sulphate, iron as a chelate. P: IUPAC (2021), Standard atomic weights.
 */
final readonly class Salts
{
    /** Share of iron in the chelate that is sold. C (6–13 %). */
    private const CHELATED = 0.1;

    /**
     * @param float $nitrate   g of potassium nitrate
     * @param float $phosphate g of potassium dihydrogen phosphate
     * @param float $sulphate  g of potassium sulphate
     * @param float $chelate   g of iron chelate of a tenth of iron
     * @param float $over      mg/L of potassium that the other two bring beyond what was wanted
     */
    private function __construct(
        public float $nitrate,
        public float $phosphate,
        public float $sulphate,
        public float $chelate,
        public float $over,
    ) {
    }

    /** For so many weeks in so much water. */
    public static function of(Care $care, float $litres, int $weeks = 1): self
    {
        $grams = ($litres * $weeks) / 1000;
        $brought =
            ($care->nitrogen / MolarMass::NITROGEN) * MolarMass::POTASSIUM
            + ($care->phosphorus / MolarMass::PHOSPHORUS) * MolarMass::POTASSIUM;
        $missing = max(0.0, $care->potassium - $brought);

        return new self(
            (($grams * $care->nitrogen) / MolarMass::NITROGEN) * MolarMass::POTASSIUM_NITRATE,
            (($grams * $care->phosphorus) / MolarMass::PHOSPHORUS) * MolarMass::POTASSIUM_DIHYDROGEN_PHOSPHATE,
            (($grams * $missing) / (2 * MolarMass::POTASSIUM)) * MolarMass::POTASSIUM_SULPHATE,
            ($grams * $care->iron) / self::CHELATED,
            max(0.0, $brought - $care->potassium),
        );
    }

    /** @return list<Message> g of each that is wanted */
    public function grams(): array
    {
        return array_values(array_filter([
            self::salt($this->nitrate, new Message('buy.salt.nitrate', ['grams' => $this->nitrate])),
            self::salt($this->phosphate, new Message('buy.salt.phosphate', ['grams' => $this->phosphate])),
            self::salt($this->sulphate, new Message('buy.salt.sulphate', ['grams' => $this->sulphate])),
            self::salt($this->chelate, new Message('buy.salt.chelate', ['grams' => $this->chelate])),
        ]));
    }

    private static function salt(float $grams, Message $message): ?Message
    {
        return $grams > 1e-6 ? $message : null;
    }
}
