<?php

declare(strict_types=1);

namespace Olvek\Service\Server;

/** Copies of the whole database, written and read while people work. */
interface Vault
{
    /**
     * @param string $file that does not exist yet
     *
     * @return string what was written and how it was checked
     *
     * @throws Trouble
     */
    public function write(string $file): string;

    /** @throws Trouble where the file is no whole copy */
    public function check(string $file): void;

    /**
     * Puts a copy in the place of what is there: all of it or nothing. Nobody can write between the copy that is kept and the exchange, so
     * that every change a keeper was told is saved is in one of the two.
     *
     * @param string|null $keep where a copy of what is there now goes, a file that does not exist yet; null where that cannot be read
     *                          any more
     *
     * @throws Trouble
     */
    public function read(string $file, ?string $keep): void;
}
