<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Change;

use Olvek\Core\Planning\Plan\RefusedEdit;
use Olvek\Core\Planning\Plan\UsualAmount;

/** A further group of animals, as many as keep each other company or begin a colony. */
final readonly class AddGroup implements Change
{
    /** Day on which animals, and what is planned to happen, stand until they are moved. C. */
    public const USUAL_DAY = 28;

    /**
     * @param string   $kind id in the catalogue
     * @param int|null $day  on which they come; the usual one where it is not told
     */
    public function __construct(private string $kind, private ?int $count = null, private ?int $day = null)
    {
    }

    public function place(): string
    {
        return null === $this->count ? 'animals.add' : "animals.add.$this->kind";
    }

    public function typed(): string
    {
        return null === $this->count ? $this->kind : $this->count.(null === $this->day ? '' : " on $this->day");
    }

    public function make(Draft $draft): string
    {
        $kind = $draft->catalogue->animals[$this->kind] ?? throw new RefusedEdit('Choose an animal from the list.');
        $draft->append('animals', [
            'id' => $draft->freeId('animals'),
            'kind' => $this->kind,
            'count' => $this->count ?? UsualAmount::heads($kind, $draft->plan()),
            'day' => $this->day ?? self::USUAL_DAY,
        ]);

        return $kind->common.' added'.(null === $this->count ? '' : ", $this->count");
    }
}
