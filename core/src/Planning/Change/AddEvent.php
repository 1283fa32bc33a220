<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Basis\Field\Fields;
use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Plan\RefusedEdit;

/**
 * Something more that is planned to happen. Where it is not told, with its usual values, and to the first clump or group where it concerns
 * one.
 */
final readonly class AddEvent implements Change
{
    /**
     * @param string|null $of     clump or group
     * @param float|null  $amount its first value, as its kind stores it
     */
    public function __construct(
        private EventKind $kind,
        private ?int $day = null,
        private ?string $of = null,
        private ?float $amount = null,
    ) {
    }

    public function place(): string
    {
        return null === $this->day ? 'events.add' : "events.add.{$this->kind->value}";
    }

    public function typed(): string
    {
        return null === $this->day
            ? $this->kind->value
            : implode(' ', array_filter(
                [(string) $this->day, $this->of, null === $this->amount ? null : $this->kind->amount()?->exactly($this->amount)],
                static fn (?string $part): bool => null !== $part,
            ));
    }

    public function make(Draft $draft): string
    {
        $of = $this->kind->of();
        $whom = null === $of ? [] : $draft->items('clump' === $of ? 'plants' : 'animals');
        if (null !== $of && [] === $whom) {
            throw new RefusedEdit(
                'clump' === $of ? 'There are no plants yet: add some first.' : 'There are no animals yet: add some first.',
            );
        }
        if (null !== $this->of && !\in_array($this->of, array_column($whom, 'id'), true)) {
            throw new RefusedEdit('The plan has none of this name: '.$this->of.'.');
        }
        $values = [];
        foreach (Fields::of($this->kind->type()) as $name => $property) {
            $usual = $property->told instanceof Number ? $property->told->usual : 0.0;
            $usual = [] === $values ? $this->amount ?? $usual : $usual;
            $values[$name] = $property->isWhole() ? (int) $usual : $usual;
        }
        $draft->append('events', [
            'id' => $draft->freeId('events'),
            'do' => $this->kind->value,
            'day' => $this->day ?? AddGroup::USUAL_DAY,
            ...null === $of ? [] : [$of => $this->of ?? $whom[0]['id']],
            ...$values,
        ]);

        return $this->kind->words().' added'.(null === $this->day ? '' : ", day $this->day");
    }
}
