<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\MarginId;
use Olvek\Core\Judgement\Margin\MarginState;

/** Who or what comes to harm in a tank, how much of it, from when, and what averts it. */
final readonly class Harm
{
    /** States by how many of ten uncertain tanks come to it: from four on it fails, from one on it is tight. */
    private const LIKELY = 0.4;
    private const POSSIBLE = 0.1;

    public MarginState $state;

    /**
     * @param string             $about   id of the kind, clump or part that comes to harm; '' for the whole tank
     * @param float              $amount  as its weight measures it
     * @param int|null           $day     after filling, from which it shows
     * @param Message            $message who comes to harm, how much, when and by what
     * @param list<Message>      $averts  what would avert it, the simplest first
     * @param float|null         $sure    share (0–1) of the uncertain tanks in which it fails; null where that is not known
     */
    public function __construct(
        public HarmId $id,
        public string $about,
        public float $amount,
        public ?int $day,
        public Message $message,
        public array $averts = [],
        public ?float $sure = null,
    ) {
        $weight = $id->weight();
        $this->state = match (true) {
            null !== $sure && $sure >= self::LIKELY, null === $sure && $amount >= $weight->fails => MarginState::Fails,
            null !== $sure && $sure >= self::POSSIBLE, $amount >= $weight->tight => MarginState::Tight,
            default => MarginState::Holds,
        };
    }

    /** How near it comes: 1 where it fails. */
    public function nearness(): float
    {
        $weight = $this->id->weight();

        return $this->amount / (is_finite($weight->fails) ? $weight->fails : $weight->tight);
    }

    /** @return list<MarginId> gauges of its subject, whose remedies are worth trying */
    public function margins(): array
    {
        return match ($this->id) {
            HarmId::Empty, HarmId::Breakage, HarmId::Company => [],
            HarmId::Losses => [MarginId::Losses, MarginId::Ammonia, MarginId::Oxygen],
            HarmId::Water => match ($this->about) {
                'ammonia' => [MarginId::Ammonia],
                'nitrite' => [MarginId::Nitrite],
                'oxygen' => [MarginId::Oxygen],
                default => [MarginId::Oxygen, MarginId::Ammonia, MarginId::Nitrite],
            },
            HarmId::Waters => [MarginId::Waters, MarginId::PH],
            HarmId::Minerals => [MarginId::Minerals],
            HarmId::Temperature => [MarginId::Temperature],
            HarmId::Room => [MarginId::Room],
            HarmId::Plants => [MarginId::Mass, MarginId::Light, MarginId::Fed],
            HarmId::Look => [MarginId::Algae],
            HarmId::Bed => [MarginId::Bed],
            HarmId::Nitrate => [MarginId::Nitrate, MarginId::Stock],
        };
    }

    /** The same, and how many of the uncertain tanks come to it. */
    public function withSureness(float $sure): self
    {
        // What the likeliest tank is spared, and others are not.
        $message = $this->amount < $this->id->weight()->tight ? self::possible($this->id, $sure)->message : $this->message;

        return new self($this->id, $this->about, $this->amount, $this->day, $message, $this->averts, $sure);
    }

    /**
     * A harm from which the likeliest tank is spared altogether.
     *
     * @param self|null $elsewhere as it comes about in another tank, where that is known
     */
    public static function possible(HarmId $id, float $sure, ?self $elsewhere = null): self
    {
        return new self(
            $id,
            $elsewhere->about ?? '',
            0.0,
            $elsewhere?->day,
            new Message('harm.possible', ['what' => $id->value, 'tenth' => (int) round(10 * $sure)]),
            $elsewhere->averts ?? [new Message('avert.possible', ['what' => $id->value])],
            $sure,
        );
    }

    /** Whether a harm that comes to this share (0–1) of the uncertain tanks is to be reckoned with. */
    public static function isLikely(float $sure): bool
    {
        return $sure >= self::LIKELY;
    }
}
