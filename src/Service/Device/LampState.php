<?php

declare(strict_types=1);

namespace Olvek\Service\Device;

/** What a lamp timer says of itself. */
final readonly class LampState
{
    /**
     * @param int    $percent   of its strength that it burns with now; 0 while it is dark
     * @param string $programme id of the programme that it holds, as it was sent; '' for none
     */
    public function __construct(public bool $on, public int $percent, public string $programme)
    {
    }
}
