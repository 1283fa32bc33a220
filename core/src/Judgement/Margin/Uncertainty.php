<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;

/** How sure a judgement is, among tanks that obey this model and whose uncertain numbers differ. */
final readonly class Uncertainty
{
    /**
     * @param array<string, Spread> $spreads  by margin, and by "harm" with the id of a harm
     * @param int                   $together tanks in which nothing comes to harm
     * @param int                   $of       tanks run
     * @param bool                  $counted  false where it is read off a change, until those tanks have been run (Likelihood)
     */
    public function __construct(public array $spreads, public int $together, public int $of, public bool $counted = true)
    {
    }

    /**
     * Harms with the share of tanks in which they come about: of each sort the one that weighs most.
     *
     * @param list<Harm> $harms
     *
     * @return list<Harm>
     */
    public function ofHarms(array $harms): array
    {
        $most = [];
        // How likely it is was read off a distance so far; where it was counted, the count says so.
        $harms = array_values(array_filter(
            $harms,
            fn (Harm $h): bool => null === $h->sure || !isset($this->spreads[Band::HARM.$h->id->value]),
        ));
        foreach ($harms as $n => $harm) {
            if (!isset($most[$harm->id->value]) || $harm->amount > $harms[$most[$harm->id->value]]->amount) {
                $most[$harm->id->value] = $n;
            }
        }
        foreach (HarmId::cases() as $id) {
            $spread = $this->spreads["harm $id->value"] ?? null;
            if (null === $spread) {
                continue;
            }
            $sure = 1 - $spread->holds / max(1, $spread->of);
            $n = $most[$id->value] ?? null;
            if (null !== $n) {
                $harms[$n] = $harms[$n]->withSureness($sure);
            } elseif ($sure > 0.0) {
                $harms[] = Harm::possible($id, $sure);
            }
        }

        return array_values($harms);
    }

    /** The margin with its spread, where that is known. */
    public function of(Margin $margin): Margin
    {
        return isset($this->spreads[$margin->id->value]) ? $margin->withSpread($this->spreads[$margin->id->value]) : $margin;
    }

    public function message(): Message
    {
        return new Message('verdict.sure', ['holds' => $this->together, 'of' => $this->of]);
    }
}
