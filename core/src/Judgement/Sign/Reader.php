<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Sign\Facts\Findings;
use Olvek\Core\Keeping\Log\Attempt;
use Olvek\Core\Keeping\Log\Improved;
use Olvek\Core\Keeping\Log\On;
use Olvek\Core\Keeping\Log\Sighting;
use Olvek\Core\Keeping\Log\Sign;

/**
 * Weighs the causes of what is seen by naive Bayes: a cause's odds are how common it is, times how often each sign is seen with it, times,
 * for each finding, how often that is so where the cause is at work against how often it is so anywhere. P: Jensen & Nielsen (2007),
 * Bayesian Networks and Decision Graphs, 2nd ed., ch. 2; a finding that is not certain counts as likelihood evidence (Pearl 1988). A sign
 * that a cause does not bring has another cause beside it, as signs of plants and algae often have (a noisy-or of what goes on anyway,
 * ibid.); findings that are one fact told twice count once. Else findings are taken for independent: simple, and open to view.
 */
final readonly class Reader
{
    /**
     * How often a sign is there for a reason of its own: of animals, and of plants, algae and water, where something is seldom going on
     * alone. J (0.02–0.1; 0.1–0.3).
     */
    private const STRAY = 0.03;
    private const STRAY_GREEN = 0.15;
    /** What none of the known causes explains, against all of them together: nobody is surer than that from looking. J (0.1–0.15). */
    private const OTHER = 0.13;
    /** Findings that are one fact told twice: the one that tells more counts. J. */
    private const SAME = [['few-animals', 'fed-little']];
    /** Share below which a cause is not told. J. */
    private const LEAST = 0.002;
    private const MOST = 8;
    /** Looks that are told, and share of the doubt that one must take away. J. */
    private const LOOKS = 3;
    private const TELLS = 0.03;
    /** Days for which a sign that was logged counts beside what is asked about. J. */
    private const LATELY = 14;
    /** Times that a cause's odds move where what was done against it helped before, and did not. J (2–5). */
    private const HELPED = 3.0;
    private const FAILED = 0.4;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function read(TankCase $case): Explanation
    {
        return $this->weigh($case, Findings::of($case));
    }

    /**
     * The same with findings that somebody chose.
     *
     * @param array<string, Finding> $findings by fact
     */
    public function weigh(TankCase $case, array $findings): Explanation
    {
        $signs = array_map(static fn (Seen $s) => $s->sign, $case->seen);
        $causes = $this->knowledge->behind(...$signs);
        $shares = $this->shares($case, $causes, $findings);
        $ranked = [];
        foreach ($causes as $id => $cause) {
            [$for, $against] = $this->evidence($case, $causes, $findings, $cause, $shares);
            $seen = [];
            foreach ($signs as $sign) {
                $seen[$sign->value] = self::chanceOf($sign, $cause);
            }
            $ranked[] = new RankedCause($cause, $shares[$id], $for, $against, $seen);
        }
        usort($ranked, static fn (RankedCause $a, RankedCause $b): int => [$b->share, $a->cause->id] <=> [$a->share, $b->cause->id]);
        $told = array_filter($ranked, static fn (RankedCause $c): bool => $c->share >= self::LEAST);

        return new Explanation(
            $case,
            \array_slice(array_values($told), 0, self::MOST),
            $shares[Cause::OTHER],
            $this->looks($case, $causes, $findings, $shares),
        );
    }

    /**
     * Share of each cause with findings that somebody chose, and of what none explains (Cause::OTHER).
     *
     * @param array<string, Finding> $findings by fact
     *
     * @return array<string, float> by cause
     *
     * @api
     */
    public function sharesWith(TankCase $case, array $findings): array
    {
        return $this->shares($case, $this->knowledge->behind(...array_map(static fn (Seen $s) => $s->sign, $case->seen)), $findings);
    }

    /**
     * Share of each cause, and of what none explains.
     *
     * @param array<string, Cause>   $causes
     * @param array<string, Finding> $findings
     *
     * @return non-empty-array<string, float>
     */
    private function shares(TankCase $case, array $causes, array $findings): array
    {
        $weights = [];
        foreach ($causes as $id => $cause) {
            $weights[$id] = $cause->prior->value * self::signs($case, $cause) * self::history($case, $cause);
            foreach ($this->counted($cause, $findings) as $fact => $finding) {
                $weights[$id] *= $this->factor($cause, $fact, $finding->chance);
            }
        }
        $weights = [Cause::OTHER => [] === $weights ? 1.0 : self::OTHER * array_sum($weights), ...$weights];
        $all = array_sum($weights);

        return array_map(static fn (float $w): float => $all > 0 ? $w / $all : 0.0, $weights);
    }

    /** How often what is seen, and was seen of late, is seen with a cause. */
    private static function signs(TankCase $case, Cause $cause): float
    {
        $weight = 1.0;
        $asked = [];
        foreach ($case->seen as $seen) {
            $asked[$seen->sign->value] = true;
            $weight *= self::chanceOf($seen->sign, $cause);
        }
        // What was logged of late speaks for those causes that bring it, and against none: it may have had another.
        foreach ($case->log->sightings as $sighting) {
            $id = $sighting->sign->value;
            if (!isset($asked[$id]) && isset($cause->signs[$id]) && self::isLate($case, $sighting)) {
                $asked[$id] = true;
                $weight *= max(1.0, $cause->signs[$id]->often->chance() / Often::Sometimes->chance());
            }
        }

        return $weight;
    }

    /** How often a sign is seen with a cause, by it or by something beside it. */
    private static function chanceOf(Sign $sign, Cause $cause): float
    {
        $stray = On::Animals === $sign->shows()->on ? self::STRAY : self::STRAY_GREEN;
        $brings = isset($cause->signs[$sign->value]) ? $cause->signs[$sign->value]->often->chance() : 0.0;

        return 1 - (1 - $brings) * (1 - $stray);
    }

    /**
     * Findings without those that are told twice.
     *
     * @param array<string, Finding> $findings
     *
     * @return array<string, Finding>
     */
    private function counted(Cause $cause, array $findings): array
    {
        foreach (self::SAME as $same) {
            $told = array_intersect_key($findings, array_flip($same));
            uasort($told, fn (Finding $a, Finding $b): int => abs(log($this->factor($cause, $b->fact, $b->chance)))
                <=> abs(log($this->factor($cause, $a->fact, $a->chance))));
            $findings = array_diff_key($findings, \array_slice($told, 1, null, true));
        }

        return $findings;
    }

    private static function isLate(TankCase $case, Sighting $sighting): bool
    {
        return $sighting->day > $case->day - self::LATELY && $sighting->day <= $case->day;
    }

    /** What came of it before in this tank, when it was taken for the cause of such a sign. */
    private static function history(TankCase $case, Cause $cause): float
    {
        $weight = 1.0;
        $seen = array_map(static fn (Seen $s) => $s->sign, $case->seen);
        foreach ($case->log->attempts as $attempt) {
            if ($attempt->cause !== $cause->id || !\in_array($attempt->sign, $seen, true)) {
                continue;
            }
            $weight = match ($attempt->came) {
                Improved::Better => self::HELPED,
                Improved::Same, Improved::Worse => self::FAILED,
                null => $weight,
            };
        }

        return $weight;
    }

    /** @return Attempt|null the last time that a cause of such a sign was tried against, and somebody looked again */
    public static function before(TankCase $case, Cause $cause): ?Attempt
    {
        $seen = array_map(static fn (Seen $s) => $s->sign, $case->seen);
        $last = null;
        foreach ($case->log->attempts as $attempt) {
            $is = $attempt->cause === $cause->id && null !== $attempt->came && \in_array($attempt->sign, $seen, true);
            $last = $is ? $attempt : $last;
        }

        return $last;
    }

    /** Times by which a fact moves a cause's odds against a cause that it says nothing of. */
    private function factor(Cause $cause, string $fact, float $chance): float
    {
        $likelihood = $cause->facts[$fact] ?? null;
        $kind = $this->knowledge->facts[$fact] ?? null;
        if (null === $likelihood || null === $kind) {
            return 1.0;
        }
        $here = $likelihood->often->chance();
        $base = $kind->base->often->chance();

        return ($chance * $here + (1 - $chance) * (1 - $here)) / ($chance * $base + (1 - $chance) * (1 - $base));
    }

    /**
     * What each finding does to a cause: its odds with it against its odds without.
     *
     * @param array<string, Cause>           $causes
     * @param array<string, Finding>         $findings
     * @param non-empty-array<string, float> $shares
     *
     * @return array{list<Evidence>, list<Evidence>}
     */
    private function evidence(TankCase $case, array $causes, array $findings, Cause $cause, array $shares): array
    {
        $for = $against = [];
        foreach (array_intersect_key($findings, $cause->facts) as $fact => $finding) {
            $without = $this->shares($case, $causes, array_diff_key($findings, [$fact => 0]))[$cause->id];
            $now = $shares[$cause->id];
            $factor = $now > 0 && $now < 1 && $without > 0 && $without < 1 ? ($now / (1 - $now)) / ($without / (1 - $without)) : 1.0;
            $likelihood = $cause->facts[$fact];
            $evidence = new Evidence(
                $this->knowledge->facts[$fact],
                $finding,
                $factor,
                $this->factor($cause, $fact, $finding->chance),
                $likelihood->often,
                $likelihood->provenance,
            );
            if ($evidence->isFor()) {
                $for[] = $evidence;
            } else {
                $against[] = $evidence;
            }
        }
        usort($for, static fn (Evidence $a, Evidence $b): int => $b->factor <=> $a->factor);
        usort($against, static fn (Evidence $a, Evidence $b): int => $a->factor <=> $b->factor);

        return [$for, $against];
    }

    /**
     * What would tell most: by how much finding it out is likely to lessen the doubt (Shannon's entropy) among the causes.
     *
     * @param array<string, Cause>           $causes
     * @param array<string, Finding>         $findings
     * @param non-empty-array<string, float> $shares
     *
     * @return list<NextLook>
     */
    private function looks(TankCase $case, array $causes, array $findings, array $shares): array
    {
        $doubt = self::entropy($shares);
        $looks = [];
        foreach ($this->knowledge->facts as $id => $fact) {
            $known = $findings[$id] ?? null;
            $isRead = null !== $known && \in_array($known->source, [Source::Read, Source::Logged, Source::Told], true);
            if (!$fact->canBeFound() || $isRead || $doubt <= 0.0) {
                continue;
            }
            $without = array_diff_key($findings, [$id => 0]);
            $base = $this->shares($case, $causes, $without);
            $so = $this->shares($case, $causes, [...$without, $id => new Finding($id, 1.0, '', Source::Read)]);
            $not = $this->shares($case, $causes, [...$without, $id => new Finding($id, 0.0, '', Source::Read)]);
            $chance = $this->chance($id, $known, $causes, $base);
            $tells = 1 - ($chance * self::entropy($so) + (1 - $chance) * self::entropy($not)) / $doubt;
            if ($tells >= self::TELLS) {
                $looks[] = new NextLook($fact, min(1.0, $tells), $this->then($fact, $causes, $so, $not));
            }
        }
        usort($looks, static fn (NextLook $a, NextLook $b): int => $b->tells <=> $a->tells);

        return \array_slice($looks, 0, self::LOOKS);
    }

    /**
     * How likely it is that a fact is found to be so: as the run has it, or as the causes' shares let expect.
     *
     * @param array<string, Cause>  $causes
     * @param array<string, float> $shares
     */
    private function chance(string $fact, ?Finding $known, array $causes, array $shares): float
    {
        if (null !== $known) {
            return $known->chance;
        }
        $base = $this->knowledge->facts[$fact]->base->often->chance();
        $chance = $shares[Cause::OTHER] * $base;
        foreach ($causes as $id => $cause) {
            $chance += $shares[$id] * (isset($cause->facts[$fact]) ? $cause->facts[$fact]->often->chance() : $base);
        }

        return $chance;
    }

    /**
     * @param array<string, Cause>  $causes
     * @param array<string, float> $so
     * @param array<string, float> $not
     */
    private function then(FactKind $fact, array $causes, array $so, array $not): string
    {
        return \sprintf(
            'If “%s”: %s. If “%s”: %s.',
            Words::small($fact->yes),
            self::likeliest($causes, $so),
            Words::small($fact->no),
            self::likeliest($causes, $not),
        );
    }

    /**
     * @param array<string, Cause>  $causes
     * @param array<string, float> $shares
     */
    private static function likeliest(array $causes, array $shares): string
    {
        unset($shares[Cause::OTHER]);
        arsort($shares);
        $id = (string) array_key_first($shares);

        return \sprintf('%s, %s %%', Words::small($causes[$id]->words), Decimal::trimmed(100 * $shares[$id], 0));
    }

    /** @param array<string, float> $shares */
    private static function entropy(array $shares): float
    {
        $bits = 0.0;
        foreach ($shares as $share) {
            $bits -= $share > 0 ? $share * log($share, 2) : 0.0;
        }

        return $bits;
    }
}
