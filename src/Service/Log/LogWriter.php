<?php

declare(strict_types=1);

namespace Olvek\Service\Log;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Keeping\Log\DeathCause;
use Olvek\Core\Keeping\Log\LogAction;
use Olvek\Core\Keeping\Log\LoggedEvent;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Keeping\Log\ToRead;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\Group;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\Today;
use Olvek\Service\Build\BuildRecords;
use Olvek\Service\Build\LastTest;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Site\ConcurrentChange;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Bounds;
use Olvek\Service\Tank\Holding;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\Uid\Uuid;

/**
 * What is logged at the tank: a reading, something done, something seen, a note. An entry comes with an id that its sender made, so that
 * one that is sent again, since no answer came, is kept once.
 */
final readonly class LogWriter
{
    private const ELSEWHERE = 'This entry wasn’t saved: its id belongs to another logbook. Enter it again.';

    public function __construct(
        private EntryRepository $entries,
        private Logbook $logbook,
        private Today $today,
        private BuildRecords $buildRecords,
        private TankRepository $tanks,
        private TankEditor $editor,
        private Bounds $bounds,
        private LastTest $lastTest,
    ) {
    }

    /**
     * @param InputBag<bool|float|int|string> $sent "kind" (read, did, saw, note), "id", "day", and what the kind is told by
     *
     * @return array<string, string> why nothing was saved, by field; "" for the whole; none where it is saved, or was before
     *
     * @throws ConcurrentChange where the id stands in the logbook of another tank
     */
    public function write(Tank $tank, InputBag $sent): array
    {
        $text = $sent->getString('id');
        if ('' !== $text && !Uuid::isValid($text)) {
            return ['' => 'This entry has an id that is none. Log it again from this page.'];
        }
        $id = '' === $text ? null : Uuid::fromString($text);
        $in = null === $id ? null : $this->entries->tankOf($id);
        if (null !== $in) {
            return $in === $tank ? [] : throw new ConcurrentChange(self::ELSEWHERE);
        }
        $full = $this->bounds->fault($tank->keeper, new Holding(lines: 1));
        if (null !== $full) {
            return ['' => $full];
        }
        $day = $sent->getString('day');
        $refused = null === $tank->filledOn()
            ? 'The tank has not been filled yet: tick “Fill slowly” on its Build page first, and the days are counted.'
            : $this->buildRecords->dayFault($tank, $day);
        if (null !== $refused) {
            return ['day' => $refused];
        }
        try {
            return match ($sent->getString('kind')) {
                'read', 'measure' => $this->read($tank, $sent, $day, $id),
                'did' => $this->did($tank, $sent, $day, $id),
                'saw' => $this->saw($tank, $sent, $day, $id),
                'note' => $this->note($tank, $sent, $day, $id),
                default => ['' => 'That could not be understood, so nothing was logged. Try again from this page.'],
            };
        } catch (UniqueConstraintViolationException) {
            // The same entry came by another way at the same moment, and is kept: of whom is asked above when it is sent again.
            return [];
        }
    }

    /**
     * @param InputBag<bool|float|int|string> $sent
     *
     * @return array<string, string>
     */
    private function read(Tank $tank, InputBag $sent, string $day, ?Uuid $id): array
    {
        $typed = [];
        // What is typed stands before the step that is pressed.
        $test = array_filter($sent->all('test'), static fn (mixed $text): bool => '' !== $text);
        foreach ([...$sent->all('step'), ...$test] as $measure => $text) {
            if (\is_string($text)) {
                $typed[(string) $measure] = $text;
            }
        }
        $errors = $this->logbook->test(
            $tank,
            $typed,
            ToRead::of($this->editor->plan($this->tanks->head($tank))),
            $day,
            $tank->keeper->kit(),
            $tank->keeper->units(),
            $id,
        );
        $named = [];
        foreach ($errors as $of => $why) {
            $named['' === $of || 'day' === $of ? $of : "test-$of"] = $why;
        }

        return $named;
    }

    /**
     * @param InputBag<bool|float|int|string> $sent
     *
     * @return array<string, string>
     */
    private function did(Tank $tank, InputBag $sent, string $day, ?Uuid $id): array
    {
        $plan = $this->editor->plan($this->tanks->head($tank));
        $kind = EventKind::named($sent->getString('what'));
        $of = $sent->getString('of');
        $action = null === $kind ? null : LogAction::find($plan, $kind, '' === $of ? null : $of);
        if (null === $action) {
            return ['' => 'The plan has nothing of this kind any more, so nothing was logged. Reload the page.'];
        }
        $amount = $action->amount;
        $typed = trim($sent->getString('amount'));
        $field = 'amount-'.$action->id();
        if (null !== $action->number && '' !== $typed) {
            try {
                $amount = $action->number->read($typed, $tank->keeper->units());
            } catch (UnreadableQuantity $unreadable) {
                return [$field => $unreadable->getMessage()];
            }
            if (!$action->number->allows($amount) || ('group' === $action->kind->of() && $amount !== floor($amount))) {
                return [$field => \sprintf(
                    'From %s to %s%s.',
                    $action->number->sayExactly($action->number->from, $tank->keeper->units()),
                    $action->number->sayExactly($action->number->to, $tank->keeper->units()),
                    'group' === $action->kind->of() ? ', whole animals' : '',
                )];
            }
        }
        if (null === $amount && null !== $action->number) {
            return [$field => 'Say how much first.'];
        }
        $poison = EventKind::Stock === $action->kind && !$sent->getBoolean('anyway') ? $this->lastTest->warning($tank) : null;
        if (null !== $poison) {
            return [$field => "$poison Tick “they came all the same” if that is so."];
        }
        $cause = EventKind::Lost === $action->kind ? DeathCause::tryFrom($sent->getString('cause', DeathCause::Unknown->value)) : null;
        if (EventKind::Lost === $action->kind && null === $cause) {
            return [$field => 'Choose of what they died from the list.'];
        }
        $of = null === $cause || DeathCause::Unknown === $cause ? '' : ", {$cause->words()}";
        $words = $this->words($action, $amount, $plan, $tank->keeper).$of;
        $this->add($tank, $day, EntryKind::Done, $action->kind->value, $amount, $action->of, $words, $id, $sent, $cause);

        return [];
    }

    private function words(LogAction $action, ?float $amount, Plan $plan, Keeper $keeper): string
    {
        if (EventKind::Task === $action->kind) {
            return null === $amount || null === $action->number
                ? $action->button
                : "$action->button, ".$action->number->say($amount, $keeper->units());
        }

        return LoggedEvent::line(
            $action->kind,
            $amount ?? 0.0,
            $keeper->kit(),
            $action->group($plan),
            $action->clump($plan),
            $keeper->units(),
        );
    }

    /**
     * @param InputBag<bool|float|int|string> $sent
     *
     * @return array<string, string>
     */
    private function saw(Tank $tank, InputBag $sent, string $day, ?Uuid $id): array
    {
        $sign = Sign::tryFrom($sent->getString('what'));
        if (null === $sign) {
            return ['' => 'Choose what you saw.'];
        }
        $plan = $this->editor->plan($this->tanks->head($tank));
        $of = $sent->getString('of');
        $whom = $sign->places($plan)[$of] ?? null;
        if ('' !== $of && null === $whom) {
            return ['of' => match ($sign->of()) {
                'clump' => 'This is seen on plants: choose one of them, or the whole tank.',
                'group' => 'This is seen on animals: choose some of them, or the whole tank.',
                'zone' => 'This is seen in the bed: choose a part of it, or the whole tank.',
                default => 'This is of the whole tank: choose that.',
            }];
        }
        $typed = trim($sent->getString('count'));
        if ('' !== $typed && !$sign->isCounted()) {
            return ['count' => 'Only animals are counted here: leave this empty.'];
        }
        $count = '' === $typed
            ? null
            : filter_var($typed, \FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => Group::MOST]]);
        if (false === $count) {
            return ['count' => \sprintf('A whole number from 1 to %d, or nothing.', Group::MOST)];
        }
        $words = (null === $count ? '' : "$count × ").$sign->words().(null === $whom ? '' : ": $whom");
        $fault = $this->fault($sent);
        if (null === $fault) {
            $amount = null === $count ? null : (float) $count;
            $this->add($tank, $day, EntryKind::Sighting, $sign->value, $amount, null === $whom ? null : $of, $words, $id, $sent);
        }

        return null === $fault ? [] : ['note' => $fault];
    }

    /**
     * @param InputBag<bool|float|int|string> $sent
     *
     * @return array<string, string>
     */
    private function note(Tank $tank, InputBag $sent, string $day, ?Uuid $id): array
    {
        $fault = '' === self::noted($sent) ? 'Type the note first.' : $this->fault($sent);
        if (null === $fault) {
            $this->add($tank, $day, EntryKind::Note, 'note', null, null, 'Note', $id, $sent);
        }

        return null === $fault ? [] : ['note' => $fault];
    }

    /** @param InputBag<bool|float|int|string> $sent */
    private function fault(InputBag $sent): ?string
    {
        return PlainText::faultOfLines(self::noted($sent), Entry::LONGEST_NOTE, 'The note');
    }

    /** @param InputBag<bool|float|int|string> $sent */
    private static function noted(InputBag $sent): string
    {
        return trim(str_replace(["\r\n", "\r"], "\n", $sent->getString('note')));
    }

    /** @param InputBag<bool|float|int|string> $sent */
    private function add(
        Tank $tank,
        string $day,
        EntryKind $kind,
        string $what,
        ?float $amount,
        ?string $of,
        string $words,
        ?Uuid $id,
        InputBag $sent,
        ?DeathCause $cause = null,
    ): void {
        $on = $this->today->orEarlier($tank->keeper, $day) ?? throw new \LogicException('a refused day has been told before');
        $note = EntryKind::Done === $kind ? '' : self::noted($sent);
        $this->logbook->add(
            new Entry(
                $tank,
                $on,
                $kind,
                $what,
                $amount,
                $of,
                mb_substr($words, 0, Entry::LONGEST_WORDS),
                id: $id,
                note: $note,
                cause: $cause->value ?? '',
            ),
        );
    }
}
