<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Sign;

use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Nature\Catalogue\InvalidCatalogue;
use Olvek\Core\Nature\Catalogue\Row;
use Olvek\Core\Nature\Catalogue\Table;
use Olvek\Core\Nature\Water\Measure;

/** What is known of signs and their causes: two tables that anybody can read and mend, data/causes.csv and data/facts.csv. */
final readonly class Knowledge
{
    /** Days after which nobody remembers what was to be looked at. J. */
    private const LONGEST_WAIT = 60;

    /**
     * @param array<string, Cause>    $causes
     * @param array<string, FactKind> $facts
     */
    private function __construct(public array $causes, public array $facts)
    {
    }

    /** That which ships with the core. */
    public static function shipped(): self
    {
        return self::load(\dirname(__DIR__, 3).'/data');
    }

    /** @throws InvalidCatalogue where a table breaks its rules */
    public static function load(string $folder): self
    {
        $facts = self::facts("$folder/facts.csv");

        return new self(self::causes("$folder/causes.csv", $facts), $facts);
    }

    /** @return array<string, Cause> that may lie behind any of these signs */
    public function behind(Sign ...$signs): array
    {
        return array_filter(
            $this->causes,
            static fn (Cause $c): bool => [] !== array_filter($signs, static fn (Sign $s): bool => isset($c->signs[$s->value])),
        );
    }

    /** @return array<string, FactKind> */
    private static function facts(string $file): array
    {
        $facts = [];
        foreach (Table::read($file, ['id', 'yes', 'no', 'base', 'measure', 'look'])->rows as $row) {
            $facts[$row->text('id')] = new FactKind(
                $row->text('id'),
                $row->text('yes'),
                $row->text('no'),
                self::likelihood($row, 'base', $row->text('base')),
                '' === $row->optionalText('measure') ? null : $row->choice('measure', Measure::class),
                $row->optionalText('look'),
            );
        }

        return $facts;
    }

    /**
     * @param array<string, FactKind> $facts
     *
     * @return array<string, Cause>
     */
    private static function causes(string $file, array $facts): array
    {
        $causes = [];
        $columns = ['id', 'cause', 'about', 'kind', 'prior', 'signs', 'facts', 'do', 'avoid', 'days', 'action', 'watch', 'remarks'];
        foreach (Table::read($file, $columns)->rows as $row) {
            $days = $row->text('days');
            if (!ctype_digit($days) || (int) $days > self::LONGEST_WAIT) {
                throw $row->refused('days', \sprintf('must be a whole number up to %d', self::LONGEST_WAIT));
            }
            $signs = self::likelihoods($row, 'signs', static fn (string $id): bool => null !== Sign::tryFrom($id));
            if ([] === $signs) {
                throw $row->refused('signs', 'must name one sign at least');
            }
            $causes[$row->text('id')] = new Cause(
                $row->text('id'),
                $row->text('cause'),
                $row->text('about'),
                $row->choice('kind', Severity::class),
                $row->estimate('prior', 0.01, 10),
                $signs,
                self::likelihoods($row, 'facts', static fn (string $id): bool => isset($facts[$id])),
                $row->text('do'),
                $row->text('avoid'),
                (int) $days,
                'none' === $row->text('action') ? null : $row->choice('action', Remedy::class),
                'none' === $row->text('watch') ? null : self::watch($row),
                $row->optionalText('remarks'),
            );
        }

        return $causes;
    }

    private static function watch(Row $row): Watch
    {
        return Watch::parse($row->text('watch')) ?? throw $row->refused('watch', 'is not written as "nitrate up"');
    }

    /**
     * @param \Closure(string): bool $isKnown
     *
     * @return array<string, Likelihood>
     */
    private static function likelihoods(Row $row, string $column, \Closure $isKnown): array
    {
        $found = [];
        foreach (array_filter(explode('; ', $row->optionalText($column)), static fn (string $t): bool => '' !== $t) as $text) {
            [$id, $rest] = [...explode(' ', $text, 2), ''];
            if (!$isKnown($id) || isset($found[$id])) {
                throw $row->refused($column, "\"$id\" is not known, or stands there twice");
            }
            $found[$id] = self::likelihood($row, $column, $rest);
        }

        return $found;
    }

    private static function likelihood(Row $row, string $column, string $text): Likelihood
    {
        try {
            return Likelihood::parse($text);
        } catch (\InvalidArgumentException $refused) {
            throw $row->refused($column, $refused->getMessage());
        }
    }
}
