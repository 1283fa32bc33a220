<?php

declare(strict_types=1);

namespace Olvek\Console\Command;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Ahead;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Judgement;
use Olvek\Core\Judgement\Standing\Standing;
use Olvek\Service\Speech\Speech;

/** How commands print a verdict: of a plan, or of a running tank. */
final readonly class VerdictOutput
{
    public function __construct(private Speech $speech)
    {
    }

    /** @return array<string, mixed> state, sentences, who comes to harm and what lies ahead */
    public function data(Judgement|Standing $judgement, UnitSystem $units): array
    {
        return [
            'state' => $judgement->state->value,
            'verdict' => $this->speech->sayAll($judgement->verdict, $units),
            'harms' => array_map(
                fn (Harm $h): array => [
                    'id' => $h->id->value,
                    'about' => $h->about,
                    'state' => $h->state->value,
                    'share' => round($h->amount, 4),
                    'day' => $h->day,
                    'sure' => null === $h->sure ? null : round($h->sure, 3),
                    'sentence' => $this->speech->say($h->message, $units),
                    'remedies' => array_map(fn (Message $m): string => $this->speech->say($m, $units), $h->averts),
                    'weight' => [
                        'tight' => $h->id->weight()->tight,
                        'fails' => is_finite($h->id->weight()->fails) ? $h->id->weight()->fails : null,
                        'measures' => $h->id->weight()->measures,
                        'reason' => $h->id->weight()->reason,
                    ],
                ],
                $judgement->weighing(),
            ),
            'ahead' => array_map(
                fn (Ahead $a): array => [
                    'id' => $a->id,
                    'about' => $a->about,
                    'from' => $a->from,
                    'to' => $a->to,
                    'harmless' => $a->harmless,
                    'sentence' => $this->speech->say($a->message, $units),
                ],
                $judgement->ahead,
            ),
        ];
    }

    /** @return list<string> */
    public function lines(Judgement|Standing $judgement, UnitSystem $units): array
    {
        return [
            $judgement->state->words().': '.$this->speech->sayAll($judgement->verdict, $units),
            '',
            ...array_map(
                fn (Harm $h): string => \sprintf(
                    '%-6s %-12s %s %s%s',
                    $h->state->words(),
                    $h->id->value,
                    $this->speech->say($h->message, $units),
                    $this->speech->sayAll($h->averts, $units),
                    null === $h->sure ? '' : \sprintf(' (%d of 100 tanks)', (int) round(100 * $h->sure)),
                ),
                $judgement->weighing(),
            ),
            ...array_map(fn (Ahead $a): string => '       '.$this->speech->say($a->message, $units), $judgement->ahead),
        ];
    }
}
