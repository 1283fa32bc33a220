<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Compare;

/** The parts of a plan, as one tells tanks apart by them, and takes them over. */
enum Part: string
{
    case Vessel = 'vessel';
    case Place = 'place';
    case Bed = 'bed';
    case Hardscape = 'hardscape';
    case Light = 'light';
    case Plants = 'plants';
    case Water = 'water';
    case Animals = 'animals';
    case Feeding = 'feeding';
    case Care = 'care';
    case Equipment = 'equipment';
    case Start = 'start';
    case Events = 'events';

    public function words(): string
    {
        return match ($this) {
            self::Vessel => 'vessel',
            self::Place => 'place',
            self::Bed => 'bed',
            self::Hardscape => 'stones and wood',
            self::Light => 'light',
            self::Plants => 'plants',
            self::Water => 'water',
            self::Animals => 'animals',
            self::Feeding => 'feeding',
            self::Care => 'care',
            self::Equipment => 'heater and filter',
            self::Start => 'start',
            self::Events => 'what is planned',
        };
    }

    /** @return list<string> of a plan's document */
    public function keys(): array
    {
        return match ($this) {
            self::Vessel => ['vessel', 'waterLine'],
            self::Place => ['site', 'stand'],
            self::Bed => ['bed', 'zones'],
            self::Water => ['water', 'topUp'],
            self::Start => ['start', 'preparation', 'method'],
            default => [$this->value],
        };
    }

    /** Of a place of a document. */
    public static function of(string $place): self
    {
        $key = explode('.', $place)[0];
        // What is mixed into the bed stands under it in a document.
        $key = 'doses' === $key ? 'bed' : $key;
        foreach (self::cases() as $part) {
            if (\in_array($key, $part->keys(), true)) {
                return $part;
            }
        }

        throw new \OutOfBoundsException("no part of a plan has $key");
    }
}
