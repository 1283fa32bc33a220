<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Start;

use Olvek\Core\Basis\Message\Message;

/** Gates one after another: each has its turn once those before it are passed. */
final class GateSequence
{
    /** @var list<Gate> */
    private array $gates = [];
    /** Day on which the last gate was passed; null while one waits. */
    private ?int $passed = 0;
    /** First day on which the next gate could have its turn, as far as days decide. */
    private int $soonest = 0;

    public function __construct(private readonly TankToday $situation)
    {
    }

    /**
     * @param int                       $notBefore earliest day, whatever else
     * @param \Closure(int): (int|null) $passedOn  given the day from which it had its turn, the day on which it was passed
     * @param \Closure(int): array{bool, list<Message>, QuickEntry|null} $standing given that day: whether it is open, how it
     *        stands, what to do
     * @param bool $outOfTurn whether it counts as passed even where one before it was not
     */
    public function gate(
        string $id,
        Message $name,
        Message $needs,
        int $notBefore,
        \Closure $passedOn,
        \Closure $standing,
        bool $outOfTurn = false,
    ): self {
        $from = max($notBefore, $this->passed ?? $this->soonest);
        $blocked = null === $this->passed;
        $day = $blocked && !$outOfTurn ? null : $passedOn($from);
        if (null !== $day) {
            $this->gates[] = new Gate(
                $id,
                $name,
                GateState::Passed,
                $needs,
                $blocked || $day < $notBefore ? [new Message('gate.before-turn')] : [],
                $day,
            );
            $this->passed = $blocked ? null : max($day, $this->passed ?? 0);
            $this->soonest = max($this->soonest, $day);

            return $this;
        }
        if ($blocked) {
            $this->gates[] = new Gate($id, $name, GateState::Later, $needs, [], $from);
        } else {
            [$open, $messages, $offer] = $standing($from);
            $early = $this->situation->today < $from;
            $this->gates[] = new Gate(
                $id,
                $name,
                $open && !$early ? GateState::Ready : GateState::Waits,
                $needs,
                $early ? [new Message('gate.not-before', ['day' => $from]), ...$open ? [] : $messages] : $messages,
                $from,
                $early ? null : $offer,
            );
            $this->passed = null;
        }
        $this->soonest = max($from, $this->situation->today);

        return $this;
    }

    /** Whether all gates so far are passed. */
    public function isThrough(): bool
    {
        return null !== $this->passed;
    }

    /** @return list<Gate> */
    public function gates(): array
    {
        return $this->gates;
    }
}
