<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\SectionReader;
use Olvek\Core\Planning\Plan\Treatment;

/** Another water to fill with, or to top up with. */
final readonly class TakeWater implements Change
{
    public const TOP_UP = 'topUp';
    /** To top up with what it was filled with. */
    public const SAME = 'same';

    /**
     * @param string $which "water" to fill with, or TOP_UP
     * @param string $kind  id in the catalogue; SAME for topping up
     */
    public function __construct(private string $which, private string $kind)
    {
    }

    public function place(): string
    {
        return "$this->which.kind";
    }

    public function typed(): string
    {
        return $this->kind;
    }

    public function make(Draft $draft): ?string
    {
        $label = self::TOP_UP === $this->which ? 'top-up water' : 'water';
        if (self::SAME === $this->kind && self::TOP_UP === $this->which) {
            return $draft->put([self::TOP_UP], null) ? "$label the same as at filling" : null;
        }
        $kind = $draft->catalogue->waters[$this->kind] ?? throw new RefusedEdit('Choose a water from the list.');

        $taken = $draft->put([$this->which], SectionReader::write($kind->likely()));
        // What does not come from a tap has no chlorine in it.
        if (self::TOP_UP !== $this->which && !str_starts_with($this->kind, 'tap')) {
            $taken = $draft->put(['preparation', 'treatment'], Treatment::Unchlorinated->value) || $taken;
        }

        return $taken ? "$label ".mb_strtolower($kind->name) : null;
    }
}
