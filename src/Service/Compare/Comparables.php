<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Core\Judgement\Compare\Doubt;
use Olvek\Core\Judgement\Compare\LogDeviation;
use Olvek\Core\Judgement\Compare\Side;
use Olvek\Core\Judgement\Margin\Band;
use Olvek\Core\Judgement\Margin\Uncertainty;
use Olvek\Core\Keeping\Log\ActualPlan;
use Olvek\Core\Keeping\Log\Log;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Change\TakeMethod;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Core\Planning\Plan\Method;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Core\Planning\Plan\PlannedEvent;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Judging\BandJob;
use Olvek\Service\Judging\Outcomes;
use Olvek\Service\Read\TankReader;
use Olvek\Service\Site\ResultCache;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Olvek\Service\Work\Deadline;
use Olvek\Service\Work\Job;
use Olvek\Service\Work\WorkQueue;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Finds what a keeper wants to compare, and works out what each comes to; kept until plan or logbook change. */
final readonly class Comparables
{
    /** Versions of a chosen tank that are offered: the newest, and those with a name. */
    private const VERSIONS = 12;
    private const PARTS = Doubt::TANKS / Outcomes::TANKS;

    public function __construct(
        private TankRepository $tanks,
        private TankEditor $tankEditor,
        private TankReader $reader,
        private Editor $editor,
        private PlanDocument $document,
        private ResultCache $cache,
        private WorkQueue $queue,
        #[Autowire('%env(float:OLVEK_PATIENCE)%')] private float $patience,
    ) {
    }

    /**
     * @throws NotFoundHttpException where it is not the keeper's, or not there
     * @throws InvalidPlan           where its vessel cannot be built by the method
     */
    public function column(string $text, Keeper $keeper): Column
    {
        $thing = Thing::read($text) ?? throw new NotFoundHttpException('Nobody can compare this.');
        $tank = $this->tanks->owned($thing->tank, $keeper) ?? throw new NotFoundHttpException('There is no such tank on your shelf.');
        $revision = null === $thing->version ? $this->tanks->head($tank) : $this->tanks->revision($tank, $thing->version);
        if (null === $revision || ($thing->lived && null === $tank->filledOn())) {
            throw new NotFoundHttpException('There is no such version of this tank.');
        }
        $drawn = $this->tankEditor->plan($revision);
        if (null !== $thing->method) {
            $drawn = $this->editor->make($drawn, [new TakeMethod($thing->method)], $keeper->units())->plan;
        }
        $day = $this->reader->day($tank, $keeper) ?? 0;
        $log = $thing->lived ? $this->reader->log($tank, $keeper) : new Log();
        if ($thing->lived && $day + 1 >= Plan::LAST_DAY) {
            throw new NotFoundHttpException('This tank is older than the three years that Olvek runs.');
        }
        $filled = $tank->filledOn();
        // Of a tank that is filled all versions began on that day of the year.
        $plan = null === $filled ? $drawn : $drawn->filledOn($filled);
        $plan = $thing->lived ? ActualPlan::upTo($plan, $log, $day, static fn (PlannedEvent $e): bool => true)->plan : $plan;

        $compared = $this->compared($thing, $tank, $plan, $log, $day, $keeper);
        $gone = $thing->lived ? LogDeviation::beside($drawn, $log, $day) : [];

        return new Column($thing, $tank, $this->name($thing, $tank), $plan, $drawn, $compared, $gone);
    }

    private function compared(Thing $thing, Tank $tank, Plan $plan, Log $log, int $day, Keeper $keeper): Compared
    {
        $units = $keeper->units();
        $key = $thing->lived ? $this->reader->state($tank, $keeper) : hash('xxh128', $this->document->toJson($plan));
        $compared = $this->cache->get(
            implode('.', ['compared', $units->value, $thing->lived ? 'lived' : 'plan', $key]),
            fn (): Compared => $thing->lived
                ? Compared::of(Side::lived($this->reader->plan($tank), $log, $day, $units), $log)
                : Compared::of(Side::of($plan, $units)),
        );
        \assert($compared instanceof Compared);

        return $compared;
    }

    private function name(Thing $thing, Tank $tank): string
    {
        return $tank->name().match (true) {
            null !== $thing->version => ", version $thing->version",
            null !== $thing->method => ', '.$thing->method->words(),
            $thing->lived => ', as it has gone',
            default => '',
        };
    }

    /**
     * How sure each side's margins are, and whether they differ by more than that; worked out a few tanks at a time.
     *
     * @param list<Column> $columns
     *
     * @return array{list<Uncertainty>, list<array<string, bool>>}|null of each side, and of each but the first against it, by margin; null
     *     while it is being worked out
     */
    public function doubt(array $columns, Keeper $keeper): ?array
    {
        $patience = new Deadline($this->patience / 2);
        $judged = [];
        foreach ($columns as $column) {
            $members = [];
            for ($part = 0; $part < self::PARTS; ++$part) {
                $ticket = $patience->isSpent() ? null : $this->queue->ask($this->job($column, $part, $keeper), $keeper);
                if (null === $ticket || !$ticket->isDone()) {
                    return null;
                }
                /** @var array<int, array<string, array{float, bool}>> $of */
                $of = $ticket->value;
                $members += $of;
            }
            $judged[] = $members;
        }

        return [
            array_map(Band::sureness(...), $judged),
            array_map(static fn (array $other): array => Doubt::clear($judged[0], $other), \array_slice($judged, 1)),
        ];
    }

    private function job(Column $column, int $part, Keeper $keeper): Job
    {
        return $column->thing->lived
            ? new LivedBandJob($this->reader->stateOf($column->tank, $keeper), $part)
            : new BandJob($this->document->toJson($column->plan), $part);
    }

    /**
     * What may be chosen: all tanks as planned and as they have gone; of those that are chosen, versions and methods too.
     *
     * @param list<Tank> $chosen
     *
     * @return array<string, array<string, string>> words by text, by group
     */
    public function offered(Keeper $keeper, array $chosen): array
    {
        $offered = ['Tanks' => []];
        foreach ($this->tanks->active($keeper) as $tank) {
            $offered['Tanks'][Thing::ofTank($tank->id())] = $tank->name();
            if (null !== $tank->filledOn()) {
                $offered['Tanks'][Thing::asLived($tank->id())] = "{$tank->name()}, as it has gone";
            }
        }
        foreach ($chosen as $tank) {
            foreach ($this->tanks->revisions($tank, self::VERSIONS, 0) as $revision) {
                $offered["Versions of {$tank->name()}"][Thing::ofVersion($tank->id(), $revision->number)] = \sprintf(
                    'version %d, %s: %s',
                    $revision->number,
                    $revision->at->format('j M'),
                    mb_substr($revision->label() ?? $revision->words, 0, 60),
                );
            }
            foreach (Method::cases() as $method) {
                $offered["{$tank->name()} by another method"][Thing::ofMethod($tank->id(), $method)] = $method->words();
            }
        }

        return $offered;
    }
}
