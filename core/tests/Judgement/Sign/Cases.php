<?php

declare(strict_types=1);

namespace Olvek\Core\Tests\Judgement\Sign;

use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Judgement\Sign\TankCase;
use Olvek\Core\Keeping\Log\LogBuilder;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Tests\Sample;

/**
 * Tanks in which somebody sees something, and what the trade would say (C): cases.csv. Invented tanks; those of the set "held" took no
 * part in choosing likelihoods.
 */
final class Cases
{
    /** @return array<string, array{set: string, case: TankCase, causes: list<string>}> */
    public static function all(): array
    {
        /** @var array<string, array{set: string, case: TankCase, causes: list<string>}> $all */
        static $all = [];
        if ([] === $all) {
            $lines = file(__DIR__.'/cases.csv', \FILE_IGNORE_NEW_LINES);
            \assert(false !== $lines);
            foreach (\array_slice($lines, 1) as $line) {
                /** @var list<string> $cells */
                $cells = str_getcsv($line, ',', '"', '');
                [$id, $set, $edits, $log, $day, $signs, $told, $causes] = $cells;
                $all[$id] = [
                    'set' => $set,
                    'case' => self::case($edits, $log, (int) $day, $signs, $told),
                    'causes' => explode(' ', $causes),
                ];
            }
        }

        return $all;
    }

    /**
     * @param string $edits "site.aspect=south; …" of the planted sample
     * @param string $log   "14 reading nitrate 0; 20 deed stock 10 a1; …"
     * @param string $signs "pale-tips:c1 film"
     * @param string $told  "firm-crown=yes sudden=no"
     */
    public static function case(string $edits, string $log, int $day, string $signs, string $told = ''): TankCase
    {
        $plan = Sample::planted();
        foreach (self::parts('; ', $edits) as $edit) {
            [$place, $typed] = [...explode('=', $edit, 2), ''];
            $plan = Sample::edit($plan, [$place => $typed]);
        }
        $builder = new LogBuilder();
        foreach (self::parts('; ', $log) as $line) {
            [$on, $kind, $what, $amount, $of] = [...explode(' ', $line), null];
            \assert(null !== $on && null !== $kind && null !== $what);
            $known = $builder->add((int) $on, $kind, $what, (float) $amount, $of);
            \assert($known, "the logbook makes nothing of \"$line\"");
        }
        $facts = [];
        foreach (self::parts(' ', $told) as $fact) {
            [$id, $so] = [...explode('=', $fact), ''];
            $facts[$id] = 'yes' === $so;
        }
        $seen = array_map(static function (string $sign): Seen {
            [$id, $of] = [...explode(':', $sign), null];

            return new Seen(Sign::from((string) $id), $of);
        }, self::parts(' ', $signs));

        return TankCase::of($plan, $builder->log(), $day, $seen, $facts);
    }

    /**
     * @param non-empty-string $by
     *
     * @return list<string>
     */
    private static function parts(string $by, string $text): array
    {
        return array_values(array_filter(explode($by, $text), static fn (string $part): bool => '' !== $part));
    }
}
