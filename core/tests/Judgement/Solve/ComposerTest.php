<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Solve;

use Olvek\Core\Basis\Supply\Source;
use Olvek\Core\Basis\TimeLimit\NoTimeLimit;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Review\Mistake;
use Olvek\Core\Judgement\Review\Mistakes;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\Composition;
use Olvek\Core\Judgement\Solve\Compose\FirstDraft;
use Olvek\Core\Judgement\Solve\Compose\LampWish;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Unmet;
use Olvek\Core\Judgement\Solve\Compose\Wish;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Judgement\Solve\Trial;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Tests\Said;
use Olvek\Core\Tests\Sample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Laws of composed plans, whatever was wished. */
final class ComposerTest extends TestCase
{
    private const BOX = ['shape' => 'glass-box', 'length' => 0.6, 'width' => 0.3, 'height' => 0.36, 'glass' => 0.006];

    /** @return iterable<string, array{array<string, mixed>, Taste}> */
    public static function wishes(): iterable
    {
        yield 'a box for white clouds' => [['vessel' => self::BOX, 'animals' => [['kind' => 'tanichthys-albonubes']]], Taste::LeastWork];
        yield 'a vase with nothing said' => [
            ['vessel' => ['shape' => 'cylinder', 'diameter' => 0.25, 'height' => 0.5, 'glass' => 0.006]],
            Taste::Jungle,
        ];
        yield 'guppies in a flask' => [
            [
                'vessel' => ['shape' => 'tilted-flask', 'diameter' => 0.2, 'lip' => 0.155, 'glass' => 0.003],
                'animals' => [['kind' => 'poecilia-reticulata', 'count' => 6]],
            ],
            Taste::LeastMoney,
        ];
        yield 'a barrel outdoors' => [
            [
                'vessel' => ['shape' => 'barrel', 'diameter' => 0.7, 'foot' => 0.58, 'height' => 0.45, 'wall' => 0.027],
                'site' => ['temperature' => 14, 'swing' => 9, 'aspect' => 'open', 'sky' => 0.6],
                'animals' => [['kind' => 'oryzias-latipes']],
                'light' => 'none',
            ],
            Taste::LeastWork,
        ];
        yield 'a sealed jar' => [
            [
                'vessel' => ['shape' => 'jar-lying', 'diameter' => 0.16, 'length' => 0.28, 'glass' => 0.004],
                'waterLine' => 0.11,
                'site' => ['temperature' => 21, 'sealed' => true],
            ],
            Taste::Jungle,
        ];
        yield 'enemies, and plants on hand' => [
            [
                'vessel' => self::BOX,
                'water' => ['kind' => 'tap-soft'],
                'animals' => [['kind' => 'neocaridina-davidi', 'count' => 10], ['kind' => 'carinotetraodon-travancoricus']],
                'cleaners' => false,
                'plants' => [
                    'wanted' => [['kind' => 'bacopa-monnieri']],
                    'unwanted' => [['kind' => 'lemna-minor'], ['kind' => 'salvinia-natans']],
                    'onHand' => [['kind' => 'vallisneria-spiralis', 'pieces' => 30]],
                ],
            ],
            Taste::LeastMoney,
        ];
    }

    /** @param array<string, mixed> $wished */
    #[DataProvider('wishes')]
    public function testItHoldsWhenJudgedAnewAndNamesWhatItDoesNotGrant(array $wished, Taste $taste): void
    {
        $wish = self::wish($wished);
        $found = self::composer()->compose($wish, $taste);
        $anew = Judge::judge(
            (new PlanDocument(Sample::catalogue()))->fromArray((new PlanDocument(Sample::catalogue()))->toArray($found->plan)),
        );

        self::assertTrue($found->holds, Said::all($found->judgement->verdict));
        self::assertNotSame(MarginState::Fails, $anew->state, Said::all($anew->verdict));
        self::assertEquals($found->judgement->verdict, $anew->verdict);
        self::assertSame([], self::failing($anew));
        self::assertLessThanOrEqual(Composer::RUNS, $found->runs);
        self::assertNotSame([], $found->plan->clumps);
        self::assertSame([], array_filter(
            Mistakes::in($found->plan),
            static fn (Mistake $m): bool => !$m->lack && !\in_array(
                $m->message->id,
                array_map(static fn (Unmet $u): string => $u->why[0]->id, $found->unmet),
                true,
            ),
        ));
        self::settled($wish, $found->plan);
        self::granted($wish, $found);
        $default = (new FirstDraft(new Editor(Sample::catalogue()), Sample::catalogue()))->default(
            $wish,
            $taste,
            $found->method,
            UnitSystem::Metric,
            new Trial(new Editor(Sample::catalogue()), new NoTimeLimit()),
        );
        self::assertNotNull($default, 'what it began with');
        self::assertLessThanOrEqual(
            \count(self::failing(Judge::judge($default[0]))),
            \count(self::failing($anew)),
            'no worse than the method itself',
        );
    }

