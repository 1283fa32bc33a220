<?php

declare(strict_types=1);

namespace Olvek\Bench;

/** One stage of the rail, in working order. */
final readonly class StageView
{
    /**
     * @param string                $id      also the name of its part of the page
     * @param string                $stratum the stratum whose mark it carries
     * @param string                $decided what is decided so far, in a few words
     * @param list<list<FieldView>> $lines   controls, a line each
     * @param list<RowView>         $rows
     * @param string                $caution the caution that applies here
     * @param list<Ask>             $asks    what may be asked the other way round
     * @param list<Ask>             $schools recipes that may be looked at
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $stratum,
        public string $decided,
        public array $lines,
        public array $rows = [],
        public ?FieldView $add = null,
        public string $caution = '',
        public array $asks = [],
        public array $schools = [],
    ) {
    }

    public function faulty(): bool
    {
        foreach ([...array_merge(...$this->lines), ...array_merge([], ...array_map(static fn (RowView $r): array => $r->fields, $this->rows))] as $field) {
            if (null !== $field->error) {
                return true;
            }
        }

        return null !== $this->add?->error;
    }
}
