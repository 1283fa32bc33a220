<?php

declare(strict_types=1);

namespace Olvek\Page\Today;

use Olvek\Core\Keeping\Estimation\Breath;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Keeping\Estimation\Quantity;
use Olvek\Core\Keeping\Estimation\QuantityGroup;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Estimate\Gauge;
use Olvek\Service\Estimate\TankHistory;

/** Gathers what is shown of an estimate that has been worked out. */
final readonly class EstimateView
{
    public function __construct(private Estimates $estimates)
    {
    }

    /** @return array<string, mixed> */
    public function of(TankHistory $life, Estimate $estimate, Keeper $keeper): array
    {
        $groups = [];
        foreach (QuantityGroup::cases() as $group) {
            $groups[$group->value] = array_map(
                static fn (Quantity $q): Gauge => Gauge::of($q, $estimate, $life->log, $keeper->kit(), $keeper->units()),
                $group->quantities(),
            );
        }
        $topics = [];
        foreach ($this->estimates->proposals($life, $estimate, $keeper->units()) as $proposal) {
            $topics[$proposal->topic->value]['words'] = $proposal->topic->words();
            $topics[$proposal->topic->value]['proposals'][] = [
                'proposal' => $proposal,
                'shown' => null === $proposal->amount ? '' : $proposal->number?->show($proposal->amount, $keeper->units()) ?? '',
                'unit' => $proposal->number?->unit($keeper->units())->symbol() ?? '',
                'of' => $proposal->number->label ?? '',
            ];
        }

        return [
            'estimate' => $estimate,
            'groups' => $groups,
            'asked' => $estimate->asked(ActualPlan::unlogged($life->plan, $life->log, $life->day)),
            'breath' => Breath::of($life->plan, $life->log),
            'topics' => $topics,
        ];
    }
}
