<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

/** What the files of a shelf are called in it, and the columns of its tables (docs/formats.md, “A whole shelf”). */
final class ShelfFormat
{
    public const FORMAT = 'olvek.shelf';
    public const VERSION = 1;
    public const REVISIONS = ['number', 'parent', 'at', 'label', 'words'];
    public const LOG = ['day', 'kind', 'what', 'amount', 'unit', 'of', 'words', 'made_up', 'id', 'written', 'note', 'cause'];
    public const TASKS = ['task', 'due', 'moved_to', 'settled', 'entry'];
    public const STEPS = ['step', 'done', 'day', 'note'];
    public const DEVICES = ['kind', 'device'];
}
