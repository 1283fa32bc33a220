<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Service\Editing\FieldView;

/** Which fields of a stage are in sight: those that most tanks are planned with, six at most; all others stand under "exactly". */
final readonly class UsualFields
{
    private const IN_SIGHT = [
        'vessel' => [
            'name', 'vessel.shape', 'vessel.length', 'vessel.width', 'vessel.diameter', 'vessel.mouth', 'vessel.foot', 'vessel.height',
            'site.temperature',
        ],
        'bed' => [
            'bed.soil.material', 'bed.soil.front', 'bed.soil.back', 'bed.cap.material', 'bed.cap.front', 'bed.cap.back',
        ],
        'light' => ['light.kind', 'light.lumens', 'light.hours', 'light.height', 'light.on'],
        'equipment' => ['equipment.heating', 'equipment.target', 'equipment.watts', 'equipment.device', 'equipment.flow'],
        'water' => ['water.kind', 'water.pH', 'water.gh', 'water.kh', 'preparation.treatment', 'topUp.kind'],
        'animals' => ['feeding.food', 'feeding.grams', 'feeding.fromDay'],
        'start' => ['start.way', 'start.inoculum'],
    ];
    /** Of a clump, a group, a stone or a zone, by the last part of their place. */
    private const OF_A_ROW = ['pieces', 'count', 'litres', 'soil', 'cap'];
    public const MOST = 6;

    /**
     * @param list<list<FieldView>> $lines
     *
     * @return array{list<list<FieldView>>, list<list<FieldView>>} in sight, and under "exactly"
     */
    public static function apart(string $stage, array $lines): array
    {
        $inSight = self::IN_SIGHT[$stage] ?? [];
        $usual = $exact = [];
        $room = self::MOST;
        foreach ($lines as $line) {
            $wanted = array_values(array_filter($line, static fn (FieldView $f): bool => \in_array($f->path, $inSight, true)));
            $first = \array_slice($wanted, 0, $room);
            $room -= \count($first);
            $rest = array_values(array_filter($line, static fn (FieldView $f): bool => !\in_array($f, $first, true)));
            $usual = [] === $first ? $usual : [...$usual, $first];
            $exact = [] === $rest ? $exact : [...$exact, $rest];
        }

        return [$usual, $exact];
    }

    /**
     * @param list<FieldView> $fields
     *
     * @return array{list<FieldView>, list<FieldView>} in sight, and under "exactly"
     */
    public static function ofRow(array $fields): array
    {
        $isUsual = static fn (FieldView $f): bool => \in_array(substr((string) strrchr($f->path, '.'), 1), self::OF_A_ROW, true);

        return [
            array_values(array_filter($fields, $isUsual)),
            array_values(array_filter($fields, static fn (FieldView $f): bool => !$isUsual($f))),
        ];
    }
}
