<?php

declare(strict_types=1);

namespace Olvek\Tests;

/** Services of the application under test, by their class. */
trait Services
{
    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }
}