    public function testTheSameWishGetsTheSamePlan(): void
    {
        $wish = self::wish(['vessel' => self::BOX]);
        $document = new PlanDocument(Sample::catalogue());

        self::assertSame(
            $document->toJson(self::composer()->compose($wish, Taste::LeastMoney)->plan),
            $document->toJson(self::composer()->compose($wish, Taste::LeastMoney)->plan),
        );
    }

    public function testThreeTastesAreUnlike(): void
    {
        $wish = self::wish(['vessel' => self::BOX, 'taste' => 'jungle']);
        self::assertSame(Taste::Jungle, $wish->tastes()[0]);
        $kinds = array_map(
            static fn (Taste $t): array => array_map(
                static fn (Clump $c): string => $c->kind->id,
                self::composer()->compose($wish, $t)->plan->clumps,
            ),
            $wish->tastes(),
        );
        foreach ([[0, 1], [0, 2], [1, 2]] as [$one, $other]) {
            $common = array_intersect($kinds[$one], $kinds[$other]);
            self::assertLessThan(0.5, \count($common) / min(\count($kinds[$one]), \count($kinds[$other])), implode(', ', $common));
        }
    }

    public function testAWishedMethodIsTaken(): void
    {
        $found = self::composer()->compose(self::wish(['vessel' => self::BOX, 'method' => 'humus-bed']), Taste::LeastMoney);

        self::assertSame('humus-bed', $found->plan->preparation->method?->value);
        self::assertGreaterThan(0, $found->runs);
        self::assertGreaterThan(0.0, $found->cost->low);
        self::assertGreaterThan(0.0, $found->minutes);
    }

    /** The vessel, place and water are as they were wished, and the lamp where it is the keeper's own. */
    private static function settled(Wish $wish, Plan $plan): void
    {
        self::assertEquals($wish->tank->vessel, $plan->vessel);
        self::assertEquals($wish->tank->water, $plan->water);
        foreach (['temperature', 'swing', 'aspect', 'sky', 'sealed', 'bears', 'above', 'latitude'] as $name) {
            self::assertSame($wish->tank->site->{$name}, $plan->site->{$name}, $name);
        }
        if (LampWish::None === $wish->lamp) {
            self::assertSame(0.0, $plan->lamp->lumens);
        }
    }

    /** Every animal and plant that was wished is there, or named with a reason. */
    private static function granted(Wish $wish, Composition $found): void
    {
        $named = array_map(static fn (Unmet $u): ?string => $u->kind, $found->unmet);
        $counts = array_column(array_map(static fn (Group $g): array => [$g->kind->id, $g->count], $found->plan->groups), 1, 0);
        foreach ($wish->animals as $animal) {
            if (($counts[$animal->kind->id] ?? 0) < ($animal->count ?? 1)) {
                self::assertContains($animal->kind->id, $named);
            }
        }
        $plants = array_map(static fn (Clump $c): string => $c->kind->id, $found->plan->clumps);
        foreach ($wish->wanted as $kind) {
            if (!\in_array($kind->id, $plants, true)) {
                self::assertContains($kind->id, $named);
            }
        }
        foreach ($wish->unwanted as $kind) {
            self::assertNotContains($kind->id, $plants);
        }
        foreach ($wish->onHand as [$kind, $pieces]) {
            $used = array_sum(array_map(
                static fn (Clump $c): int => $c->kind->id === $kind->id && Source::OnHand === $c->source ? $c->pieces : 0,
                $found->plan->clumps,
            ));
            self::assertGreaterThan(0, $used);
            self::assertLessThanOrEqual($pieces, $used);
        }
        if (!$wish->cleaners) {
            self::assertSame([], array_diff(array_keys($counts), array_map(static fn ($a): string => $a->kind->id, $wish->animals)));
        }
    }

    /** @return list<string> */
    private static function failing(Judgement $judgement): array
    {
        return array_values(array_map(
            static fn (Harm $h): string => $h->id->value,
            array_filter($judgement->harms, static fn (Harm $h): bool => MarginState::Fails === $h->state),
        ));
    }

    /** @param array<string, mixed> $wished */
    private static function wish(array $wished): Wish
    {
        return (new WishDocument(Sample::catalogue()))->fromArray(
            ['format' => WishDocument::FORMAT, 'version' => WishDocument::VERSION, ...$wished],
        );
    }

    private static function composer(): Composer
    {
        return new Composer(new Editor(Sample::catalogue()), Sample::catalogue());
    }
}
