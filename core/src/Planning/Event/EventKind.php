<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Event;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Unit\Dimension;

/**
 * Every kind of thing that can happen to a tank: what a plan may hold, what a run meets with, what is done and logged, what is due. Each is
 * a class of its own (Event), which says all there is to say of it.
 */
enum EventKind: string
{
    case Stock = 'stock';
    case TakeOut = 'take-out';
    case Deaths = 'deaths';
    case Lost = 'lost';
    case Counted = 'counted';
    case Plant = 'plant';
    case Remove = 'remove';
    case Trim = 'trim';
    case Change = 'change';
    case Changes = 'changes';
    case TopUpWater = 'top-up-water';
    case Dose = 'dose';
    case Fertilise = 'fertilise';
    case Feed = 'feed';
    case Leaves = 'leaves';
    case MulmOut = 'mulm-out';
    case Light = 'light';
    case LampOff = 'lamp-off';
    case Spell = 'spell';
    case Holiday = 'holiday';
    case Bacteria = 'bacteria';
    case Seed = 'seed';
    case Task = 'task';
    case AlgaeSeen = 'algae-seen';
    case ThinFloaters = 'thin-floaters';
    case TrimAbove = 'trim-above';
    case TrimOvergrown = 'trim-overgrown';

    /** Kinds by names that they had in older documents. */
    private const FORMER = ['melt-out' => self::MulmOut];

    /** By its name, today's or a former one; null for none. */
    public static function named(string $name): ?self
    {
        return self::FORMER[$name] ?? self::tryFrom($name);
    }

    /** @return class-string<Event> */
    public function type(): string
    {
        return match ($this) {
            self::Stock => Stock::class,
            self::TakeOut => TakeOut::class,
            self::Deaths => Deaths::class,
            self::Lost => Lost::class,
            self::Counted => Counted::class,
            self::Plant => Plant::class,
            self::Remove => Remove::class,
            self::Trim => Trim::class,
            self::Change => WaterChange::class,
            self::Changes => WaterChangeRoutine::class,
            self::TopUpWater => TopUpWater::class,
            self::Dose => Dose::class,
            self::Fertilise => Fertilise::class,
            self::Feed => Feed::class,
            self::Leaves => Leaves::class,
            self::MulmOut => MulmOut::class,
            self::Light => Light::class,
            self::LampOff => LampOff::class,
            self::Spell => Spell::class,
            self::Holiday => Holiday::class,
            self::Bacteria => Bacteria::class,
            self::Seed => Seed::class,
            self::Task => Task::class,
            self::AlgaeSeen => AlgaeSeen::class,
            self::ThinFloaters => ThinFloaters::class,
            self::TrimAbove => TrimAbove::class,
            self::TrimOvergrown => TrimOvergrown::class,
        };
    }

    public function happens(): Happens
    {
        /** @var array<string, Happens> $told */
        static $told = [];

        return $told[$this->value] ??= (new \ReflectionClass($this->type()))->getAttributes(Happens::class)[0]->newInstance();
    }

    /** The button by which a keeper logs it; null where it can't be logged by hand. */
    public function logButton(): ?LogButton
    {
        /** @var array<string, LogButton|null> $read */
        static $read = [];

        return $read[$this->value] ??= ((new \ReflectionClass($this->type()))->getAttributes(LogButton::class)[0] ?? null)?->newInstance();
    }

    /** @return list<self> kinds that are logged by a button of a section, the usual first */
    public static function buttonsOf(string $section): array
    {
        $kinds = array_values(array_filter(self::cases(), static fn (self $kind): bool => $section === $kind->logButton()?->section));
        usort($kinds, static fn (self $a, self $b): int => ($a->logButton()->order ?? 0) <=> ($b->logButton()->order ?? 0));

        return $kinds;
    }

    /** What it is called as something that will happen. */
    public function words(): string
    {
        return $this->happens()->words;
    }

    /** @return list<self> kinds that a plan may hold */
    public static function plannable(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $k): bool => $k->happens()->planned));
    }

    /** Whether it has a date, and does not happen whenever the tank has come to a point. */
    public function isDated(): bool
    {
        return is_subclass_of($this->type(), Dated::class);
    }

    /** Whom it concerns: "clump", "group", or null where the whole tank. */
    public function of(): ?string
    {
        return match (true) {
            property_exists($this->type(), 'clump') => 'clump',
            property_exists($this->type(), 'group') => 'group',
            default => null,
        };
    }

    /** @return array<string, Number> what it is told by, beside the day and whom it concerns, by name */
    public function values(): array
    {
        $values = [];
        foreach (Fields::of($this->type()) as $name => $property) {
            if ($property->told instanceof Number) {
                $values[$name] = $property->told;
            }
        }

        return $values;
    }

    /**
     * @param array<string, mixed> $values by name, with "day", and with "clump" or "group" where it concerns one
     */
    public function make(array $values): Event
    {
        return Fields::make($this->type(), $values);
    }

    /** Its amount in a logbook, which holds one number of each: the first of its values; null where it has none. */
    public function amount(): ?Number
    {
        return array_values($this->values())[0] ?? null;
    }

    /** In what the amount of a logged one counts, as tables say it; '' for plain numbers. */
    public function amountUnit(): string
    {
        $number = $this->amount();

        return match ($number?->dimension) {
            Dimension::Mass => self::Feed === $this ? 'g a day' : 'g',
            Dimension::Volume => 'L',
            Dimension::Share => 'share',
            Dimension::Concentration => 'mg/L'.(null === $number->ion ? '' : ' as N'),
            Dimension::Duration => 'h',
            Dimension::Temperature => '°C',
            default => '',
        };
    }

    /**
     * What was logged, as an event. Of several values a logbook holds the first.
     *
     * @param float       $amount as amount() says
     * @param string|null $of     id of the clump or group
     */
    public function logged(int $day, float $amount, ?string $of): Event
    {
        if (self::Fertilise === $this) {
            return Fertilise::ofBottle($day, $amount);
        }
        $values = ['day' => $day];
        $property = array_values(Fields::of($this->type()))[0] ?? null;
        if (null !== $property) {
            $values[$property->name] = $property->isWhole() ? (int) $amount : $amount;
        }
        if (null !== $this->of()) {
            $values[$this->of()] = $of;
        }

        return $this->make($values);
    }
}
