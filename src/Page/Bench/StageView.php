<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Judgement\Review\Mistake;
use Olvek\Service\Editing\FieldView;

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
     * @param list<QuestionLink>             $asks    what may be asked the other way round
     * @param list<QuestionLink>             $methods recipes that may be looked at
     * @param string                $reasons why it is done so, as its method says
     * @param list<Mistake>         $mistakes what is to fix here, and what is still to decide
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
        public array $methods = [],
        public string $reasons = '',
        public array $mistakes = [],
    ) {
    }

    /** @param list<Mistake> $mistakes */
    public function with(array $mistakes): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->stratum,
            $this->decided,
            $this->lines,
            $this->rows,
            $this->add,
            $this->caution,
            $this->asks,
            $this->methods,
            $this->reasons,
            $mistakes,
        );
    }

    /** @return list<list<FieldView>> controls in sight */
    public function usual(): array
    {
        return UsualFields::apart($this->id, $this->lines)[0];
    }

    /** Whether something under "exactly" was refused. */
    public function hasExactError(): bool
    {
        $fields = array_merge([], ...$this->exact());

        return null !== $this->add?->error || [] !== array_filter($fields, static fn (FieldView $f): bool => null !== $f->error);
    }

    /** @return list<list<FieldView>> those under "exactly" */
    public function exact(): array
    {
        return UsualFields::apart($this->id, $this->lines)[1];
    }

    /** How many things in it are to fix, beside what is only undecided. */
    public function toFix(): int
    {
        return \count(array_filter($this->mistakes, static fn (Mistake $m): bool => !$m->lack));
    }

    /** @return array<string, string> words of the palettes that it opens, by their names */
    public function palettes(): array
    {
        return match ($this->id) {
            'plants' => ['plants' => 'Add plants'],
            'animals' => ['animals' => 'Add animals'],
            'hardscape' => ['hardscape' => 'Add stone or wood'],
            'light' => ['lamps' => 'Choose a lamp'],
            'bed' => ['soils' => 'Choose a soil', 'caps' => 'Choose a cap'],
            default => [],
        };
    }

    /** Its name where there is room for a word. */
    public function short(): string
    {
        return match ($this->id) {
            'vessel' => 'Vessel',
            'hardscape' => 'Stone',
            'equipment' => 'Heat, flow',
            'animals' => 'Animals',
            default => $this->name,
        };
    }

    /** How many things in it are still to decide. */
    public function undecided(): int
    {
        return \count($this->mistakes) - $this->toFix();
    }

    public function faulty(): bool
    {
        $rows = array_map(static fn (RowView $r): array => $r->fields, $this->rows);
        $fields = [...array_merge(...$this->lines), ...array_merge([], ...$rows)];
        foreach ($fields as $field) {
            if (null !== $field->error) {
                return true;
            }
        }

        return null !== $this->add?->error;
    }
}
