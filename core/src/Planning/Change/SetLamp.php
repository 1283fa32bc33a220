<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Nature\Light\SecondLamp;

/** Another strength of the lamp: by its watts, which tell the lumens, or by the lumens, which put the watts out of date. */
final readonly class SetLamp implements Change
{
    public const WATTS = 'light.watts';
    public const LUMENS = 'light.lumens';

    private SetNumber $number;

    private function __construct(private string $place, float $value)
    {
        $this->number = new SetNumber($place, $value);
    }

    public static function watts(float $watts): self
    {
        return new self(self::WATTS, $watts);
    }

    public static function lumens(float $lumens): self
    {
        return new self(self::LUMENS, $lumens);
    }

    public function place(): string
    {
        return $this->place;
    }

    public function typed(): string
    {
        return $this->number->typed();
    }

    public function make(Draft $draft): ?string
    {
        $words = $this->number->make($draft);
        if (null === $words) {
            return null;
        }
        if (self::LUMENS === $this->place) {
            $draft->put(['light', 'watts'], 0.0);
        }

        return $words.self::lit($draft);
    }

    /** Brings the lumens up to the watts where those are told; the words that say so. */
    public static function lit(Draft $draft): string
    {
        $watts = $draft->get(['light', 'watts']);
        if (!\is_float($watts) || $watts <= 0) {
            return '';
        }
        $kind = $draft->get(['light', 'kind']);
        $kind = \is_string($kind) ? $draft->catalogue->lamps[$kind] ?? null : null;
        $lumens = $watts * ($kind->lumensPerWatt->value ?? SecondLamp::LUMENS_PER_WATT);
        $draft->put(['light', 'lumens'], $lumens);

        return \sprintf(' (%.0f lm)', $lumens);
    }
}
