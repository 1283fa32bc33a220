<?php

declare(strict_types=1);

namespace Olvek\Core\Basis\Field;

/** A kind from one of the catalogue's tables, named by its id; null where the keeper named none. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class KindOf extends Description
{
    /** Marks in a schema that is being made, in whose place the ids of a table's rows come. */
    public const TABLE = '@table';
    public const ONLY = '@only';

    /**
     * @param string $table the catalogue's property
     * @param string $what  one row of it, with its article, for refusals
     * @param string $none  what stands for no kind in particular
     * @param string|null $only offered to choose from: rows of one role; null for all of them
     */
    public function __construct(
        public string $table,
        public string $what,
        string $label,
        public string $none,
        string $help = '',
        ?string $at = null,
        ?string $when = null,
        public ?string $only = null,
    ) {
        parent::__construct($label, $help, $at, $when);
    }

    public function schema(bool $whole): array
    {
        // The ids are the catalogue's to name (Plan\PlanSchema).
        return ['type' => ['string', 'null'], self::TABLE => $this->table, self::ONLY => $this->only];
    }
}
