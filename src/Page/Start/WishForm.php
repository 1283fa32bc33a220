<?php

declare(strict_types=1);

namespace Olvek\Page\Start;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishedAnimal;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Light\Aspect;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\Refused;
use Olvek\Core\Planning\Plan\Site;

/** A wish as its page sends it. */
final readonly class WishForm
{
    /** Numbers of the plan that are asked for, typed as on the Bench; left empty they are the usual. */
    public const PLACES = [
        'site.aspect',
        'site.room',
        'site.temperature',
        'site.swing',
        'site.bears',
        'site.above',
        'water.pH',
        'water.kh',
        'water.gh',
        'light.lumens',
    ];

    public function __construct(private VesselForm $vessels, private Catalogue $catalogue, private Editor $editor)
    {
    }

    /**
     * @param array<mixed>       $sent
     * @param array<string, int> $stock pieces of plants on hand
     *
     * @throws Refused with the places as paths
     */
    public function read(array $sent, UnitSystem $units, array $stock): Wish
    {
        $text = static fn (string $name): string => \is_string($sent[$name] ?? null) ? trim($sent[$name]) : '';
        $lamp = self::choice(LampWish::class, $text('lamp'), 'lamp') ?? LampWish::Suggest;
        $method = self::choice(Method::class, $text('method'), 'method');

        return new Wish(
            $this->tank($sent, $units, $lamp, 'yes' === $text('sealed')),
            $lamp,
            $this->animals($sent),
            'no' !== $text('cleaners'),
            self::choice(Taste::class, $text('taste'), 'taste'),
            $this->plants($sent, 'wanted'),
            $this->plants($sent, 'unwanted'),
            'no' === $text('stock') ? [] : $this->onHand($stock),
            $method,
            'no' !== $text('hasVessel'),
        );
    }

    /**
     * The address of a wish that differs from a sent one in its lamp or its animals.
     *
     * @param array<mixed> $sent
     *
     * @return array<mixed>
     */
    public static function query(Wish $wish, array $sent): array
    {
        $counts = [];
        foreach ($wish->animals as $animal) {
            $counts[$animal->kind->id] = (string) ($animal->count ?? '');
        }

        return [...$sent, 'lamp' => $wish->lamp->value, 'animals' => array_keys($counts), 'count' => $counts];
    }

    /**
     * @param array<mixed> $sent
     *
     * @throws Refused
     */
    private function tank(array $sent, UnitSystem $units, LampWish $lamp, bool $sealed): Plan
    {
        $edits = array_filter(
            array_intersect_key(VesselForm::texts($sent), array_flip(self::PLACES)),
            static fn (string $t, string $place): bool => '' !== trim($t) && ('light.lumens' !== $place || LampWish::Mine === $lamp),
            \ARRAY_FILTER_USE_BOTH,
        );
        $water = \is_string($sent['water'] ?? null) && '' !== $sent['water'] ? ['water.kind' => $sent['water']] : [];
        $plan = $this->vessels->read($sent, $units);
        $plan = $this->editor->apply($plan, [...$water, ...$edits, ...$sealed ? ['site.sealed' => 'yes'] : []], $units)->plan;
        if (LampWish::Mine === $lamp && (!isset($edits['light.lumens']) || $plan->lamp->lumens <= 0)) {
            throw FormRefused::at('light.lumens', 'Say how strong it is: "18 W" or "1800 lm".');
        }
        // A room's warmth is the water's, less what evaporation takes.
        $site = $plan->site->room > 0 && !isset($edits['site.temperature']) && Aspect::Open !== $plan->site->aspect
            ? Fields::with($plan->site, ['temperature' => $plan->site->room - Site::BELOW_AIR])
            : $plan->site;

        return $plan->withInputs($site, $plan->lamp, $plan->water, $plan->feed);
    }

    /**
     * @param array<mixed> $sent
     *
     * @return list<WishedAnimal>
     *
     * @throws Refused
     */
    private function animals(array $sent): array
    {
        $counts = \is_array($sent['count'] ?? null) ? $sent['count'] : [];
        $wished = [];
        foreach (\is_array($sent['animals'] ?? null) ? \array_slice($sent['animals'], 0, Wish::MOST_KINDS) : [] as $id) {
            $kind = \is_string($id) ? $this->catalogue->animals[$id] ?? null : null;
            if (null === $kind) {
                throw FormRefused::at('animals', 'Olvek knows no such animal.');
            }
            $count = \is_string($counts[$kind->id] ?? null) ? trim($counts[$kind->id]) : '';
            if ('' !== $count && (!ctype_digit($count) || (int) $count < 1 || (int) $count > Group::MOST)) {
                throw FormRefused::at(
                    'animals',
                    \sprintf('How many of %s? From 1 to %d, or leave it empty.', $kind->common, Group::MOST),
                );
            }
            $wished[] = new WishedAnimal($kind, '' === $count ? null : (int) $count);
        }

        return $wished;
    }

    /**
     * @param array<mixed> $sent
     *
     * @return list<PlantKind>
     *
     * @throws Refused
     */
    private function plants(array $sent, string $name): array
    {
        $ids = array_filter(\is_array($sent[$name] ?? null) ? \array_slice($sent[$name], 0, Wish::MOST_KINDS) : [], is_string(...));
        // What is left open in a list is no choice.
        $ids = array_diff($ids, ['']);

        return array_map(
            fn (string $id): PlantKind => $this->catalogue->plants[$id]
                ?? throw FormRefused::at($name, 'Olvek knows no such plant.'),
            array_values(array_unique($ids)),
        );
    }

    /**
     * One of several; null where nothing is chosen.
     *
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T|null
     *
     * @throws Refused where it is none of them
     */
    private static function choice(string $enum, string $text, string $place): ?\BackedEnum
    {
        return '' === $text ? null : $enum::tryFrom($text)
            ?? throw FormRefused::at($place, \sprintf('Olvek knows no %s of this name; choose one of those shown.', $place));
    }

    /**
     * @param array<string, int> $stock
     *
     * @return list<array{PlantKind, int}>
     */
    private function onHand(array $stock): array
    {
        $had = [];
        foreach (\array_slice($stock, 0, Wish::MOST_KINDS) as $id => $pieces) {
            $kind = $this->catalogue->plants[$id] ?? null;
            $had = null === $kind ? $had : [...$had, [$kind, $pieces]];
        }

        return $had;
    }
}
