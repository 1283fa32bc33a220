<?php

declare(strict_types=1);

namespace Olvek\Page\Read;

use Olvek\Core\Judgement\Sign\Cause;
use Olvek\Core\Judgement\Sign\FactKind;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\NextLook;
use Olvek\Core\Judgement\Sign\RankedCause;
use Olvek\Core\Judgement\Sign\Reader;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Judgement\Sign\Trial;
use Olvek\Core\Keeping\Log\Attempt;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Read\AttemptLog;
use Olvek\Service\Read\ReadingQuestion;
use Olvek\Service\Read\TankReader;
use Olvek\Service\Tank\Tank;

/** Gathers what the pages show that read a tank. */
final readonly class ReadPage
{
    /** Causes that stand open, and that are told at all. */
    private const OPEN = 1;
    private const TOLD = 5;
    /** Share from which a cause is told after the first. J. */
    private const LEAST = 0.03;
    private const EVIDENCE = 5;
    /** Days for which an answer is still shown. J. */
    private const PAST = 120;

    public function __construct(
        private Reader $reader,
        private Knowledge $knowledge,
        private Editor $editor,
        private TankReader $tanks,
    ) {
    }

    /** @return array<string, list<Sign>> signs that somebody may ask about, by section */
    public static function signs(): array
    {
        $signs = [];
        foreach (Sign::cases() as $sign) {
            if ($sign->asksWhy()) {
                $signs[$sign->section()][] = $sign;
            }
        }

        return $signs;
    }

    /**
     * @param string $try  cause whose advice is tried; '' for the first
     *
     * @return array<string, mixed>
     */
    public function read(TankCase $case, ReadingQuestion $question, string $try = ''): array
    {
        $read = $this->reader->read($case);
        $first = $read->first()?->cause->id;
        $shown = array_values(array_filter(
            \array_slice($read->causes, 0, self::TOLD),
            static fn (RankedCause $c): bool => $c->cause->id === $first || $c->share >= self::LEAST,
        ));

        return [
            'read' => $read,
            'causes' => array_map(fn (RankedCause $c, int $n): array => [
                'cause' => $c->cause,
                'share' => $c->share,
                'for' => $c->speaksFor(self::EVIDENCE),
                'against' => $c->speaksAgainst(self::EVIDENCE),
                'open' => $n < self::OPEN || $c->cause->id === $try,
                'before' => Reader::before($case, $c->cause),
                'trial' => $n < self::OPEN || $c->cause->id === $try ? Trial::of($case, $c->cause, $this->editor) : null,
                'tries' => null !== $c->cause->remedy && $n >= self::OPEN && $c->cause->id !== $try,
            ], $shown, array_keys($shown)),
            'rest' => max(0.0, 1 - array_sum(array_map(static fn (RankedCause $c): float => $c->share, $shown))),
            'looks' => array_map(static fn (NextLook $l): array => [
                'look' => $l,
                'yes' => $question->address($l->fact->id, true),
                'no' => $question->address($l->fact->id, false),
            ], $read->looks),
            'known' => array_map(
                fn (string $id, bool $so): string => $so ? $this->fact($id)->yes : $this->fact($id)->no,
                array_keys($question->answers),
                $question->answers,
            ),
        ];
    }

    public function cause(string $id): ?Cause
    {
        return $this->knowledge->causes[$id] ?? null;
    }

    private function fact(string $id): FactKind
    {
        return $this->knowledge->facts[$id];
    }

    /** What of a cause can be planned for a tank, as its page has shown it. */
    public function trial(TankCase $case, Cause $cause): ?Trial
    {
        return Trial::of($case, $cause, $this->editor);
    }

    /**
     * What was tried in a tank: first what waits for somebody to look again.
     *
     * @return list<array{attempt: Attempt, cause: Cause, on: string, due: bool}>
     */
    public function attempts(Tank $tank, Keeper $keeper, int $day): array
    {
        $plan = $this->tanks->plan($tank);
        $attempts = [];
        foreach (array_reverse($this->tanks->log($tank, $keeper)->attempts) as $attempt) {
            $cause = $this->cause($attempt->cause);
            if (null !== $cause && (null === $attempt->came || $attempt->day > $day - self::PAST)) {
                $attempts[] = [
                    'attempt' => $attempt,
                    'cause' => $cause,
                    'on' => AttemptLog::on($plan, new Seen($attempt->sign, $attempt->of)),
                    'due' => null === $attempt->came && $attempt->look <= $day,
                ];
            }
        }
        usort($attempts, static fn (array $a, array $b): int => (null === $b['attempt']->came) <=> (null === $a['attempt']->came));

        return $attempts;
    }
}
