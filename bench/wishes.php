<?php

declare(strict_types=1);

/*
 * Sixty wishes drawn from a seed, each composed after one taste: what is called a plan, and in how many of 32 other tanks it holds when it
 * is judged anew. Ends with 1 where a plan that holds does in fewer than six of ten.
 *
 *   php bench/wishes.php [WISHES] [FROM]
 */

use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Solve\Compose\Composer;
use Olvek\Core\Judgement\Solve\Compose\Confirmation;
use Olvek\Core\Judgement\Solve\Compose\Taste;
use Olvek\Core\Judgement\Solve\Compose\Unmet;
use Olvek\Core\Judgement\Solve\Compose\WishDocument;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Editor;

require __DIR__.'/../core/vendor/autoload.php';
require __DIR__.'/wish.php';

const TANKS = 32;

ini_set('memory_limit', '1G');
$catalogue = Catalogue::shipped();
$composer = new Composer(new Editor($catalogue), $catalogue);
$document = new WishDocument($catalogue);
[$most, $from] = [(int) ($argv[1] ?? 60), (int) ($argv[2] ?? 0)];
$plans = $poor = 0;
$seconds = [];
for ($n = $from; $n < $from + $most; ++$n) {
    $taste = Taste::cases()[$n % count(Taste::cases())];
    $wish = wish($n, $catalogue);
    $began = hrtime(true);
    $found = $composer->compose($document->fromJson(json_encode($wish, JSON_THROW_ON_ERROR)), $taste);
    $seconds[] = (hrtime(true) - $began) / 1e9;
    $confirmed = new Band($found->plan, Confirmation::TANKS);
    $sure = $found->with(Band::sureness(array_map($confirmed->member(...), range(0, Confirmation::TANKS - 1))));
    $judged = new Band($found->plan, TANKS);
    $holds = 0;
    if ($sure->holds) {
        ++$plans;
        $holds = Band::sureness(array_map($judged->member(...), range(0, TANKS - 1)))->together;
        $poor += $holds < 0.6 * TANKS ? 1 : 0;
    }
    printf(
        "%2d %-14s %-32s %s; not granted: %s\n",
        $n,
        $taste->value,
        implode(' ', array_column($wish['animals'], 'kind')) ?: '-',
        $sure->holds ? "holds in $holds of ".TANKS : 'is called no plan: '.$sure->judgement->harms[0]->id->value,
        implode(' ', array_map(static fn (Unmet $u): string => $u->kind ?? $u->what->id, $found->unmet)) ?: '-',
    );
}
sort($seconds);
printf("%d of %d called plans, of which %d hold in fewer than six of ten tanks\n", $plans, $most, $poor);
printf("composing: median %.1f s, most %.1f s, beside whatever else ran\n", $seconds[intdiv($most, 2)], $seconds[$most - 1]);
exit($poor > 0 ? 1 : 0);
