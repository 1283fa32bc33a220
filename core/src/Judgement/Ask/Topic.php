<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Ask;

/** What may be asked of a tank that runs: each is tried on it from today on. */
enum Topic: string
{
    case More = 'more';
    case Kind = 'kind';
    case Light = 'light';
    case Fertilise = 'fertilise';
    case Thin = 'thin';
    case Feed = 'feed';
    case Changes = 'changes';
    case Away = 'away';

    /** Whether parts of one are no answer. */
    public function isWhole(): bool
    {
        return \in_array($this, [self::More, self::Kind, self::Changes, self::Away], true);
    }

    public function words(): string
    {
        return match ($this) {
            self::More => 'More animals',
            self::Kind => 'New animals',
            self::Light => 'Light',
            self::Fertilise => 'Fertiliser',
            self::Thin => 'Floaters',
            self::Feed => 'Food',
            self::Changes => 'Water changes',
            self::Away => 'Away',
        };
    }
}
