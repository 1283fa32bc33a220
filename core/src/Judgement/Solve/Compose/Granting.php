<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Solve\Compose;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Judgement\Margin\Asked;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\Remove;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Simulation\Run\Pace;

/**
 * Leaves out those of the wished animals that keep a plan from holding, and names them.
 *
 * @internal
 */
final readonly class Granting
{
    public function __construct(private Editor $editor, private Mending $mending)
    {
    }

    /**
     * Without those of the animals that keep it from holding.
     *
     * @return array{Score, list<Unmet>}
     */
    public function granted(Score $score, Search $search, Pace $pace): array
    {
        $unmet = [];
        while ([] !== $score->plan->groups) {
            // Only where one of these fails are any of them left out.
            $theirs = array_values(array_filter(
                $score->failing,
                static fn (Harm $h): bool => \in_array($h->id, Asked::WishedAnimals->harms(), true),
            ));
            if ([] === $theirs) {
                break;
            }
            $why = $theirs[0];
            $best = null;
            foreach ($score->plan->groups as $group) {
                foreach ($this->fewer($score->plan, $group) as [$words, $plan]) {
                    $search->step();
                    $then = Score::of($plan, $search->trial->judged($plan, pace: $pace));
                    if (null === $best || $then->valued($search->taste) < $best[0]->valued($search->taste)) {
                        $best = [$then, $words, $group->kind->id];
                    }
                }
            }
            if (null === $best) {
                break;
            }
            [$score] = $this->mending->mended($best[0], $search, $pace);
            $wished = array_filter($search->wish->animals, static fn (WishedAnimal $a): bool => $a->kind->id === $best[2]);
            if ([] !== $wished) {
                $unmet[] = new Unmet(
                    $best[1],
                    [$why->message],
                    new Message('needed.capacity'),
                    $best[2],
                );
            }
        }

        return [$score, $unmet];
    }

    /** @return list<array{Message, Plan}> half of a group, where that is still company, and none of it */
    private function fewer(Plan $plan, Group $group): array
    {
        $half = intdiv($group->count, 2);
        $found = [];
        try {
            if ($half >= max(1, $group->kind->group->value)) {
                $found[] = [
                    new Message('unmet.more-than', ['count' => $half, 'animal' => $group->kind->common]),
                    $this->fedFor($plan->withGroup($group->with($half, $group->day)), $plan),
                ];
            }
            $found[] = [
                Message::text($group->kind->common),
                $this->fedFor(
                    $this->editor->make(
                        $plan->withFeed($plan->feed->withGrams(0.0), $plan->feedFrom),
                        [new Remove('animals', $group->id)],
                    )->plan,
                    $plan,
                ),
            ];
        } catch (InvalidPlan) {
            return $found;
        }

        return $found;
    }

    /** Fed in proportion to what is left of its animals. */
    private function fedFor(Plan $plan, Plan $before): Plan
    {
        $mass = static fn (Plan $p): float => array_sum(array_map(static fn (Group $g): float => $g->biomass(), $p->groups));
        $was = $mass($before);

        return $plan->withFeed(
            $plan->feed->withGrams($was > 0 ? round($before->feed->grams * $mass($plan) / $was, 4) : 0.0),
            $before->feedFrom,
        );
    }
}
