<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Field\InvalidValue;
use Olvek\Core\Nature\Bed\Bed;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Vessel\VesselShape;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\DocumentReader;
use Olvek\Core\Planning\Plan\EmptyParts;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlanRule;
use Olvek\Core\Planning\Plan\Problem;
use Olvek\Core\Planning\Plan\SectionReader;
use Olvek\Core\Planning\Plan\Treatment;

/**
 * The published form of a wish (schema/wish.schema.json): the sections of a plan that a keeper knows beforehand, as a plan's document has
 * them, and what is dreamt of. What is not said is the trade's usual middle.
 */
final readonly class WishDocument
{
    public const FORMAT = 'olvek.wish';
    public const VERSION = 1;
    /** Share of the rim's height to which a vessel is filled where nobody says. C. */
    private const FILLED = 0.92;

    private PlanDocument $plans;

    public function __construct(private Catalogue $catalogue)
    {
        $this->plans = new PlanDocument($catalogue);
    }

    /** @throws InvalidPlan with every fault by its place */
    public function fromJson(string $json): Wish
    {
        try {
            $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidPlan([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }

        return $this->read($data, DocumentReader::root($data, EmptyParts::of($json)));
    }

    /** @throws InvalidPlan with every fault by its place */
    public function fromArray(mixed $data): Wish
    {
        return $this->read($data, DocumentReader::root($data));
    }

    /** @throws InvalidPlan */
    private function read(mixed $data, DocumentReader $root): Wish
    {
        if (self::FORMAT !== $root->text('format') || self::VERSION !== $root->whole('version')) {
            $root->refuse('format', \sprintf('A wish begins with "format": "%s", "version": %d.', self::FORMAT, self::VERSION));
            $root->finish();
        }
        $own = \is_array($data) && \is_array($data['light'] ?? null) ? $root->raw('light') : null;
        $lamp = null === $own ? self::lamp($root) : LampWish::Mine;
        $plants = $root->childOrNone('plants');
        $animals = array_values(array_filter(array_map($this->animal(...), self::few($root, 'animals'))));
        $taste = '' === $root->textOr('taste', '') ? null : $root->choice('taste', Taste::class);
        $method = '' === $root->textOr('method', '') ? null : $root->choice('method', Method::class);
        $cleaners = $root->lacks('cleaners') || $root->truth('cleaners');
        $hasVessel = !$root->lacks('hasVessel') && $root->truth('hasVessel');
        $wanted = null === $plants ? [] : $this->kinds($plants, 'wanted');
        $unwanted = null === $plants ? [] : $this->kinds($plants, 'unwanted');
        $onHand = null === $plants ? [] : array_values(array_filter(array_map($this->pieces(...), self::few($plants, 'onHand'))));
        foreach ($wanted as $kind) {
            if (\in_array($kind, $unwanted, true)) {
                $plants?->refuse(
                    'wanted',
                    "$kind->common is wanted and unwanted at once: take it out of one of the two.",
                    PlanRule::Wanted,
                );
            }
        }
        $tank = $this->tank($root, $own);
        $root->finish();
        if (null === $tank) {
            throw new \LogicException('a tank that could not be read was refused');
        }

        return new Wish($tank, $lamp, $animals, $cleaners, $taste, $wanted, $unwanted, $onHand, $method, $hasVessel);
    }

    /** @return array<string, mixed> */
    public function toArray(Wish $wish): array
    {
        $plan = $this->plans->toArray($wish->tank);

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $wish->tank->name,
            'vessel' => $plan['vessel'],
            'waterLine' => $plan['waterLine'],
            'site' => $plan['site'],
            'stand' => $plan['stand'],
            'water' => $plan['water'],
            'light' => LampWish::Mine === $wish->lamp ? $plan['light'] : $wish->lamp->value,
            'animals' => array_map(
                static fn (WishedAnimal $a): array => ['kind' => $a->kind->id, ...null === $a->count ? [] : ['count' => $a->count]],
                $wish->animals,
            ),
            'cleaners' => $wish->cleaners,
            'taste' => $wish->taste?->value,
            'plants' => [
                'wanted' => array_map(static fn (PlantKind $p): array => ['kind' => $p->id], $wish->wanted),
                'unwanted' => array_map(static fn (PlantKind $p): array => ['kind' => $p->id], $wish->unwanted),
                'onHand' => array_map(static fn (array $had): array => ['kind' => $had[0]->id, 'pieces' => $had[1]], $wish->onHand),
            ],
            'method' => $wish->method?->value,
            'hasVessel' => $wish->hasVessel,
        ];
    }

    public function toJson(Wish $wish): string
    {
        return json_encode(
            $this->toArray($wish),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    private static function lamp(DocumentReader $root): LampWish
    {
        $lamp = LampWish::tryFrom($root->lacks('light') ? LampWish::Suggest->value : $root->text('light'));
        if (null === $lamp || LampWish::Mine === $lamp) {
            $root->refuse('light', 'Say "none", "suggest", or what the lamp is: {"lumens": …, "hours": …}.');
        }

        return $lamp ?? LampWish::Suggest;
    }

    /**
     * The bare tank: what the wish says of it, in a plan's own words, so that a plan's own reader says what is wrong with it.
     *
     * @param array<string, mixed>|null $lamp the keeper's own
     */
    private function tank(DocumentReader $root, ?array $lamp): ?Plan
    {
        $usual = Plan::starting('A wished tank', $this->catalogue)->withBed(new Bed(null, null));
        $plan = $this->plans->toArray($usual);
        $vessel = $root->raw('vessel');
        $site = $root->raw('site');
        $outdoors = Aspect::Open->value === ($site['aspect'] ?? '');
        // What is left out of a site outdoors is what is usual there, which a plan's reader knows.
        $plan['site'] = [...array_diff_key(SectionReader::write($usual->site), $outdoors ? ['humidity' => 0, 'rain' => 0] : []), ...$site];
        $plan['stand'] = [...SectionReader::write($usual->stand), ...$root->raw('stand')];
        $plan['name'] = $root->lacks('name') ? $usual->name : $root->text('name');
        $plan['vessel'] = $vessel;
        $plan['waterLine'] = $root->lacks('waterLine') ? self::usualLine($vessel) : $root->number('waterLine');
        [$plan['water'], $treatment] = $this->water($root, SectionReader::write($usual->water));
        if (null !== $treatment) {
            $plan['preparation'] = [...SectionReader::write($usual->preparation), 'treatment' => $treatment->value];
        }
        if (null !== $lamp) {
            $plan['light'] = [...SectionReader::write($usual->lamp), ...$lamp];
        }
        try {
            return $this->plans->fromArray($plan);
        } catch (InvalidPlan $refused) {
            foreach ($refused->problems as $problem) {
                $root->refuse($problem->path, $problem->message(), $problem->rule);
            }

            return null;
        }
    }

    /**
     * Numbers as a plan has them, or {"kind": …} of the catalogue's waters.
     *
     * @param array<string, mixed> $usual
     *
     * @return array{array<string, mixed>, Treatment|null}
     */
    private function water(DocumentReader $root, array $usual): array
    {
        $told = $root->raw('water');
        if (!\array_key_exists('kind', $told)) {
            return [[...$usual, ...$told], null];
        }
        $kind = \is_string($told['kind']) ? $this->catalogue->waters[$told['kind']] ?? null : null;
        if (null === $kind) {
            $root->refuse('water.kind', 'Name one of: '.implode(', ', array_keys($this->catalogue->waters)).'.');

            return [$usual, null];
        }
        unset($told['kind']);

        return [
            [...SectionReader::write($kind->likely()), ...$told],
            str_starts_with($kind->id, 'tap') ? null : Treatment::Unchlorinated,
        ];
    }

    /**
     * m: nine tenths of the rim, of what can be measured; else so low that a plan's reader names what is wrong with the vessel alone.
     *
     * @param array<string, mixed> $vessel
     */
    private static function usualLine(array $vessel): float
    {
        $shape = \is_string($vessel['shape'] ?? null) ? VesselShape::tryFrom($vessel['shape']) : null;
        $measures = array_map(floatval(...), array_filter($vessel, is_numeric(...)));

        try {
            return null === $shape || [] !== array_diff($shape->measures(), array_keys($measures))
                ? 0.1
                : round(self::FILLED * $shape->make($measures)->height(), 3);
        } catch (InvalidValue) {
            return 0.1;
        }
    }

    private function animal(DocumentReader $item): ?WishedAnimal
    {
        $id = $item->text('kind');
        $kind = $this->catalogue->animals[$id] ?? null;
        if (null === $kind) {
            $item->refuse('kind', \sprintf('“%s” is not an animal Olvek knows.', mb_substr($id, 0, 60)));
        }
        $count = $item->lacks('count') ? null : $item->whole('count');
        if (null !== $count && ($count < 1 || $count > Group::MOST)) {
            $item->refuse('count', \sprintf('From 1 to %d.', Group::MOST));
        }

        return null === $kind ? null : new WishedAnimal($kind, $count);
    }

    /** @return list<PlantKind> */
    private function kinds(DocumentReader $plants, string $key): array
    {
        return array_values(array_filter(array_map($this->plant(...), self::few($plants, $key))));
    }

    private function plant(DocumentReader $item): ?PlantKind
    {
        $id = $item->text('kind');
        $kind = $this->catalogue->plants[$id] ?? null;
        if (null === $kind) {
            $item->refuse('kind', \sprintf('“%s” is not a plant Olvek knows.', mb_substr($id, 0, 60)));
        }

        return $kind;
    }

    /** @return array{PlantKind, int}|null */
    private function pieces(DocumentReader $item): ?array
    {
        $kind = $this->plant($item);
        $pieces = $item->whole('pieces');
        if ($pieces < 1 || $pieces > Clump::MOST_PIECES) {
            $item->refuse('pieces', \sprintf('From 1 to %d.', Clump::MOST_PIECES));
        }

        return null === $kind ? null : [$kind, $pieces];
    }

    /** @return list<DocumentReader> */
    private static function few(DocumentReader $reader, string $key): array
    {
        $items = $reader->itemsOrNone($key);
        if (\count($items) > Wish::MOST_KINDS) {
            $reader->refuse($key, \sprintf('At most %d.', Wish::MOST_KINDS));
        }

        return $items;
    }
}
