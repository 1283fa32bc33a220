<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Change\Change;
use Olvek\Core\Planning\Change\Edited;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\Saver;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\OverBound;
use Olvek\Service\Tank\Revision;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Psr\Clock\ClockInterface;
use Symfony\Component\Lock\LockFactory;

/**
 * The one road of every change to a plan: based on a revision, read by the core, kept as a new revision.
 * Undo and redo move along revisions; nothing is ever overwritten.
 */
final readonly class TankEditor
{
    private const LONGEST_WORDS = 500;

    /** @var \WeakMap<Revision, Plan> plans that have been read already: a request asks for the same ones again and again */
    private \WeakMap $read;
    /** @var \WeakMap<Tank, string> the sent change by which a tank has been changed already: what follows it has no id */
    private \WeakMap $changed;

    public function __construct(
        private EntityManagerInterface $entities,
        private TankRepository $tanks,
        private Editor $editor,
        private PlanDocument $document,
        private ClockInterface $clock,
        private Saver $saver,
        private Bounds $bounds,
        private SentChange $sent,
        private LockFactory $locks,
    ) {
        $this->read = new \WeakMap();
        $this->changed = new \WeakMap();
    }

    public function plan(Revision $revision): Plan
    {
        return $this->read[$revision] ??= $this->document->fromJson($revision->plan);
    }

    /**
     * A new tank on a keeper's shelf; where the same form was sent before, the tank that it began then.
     *
     * @throws OverBound where the keeper may have no more
     */
    public function begin(Keeper $keeper, Plan $plan, string $words): Tank
    {
        return $this->alone($keeper, function () use ($keeper, $plan, $words): Tank {
            $id = $this->sent->id();
            $before = null === $id ? null : $this->tanks->begunBy($keeper, $id);
            $first = null === $before ? null : $this->tanks->revision($before, 1);
            if (null !== $before && null === $before->removedAt() && $first?->plan === $this->document->toJson($plan)) {
                return $before;
            }
            $this->bounds->ask($keeper, new Holding(tanks: 1));
            $tank = new Tank($keeper, $plan->name, $this->clock->now(), changeId: null === $before ? $id : null);
            $this->entities->persist($tank);
            $this->keep($tank, $plan, $words);

            return $tank;
        });
    }

    /**
     * @param array<string, string> $edits typed text by place
     *
     * @throws StaleEdit   when the tank has moved on since $base
     * @throws InvalidPlan when the plan would break its rules; nothing is saved
     */
    public function edit(Tank $tank, int $base, array $edits, UnitSystem $units): void
    {
        $this->once($tank, $base, fn (Plan $plan): Edited => $this->editor->apply($plan, $edits, $units));
    }

    /**
     * What Olvek proposed and the keeper took.
     *
     * @param list<Change> $changes
     *
     * @throws StaleEdit   when the tank has moved on since $base
     * @throws InvalidPlan when the plan would break its rules; nothing is saved
     */
    public function change(Tank $tank, int $base, array $changes, UnitSystem $units): void
    {
        $this->once($tank, $base, fn (Plan $plan): Edited => $this->editor->make($plan, $changes, $units));
    }

    /**
     * The plan that edits would make of what stands; nothing is saved.
     *
     * @param array<string, string> $edits typed text by place
     *
     * @throws InvalidPlan
     */
    public function tried(Tank $tank, array $edits, UnitSystem $units): Plan
    {
        return $this->editor->apply($this->plan($this->tanks->head($tank)), $edits, $units)->plan;
    }

    /** @throws StaleEdit */
    public function undo(Tank $tank, int $base): void
    {
        if ($tank->head() !== $base && $this->tanks->revision($tank, $base)?->parent === $tank->head()) {
            // Sent before, or done in another window: it stands as it is wanted.
            return;
        }
        $this->fresh($tank, $base);
        $parent = $this->tanks->head($tank)->parent;
        $this->go($tank, null === $parent ? null : $this->tanks->revision($tank, $parent));
    }

    /** @throws StaleEdit */
    public function redo(Tank $tank, int $base): void
    {
        $this->fresh($tank, $base);
        $this->go($tank, $this->tanks->next($tank));
    }

    /**
     * Takes an earlier revision up again, as a new one.
     *
     * @throws StaleEdit
     */
    public function restore(Tank $tank, int $base, Revision $revision): void
    {
        $this->fresh($tank, $base);
        if ($revision->number !== $tank->head()) {
            $this->keep($tank, $this->plan($revision), \sprintf('restored: %s', $revision->label() ?? "version $revision->number"));
        }
    }

    /**
     * Makes and keeps a change; where the same one was sent before, based on the same revision, it stands already.
     *
     * @param \Closure(Plan): Edited $make
     *
     * @throws StaleEdit
     * @throws InvalidPlan
     */
    private function once(Tank $tank, int $base, \Closure $make): void
    {
        $this->alone($tank->keeper, function () use ($tank, $base, $make): void {
            if ($this->stands($tank, $base, $make)) {
                return;
            }
            $this->fresh($tank, $base);
            $edited = $make($this->plan($this->tanks->head($tank)));
            if ([] !== $edited->words) {
                $this->keep($tank, $edited->plan, implode('; ', $edited->words));
            }
        });
    }

    /** @param \Closure(Plan): Edited $make */
    private function stands(Tank $tank, int $base, \Closure $make): bool
    {
        $id = $this->sent->id();
        $made = null === $id || isset($this->changed[$tank]) ? null : $this->tanks->madeBy($tank, $id);
        $from = null === $made?->parent || $made->parent !== $base ? null : $this->tanks->revision($tank, $base);
        if (null === $made || null === $from || $made->plan !== $this->document->toJson($make($this->plan($from))->plan)) {
            return false;
        }
        // Another request has moved it on since this one read it.
        $this->entities->refresh($tank);

        return true;
    }

    /**
     * Changes of one keeper, one after the other: of the same form sent twice at once, the second sees what the first has done.
     *
     * @template T
     *
     * @param \Closure(): T $do
     *
     * @return T
     */
    private function alone(Keeper $keeper, \Closure $do): mixed
    {
        $lock = null === $this->sent->id() ? null : $this->locks->createLock('change.'.$keeper->id()->toBase58());
        $lock?->acquire(true);
        try {
            return $do();
        } finally {
            $lock?->release();
        }
    }

    /** A new tank that begins as a revision of another. */
    public function branch(Keeper $keeper, Revision $revision): Tank
    {
        $plan = $this->plan($revision);
        $name = mb_substr($plan->name, 0, 70).', variant';

        return $this->begin($keeper, $plan->withName($name), \sprintf('duplicated from %s, version %d', $plan->name, $revision->number));
    }

    /**
     * Replaces the whole plan by one from a file.
     *
     * @throws StaleEdit
     * @throws InvalidPlan
     */
    public function bring(Tank $tank, int $base, string $json): void
    {
        $plan = $this->document->fromForeignJson($json);
        $this->once($tank, $base, static fn (): Edited => new Edited($plan, ['imported from a file']));
    }

    public function label(Revision $revision, string $label): void
    {
        $revision->call($label);
        $this->flush();
    }

    private function go(Tank $tank, ?Revision $revision): void
    {
        if (null !== $revision) {
            $tank->stand($revision, $this->plan($revision)->name);
            $this->flush();
        }
    }

    private function keep(Tank $tank, Plan $plan, string $words): void
    {
        $words = mb_strlen($words) > self::LONGEST_WORDS ? mb_substr($words, 0, self::LONGEST_WORDS - 1).'…' : $words;
        $json = $this->document->toJson($plan);
        $this->bounds->ask($tank->keeper, new Holding(bytes: \strlen($json)));
        $id = isset($this->changed[$tank]) || null !== $this->tanks->madeBy($tank, $this->sent->id() ?? '') ? null : $this->sent->id();
        $revision = $tank->revise($plan->name, $json, $words, $this->clock->now(), $id);
        $this->changed[$tank] = $id ?? '';
        $this->read[$revision] = $plan;
        $this->entities->persist($revision);
        $this->flush();
    }

    private function fresh(Tank $tank, int $base): void
    {
        if ($tank->head() !== $base) {
            throw new StaleEdit();
        }
    }

    /** Two windows may pass the first check together; the database lets one through. */
    private function flush(): void
    {
        try {
            $this->saver->flush();
        } catch (ConcurrentChange) {
            throw new StaleEdit();
        }
    }
}
