<?php

declare(strict_types=1);

namespace Olvek\Service\Read;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Sign\Cause;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\Trial;
use Olvek\Core\Keeping\Log\Attempt;
use Olvek\Core\Keeping\Log\Improved;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Tank\Tank;

/** What is tried against a sign, and what came of it: in one press in the plan, the logbook and, from there, the almanac. */
final readonly class AttemptLog
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TankEditor $editor,
        private Today $today,
        private TankReader $reader,
    ) {
    }

    /**
     * Plans what is to be done and logs that it is tried, all or nothing.
     *
     * @param list<Seen> $seen  against which it is tried
     * @param Trial|null $trial what of it can be planned
     *
     * @throws StaleEdit   when the plan has moved on since $base
     * @throws InvalidPlan when the plan has no room for it
     */
    public function try(Tank $tank, Keeper $keeper, int $base, Cause $cause, array $seen, ?Trial $trial): void
    {
        $plan = $this->reader->plan($tank);
        $day = $this->today->of($keeper);
        $this->entities->wrapInTransaction(function () use ($tank, $keeper, $base, $cause, $seen, $trial, $plan, $day): void {
            if (null !== $trial) {
                $this->editor->change($tank, $base, $trial->changes, $keeper->units());
            }
            foreach ($seen as $one) {
                $sign = $one->sign;
                $this->write($tank, $day, EntryKind::Sighting, $sign->value, null, $one->of, $sign->words().self::on($plan, $one));
            }
            $first = $seen[0];
            $this->write(
                $tank,
                $day,
                EntryKind::Tried,
                $cause->id,
                (float) $cause->days,
                Attempt::seen($first->sign, $first->of),
                \sprintf(
                    'Tried for %s%s: %s',
                    Words::small($first->sign->words()),
                    self::on($plan, $first),
                    null === $trial ? Words::small($cause->words) : $trial->words,
                ),
            );
            $this->entities->flush();
        });
    }

    /** What somebody found when they looked again. */
    public function came(Tank $tank, Keeper $keeper, Attempt $attempt, Cause $cause, Improved $came): void
    {
        $seen = new Seen($attempt->sign, $attempt->of);
        $this->write(
            $tank,
            $this->today->of($keeper),
            EntryKind::Came,
            $attempt->cause,
            $came->amount(),
            Attempt::seen($attempt->sign, $attempt->of),
            \sprintf(
                '%s: %s%s (%s)',
                $came->words(),
                Words::small($attempt->sign->words()),
                self::on($this->reader->plan($tank), $seen),
                Words::small($cause->words),
            ),
        );
        $this->entities->flush();
    }

    private function write(
        Tank $tank,
        \DateTimeImmutable $on,
        EntryKind $kind,
        string $what,
        ?float $amount,
        ?string $of,
        string $words,
    ): void {
        $this->entities->persist(new Entry($tank, $on, $kind, $what, $amount, $of, mb_substr($words, 0, Entry::LONGEST_WORDS)));
    }

    /** ": dwarf hygro"; nothing where the whole tank is meant. */
    public static function on(Plan $plan, Seen $seen): string
    {
        $name = $seen->sign->places($plan)[$seen->of ?? ''] ?? null;

        return null === $name ? '' : " on $name";
    }
}
