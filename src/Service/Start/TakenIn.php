<?php

declare(strict_types=1);

namespace Olvek\Service\Start;

/** A clump or group of a tank that is taken over. */
final readonly class TakenIn
{
    /**
     * @param string   $kind  id in the catalogue
     * @param int      $count how many were set in or came
     * @param int      $day   on which, after filling
     * @param int|null $now   how many there are today; null where nobody has counted
     */
    public function __construct(public string $kind, public int $count, public int $day, public ?int $now)
    {
    }
}
