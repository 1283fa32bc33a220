<?php

declare(strict_types=1);

namespace Olvek\Core\Run\Event;

use Olvek\Core\Plan\DocumentReader;
use Olvek\Core\Plan\InvalidPlan;
use Olvek\Core\Plan\Plan;
use Olvek\Core\Plan\Problem;
use Olvek\Core\Water\SourceWater;

/**
 * Events from their published form: {"events": [{"do": "dose", "day": 28, "milligramsPerLitre": 2}, …]}.
 * Clumps and groups are named by their ids in the plan.
 */
final readonly class EventDocument
{
    public function __construct(private Plan $plan)
    {
    }

    /**
     * @return list<Event>
     *
     * @throws InvalidPlan with the place of every fault
     */
    public function fromJson(string $json): array
    {
        try {
            $data = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidPlan([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }
        $root = DocumentReader::root($data);
        $events = [];
        foreach ($root->items('events') as $item) {
            $events[] = $this->event($item);
        }
        $root->finish();

        return array_values(array_filter($events));
    }

    private function event(DocumentReader $item): ?Event
    {
        $what = $item->text('do');
        if ('thin-floaters' === $what) {
            return new ThinFloaters(self::share($item, 'above'), self::share($item, 'to'));
        }
        if ('trim-above' === $what) {
            $above = self::within($item, 'above', 1, 2000);

            return new TrimAbove($above, self::within($item, 'to', 0, $above));
        }
        if ('trim-overgrown' === $what) {
            $above = self::within($item, 'above', 1, 100);

            return new TrimOvergrown($above, self::within($item, 'to', 0.1, $above));
        }
        $day = (int) self::within($item, 'day', 0, 1095, $item->whole('day'));

        return match ($what) {
            'dose' => new Dose($day, self::within($item, 'milligramsPerLitre', 0, 20)),
            'fertilise' => new Fertilise($day, self::within($item, 'nitrogen', 0, 20), self::within($item, 'phosphorus', 0, 5), self::within($item, 'potassium', 0, 50), self::within($item, 'iron', 0, 2)),
            'change' => new Change($day, self::share($item, 'share')),
            'feed' => new Feeding($day, self::within($item, 'grams', 0, 1000)),
            'light' => new Lighting($day, self::within($item, 'hours', 0, 24), self::within($item, 'strength', 0, 5)),
            'lamp-off' => new LampOff($day, (int) self::within($item, 'days', 1, 1095, $item->whole('days'))),
            'spell' => new Spell($day, (int) self::within($item, 'days', 1, 1095, $item->whole('days')), self::within($item, 'degrees', -20, 20)),
            'holiday' => new Holiday($day, (int) self::within($item, 'days', 1, 1095, $item->whole('days'))),
            'stock' => new Stock($day, $this->group($item), self::within($item, 'grams', -10000, 10000)),
            'deaths' => new Deaths($day, $this->group($item), self::share($item, 'share')),
            'plant' => new Plant($day, $this->clump($item), self::within($item, 'grams', 0, 10000)),
            'trim' => new Trim($day, $this->clump($item), self::share($item, 'share')),
            'leaves' => new Leaves($day, self::within($item, 'grams', 0, 10000)),
            'top-up-water' => new TopUpWater($day, new SourceWater(self::within($item, 'pH', 4, 10), self::within($item, 'kh', 0, 40), self::within($item, 'gh', 0, 60), self::within($item, 'nitrate', 0, 50))),
            'mulm-out' => new MulmOut($day, self::share($item, 'share')),
            default => self::unknown($item),
        };
    }

    private static function unknown(DocumentReader $item): null
    {
        $item->refuse('do', 'Name one of: dose, change, feed, light, lamp-off, spell, holiday, stock, deaths, plant, trim, leaves, mulm-out, top-up-water, thin-floaters, trim-above, trim-overgrown.');

        return null;
    }

    private static function share(DocumentReader $item, string $key): float
    {
        return self::within($item, $key, 0, 1);
    }

    private static function within(DocumentReader $item, string $key, float $least, float $most, ?float $value = null): float
    {
        $value ??= $item->number($key);
        if ($value < $least || $value > $most) {
            $item->refuse($key, \sprintf('This must be between %g and %g.', $least, $most));
        }

        return $value;
    }

    private function clump(DocumentReader $item): int
    {
        return self::place($item, 'clump', array_map(static fn ($c): string => $c->id, $this->plan->clumps));
    }

    private function group(DocumentReader $item): int
    {
        return self::place($item, 'group', array_map(static fn ($g): string => $g->id, $this->plan->groups));
    }

    /** @param list<string> $ids */
    private static function place(DocumentReader $item, string $key, array $ids): int
    {
        $index = array_search($item->text($key), $ids, true);
        if (!\is_int($index)) {
            $item->refuse($key, 'The plan has no such '.$key.'.');

            return 0;
        }

        return $index;
    }
}
