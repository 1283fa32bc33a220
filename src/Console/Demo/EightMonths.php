<?php

declare(strict_types=1);

namespace Olvek\Console\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Nature\Water\Measure;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Log\Logbook;
use Olvek\Service\Photo\Photos;
use Olvek\Service\Tank\Tank;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The invented first eight months of the waiting hall, beside its tests: what was topped up, cut and counted, an algae month, a heat wave,
 * births and losses, and pictures by Olvek's own drawings. All marked as made up.
 */
final readonly class EightMonths
{
    /** First day of the heat wave, which the plan does not know of, its length and °C. */
    public const HEAT = [150, 9, 5.0];
    /** Day, group, how many and of what. */
    public const LOSSES = [[154, 'a2', 4, DeathCause::Heat], [158, 'a3', 1, DeathCause::Heat], [201, 'a3', 1, DeathCause::Jumped]];
    private const BIRTHS = [[66, 'a3', 4], [96, 'a2', 10], [129, 'a3', 6], [176, 'a2', 12], [220, 'a3', 5]];
    private const COUNTS = [60, 120, 165, 225];
    private const TOPPED_EVERY = 12;
    private const HARDNESS = [30, 90, 150, 210, 238];
    private const DAWN_AND_DUSK = [91, 182, 238];
    private const HEIGHTS = [42, 98, 182, 238];
    private const NOTES = [
        90 => 'Green threads on the stems and along the front. Wound out what came off on a rough stick.',
        105 => 'Threads again. The lamp an hour less, and half of the floaters left in this time.',
        126 => 'No more threads to be seen.',
        151 => 'Hot days in town: 28 °C in the hall by noon. Lid open, lamp off from noon to four.',
    ];
    private const SIGNS = [90 => Sign::Threads, 105 => Sign::Threads, 152 => Sign::Gasping, 66 => Sign::Courting];

    public function __construct(
        private EntityManagerInterface $entities,
        private Photos $photos,
        #[Autowire('%kernel.project_dir%/demo/photos')] private string $folder,
    ) {
    }

    public function write(Tank $tank, Lived $lived, \DateTimeImmutable $today, int $age): void
    {
        $filled = $today->modify("-$age days");
        $on = static fn (int $day): \DateTimeImmutable => $filled->modify("+$day days");
        $plan = $lived->plan;
        foreach ($lived->cuts as [$day, $clump, $share]) {
            $this->done($tank, $on($day), EventKind::Trim, $share, $plan->clumps[$clump]->id, LoggedEvent::line(
                EventKind::Trim,
                $share,
                TestKit::of(),
                null,
                $plan->clumps[$clump],
            ));
        }
        for ($day = 2 * self::TOPPED_EVERY; $day < $age; $day += self::TOPPED_EVERY) {
            $litres = array_sum(\array_slice($lived->trace->columns['evaporated'], $day - self::TOPPED_EVERY, self::TOPPED_EVERY));
            $litres = max(0.5, round(2 * $litres) / 2);
            $this->done($tank, $on($day), EventKind::Task, $litres, LogAction::TOPPED, "Topped up, $litres\u{00A0}L");
        }
        foreach (self::HARDNESS as $day) {
            foreach ([[Measure::CarbonateHardness, 'carbonateHardness', 1.0], [Measure::GeneralHardness, 'generalHardness', 1.0],
                [Measure::Conductivity, 'conductivity', 10.0], [Measure::Temperature, 'temperature', 0.5]] as [$measure, $column, $step]) {
                $this->read($tank, $on($day), $measure, round($lived->trace->columns[$column][$day] / $step) * $step);
            }
        }
        foreach (self::DAWN_AND_DUSK as $day) {
            $this->read($tank, $on($day), Measure::AcidityAtDawn, round(5 * $lived->trace->columns['pHLeast'][$day]) / 5);
            $this->read($tank, $on($day), Measure::AcidityAtDusk, round(5 * $lived->trace->columns['pHMost'][$day]) / 5);
        }
        foreach (self::HEIGHTS as $day) {
            $height = $lived->trace->on($day)->height($plan, 0);
            $this->read($tank, $on($day), Measure::Height, round($height, 2), $plan->clumps[0]->id, $plan->clumps[0]->kind->common);
            $this->read($tank, $on($day), Measure::Cover, round(20 * min(1.0, $lived->trace->columns['cover'][$day])) / 20);
        }
        $this->lives($tank, $lived, $on);
        foreach (self::NOTES as $day => $note) {
            $this->entities->persist(new Entry($tank, $on($day), EntryKind::Note, 'note', null, null, 'Note', true, note: $note));
        }
        foreach (self::SIGNS as $day => $sign) {
            $this->entities->persist(new Entry($tank, $on($day), EntryKind::Sighting, $sign->value, null, null, $sign->words(), true));
        }
        $this->done($tank, $on(0), EventKind::Task, 118.0, LogAction::SPENT, 'Money spent, 118');
        $this->done($tank, $on(42), EventKind::Task, 24.0, LogAction::SPENT, 'Money spent, 24');
        $this->entities->flush();
        $pictures = glob("$this->folder/*.jpg");
        foreach (false === $pictures ? [] : $pictures as $path) {
            $day = (int) basename($path, '.jpg');
            if ($day <= $age) {
                $this->photos->add($tank, $path, $on($day)->format('Y-m-d'), "Day $day, made up", '');
            }
        }
    }

    /** @param \Closure(int): \DateTimeImmutable $on */
    private function lives(Tank $tank, Lived $lived, \Closure $on): void
    {
        $groups = array_column($lived->plan->groups, null, 'id');
        foreach (self::LOSSES as [$day, $of, $count, $cause]) {
            $words = LoggedEvent::line(EventKind::Lost, (float) $count, TestKit::of(), $groups[$of]).", {$cause->words()}";
            $this->entities->persist(new Entry(
                $tank,
                $on($day),
                EntryKind::Done,
                EventKind::Lost->value,
                (float) $count,
                $of,
                $words,
                true,
                cause: $cause->value,
            ));
        }
        foreach (self::BIRTHS as [$day, $of, $count]) {
            $words = "$count × ".Sign::Young->words().": {$groups[$of]->kind->common}";
            $this->entities->persist(
                new Entry($tank, $on($day), EntryKind::Sighting, Sign::Young->value, (float) $count, $of, $words, true),
            );
        }
        foreach (self::COUNTS as $day) {
            foreach ($lived->plan->groups as $i => $group) {
                $this->count($tank, $on($day), $group, round($lived->trace->heads[$day][$i]));
            }
        }
    }

    private function count(Tank $tank, \DateTimeImmutable $on, Group $group, float $heads): void
    {
        $this->read($tank, $on, Measure::Heads, $heads, $group->id, $group->kind->common);
    }

    private function read(Tank $tank, \DateTimeImmutable $on, Measure $measure, float $value, ?string $of = null, string $whom = ''): void
    {
        $words = Logbook::line($measure, $value, TestKit::of(), $tank->keeper->units(), $whom);
        $this->entities->persist(new Entry($tank, $on, EntryKind::Reading, $measure->value, $value, $of, $words, true));
    }

    private function done(Tank $tank, \DateTimeImmutable $on, EventKind $kind, float $amount, string $of, string $words): void
    {
        $this->entities->persist(new Entry($tank, $on, EntryKind::Done, $kind->value, $amount, $of, $words, true));
    }
}
