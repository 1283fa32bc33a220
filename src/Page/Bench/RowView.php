<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Service\Editing\FieldView;

/** A clump or group in its stage: what it is, its controls, and how to take it out. */
final readonly class RowView
{
    /**
     * @param list<FieldView> $fields
     * @param list<QuestionLink>       $asks
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $scientific,
        public string $about,
        public array $fields,
        public string $remove,
        public array $asks = [],
    ) {
    }

    /** @return list<FieldView> controls in sight */
    public function usual(): array
    {
        return UsualFields::ofRow($this->fields)[0];
    }

    /** @return list<FieldView> those under "exactly" */
    public function exact(): array
    {
        return UsualFields::ofRow($this->fields)[1];
    }
}
