<?php

declare(strict_types=1);

namespace Olvek\Core\Buying;

use Olvek\Core\Plan\Care;

/**
 * The salts that make up a week's liquid fertiliser: nitrogen as potassium nitrate, phosphorus as potassium dihydrogen phosphate, the
 * potassium that these do not bring as potassium sulphate, iron as a chelate. P: IUPAC (2021), Standard atomic weights.
 */
final readonly class Salts
{
    private const NITROGEN = 14.007;
    private const PHOSPHORUS = 30.974;
    private const POTASSIUM = 39.098;
    /** g/mol. */
    private const NITRATE = 101.10;
    private const PHOSPHATE = 136.09;
    private const SULPHATE = 174.26;
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
            ($care->nitrogen / self::NITROGEN) * self::POTASSIUM + ($care->phosphorus / self::PHOSPHORUS) * self::POTASSIUM;
        $missing = max(0.0, $care->potassium - $brought);

        return new self(
            (($grams * $care->nitrogen) / self::NITROGEN) * self::NITRATE,
            (($grams * $care->phosphorus) / self::PHOSPHORUS) * self::PHOSPHATE,
            (($grams * $missing) / (2 * self::POTASSIUM)) * self::SULPHATE,
            ($grams * $care->iron) / self::CHELATED,
            max(0.0, $brought - $care->potassium),
        );
    }

    /** @return array<string, float> g by name, of those that are wanted */
    public function grams(): array
    {
        return array_filter([
            'potassium nitrate' => $this->nitrate,
            'potassium dihydrogen phosphate' => $this->phosphate,
            'potassium sulphate' => $this->sulphate,
            'iron chelate (10 % iron)' => $this->chelate,
        ], static fn (float $grams): bool => $grams > 1e-6);
    }
}
