<?php

declare(strict_types=1);

/*
 * What is said at once of a change, from one run and from what was known before it, beside what thirty-two uncertain tanks say: plans
 * composed for wishes drawn from a seed, and each after one change that keepers make. Ends with 1 where the two differ in state after
 * more than one change of twenty.
 *
 *   php bench/sureness.php [WISHES] [FROM]
 */

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\Judge;
use Olvek\Core\Judgement\Margin\Likelihood;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;

require __DIR__.'/../core/vendor/autoload.php';
require __DIR__.'/wish.php';

const TANKS = 32;

/** @return array<string, string> changes a keeper might make, by what they are */
function changes(Plan $plan, int $n): array
{
    return match ($n % 5) {
        0 => ['light.hours' => (string) max(3, $plan->lamp->hours - 3)],
        1 => ['light.hours' => (string) min(16, $plan->lamp->hours + 3)],
        2 => array_merge(...array_map(static fn ($g): array => ["animals.$g->id.count" => (string) (2 * $g->count)], $plan->groups)),
        3 => array_merge(...array_map(
            static fn ($c): array => ["plants.$c->id.pieces" => (string) max(1, intdiv($c->pieces, 2))],
            $plan->clumps,
        )),
        4 => ['feeding.grams' => (string) (2 * $plan->feed->grams)],
    };
}

/** @return iterable<int, array{Plan, Plan}> composed, and changed */
function plans(int $most, int $from): iterable
{
    $catalogue = Catalogue::shipped();
    $editor = new Editor($catalogue);
    $composer = new Composer($editor, $catalogue);
    $wishes = new WishDocument($catalogue);
    for ($n = $from; $n < $from + $most; ++$n) {
        $taste = Taste::cases()[$n % count(Taste::cases())];
        $plan = $composer->compose($wishes->fromJson(json_encode(wish($n, $catalogue), JSON_THROW_ON_ERROR)), $taste)->plan;
        try {
            yield $n => [$plan, $editor->apply($plan, changes($plan, $n), UnitSystem::Metric)->plan];
        } catch (InvalidPlan $refused) {
            fwrite(STDERR, "wish $n: ".$refused->getMessage()."\n");
        }
    }
}

function counted(Plan $plan): Uncertainty
{
    $band = new Band($plan, TANKS);

    return Band::sureness(array_map($band->member(...), range(0, TANKS - 1)));
}

ini_set('memory_limit', '1G');
[$most, $from] = [(int) ($argv[1] ?? 40), (int) ($argv[2] ?? 0)];
$all = $differ = $alone = 0;
foreach (plans($most, $from) as $n => [$plan, $changed]) {
    [$before, $now] = [Judge::judge($plan), Judge::judge($changed)];
    $known = counted($plan);
    $state = static fn (Uncertainty $u): MarginState => Harms::state($u->ofHarms($now->harms));
    $atOnce = $state(Likelihood::after($known, $before->harms, $now->harms));
    $counted = counted($changed);
    $sure = $state($counted);
    ++$all;
    $differ += $atOnce === $sure ? 0 : 1;
    $alone += $now->state === $sure ? 0 : 1;
    printf(
        "wish %-3d %-42s none harmed in %2d, then in %2d; one run %-5s at once %-5s %d tanks %s%s\n",
        $n,
        json_encode(changes($plan, $n), JSON_THROW_ON_ERROR),
        $known->together,
        $counted->together,
        $now->state->value,
        $atOnce->value,
        TANKS,
        $sure->value,
        $atOnce === $sure ? '' : '  differ',
    );
}
printf("%d changes: what is said at once differs in state from %d tanks in %d, one run by itself in %d\n", $all, TANKS, $differ, $alone);
exit($differ * 20 > $all ? 1 : 0);
