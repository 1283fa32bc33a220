<?php

declare(strict_types=1);

namespace Olvek\Service\Compare;

use Olvek\Core\Planning\Plan\Method;
use Symfony\Component\Uid\Uuid;

/** What may be compared, as an address carries it: a tank's plan, a version of it, the plan by another method, the tank as it has gone. */
final readonly class Thing
{
    private const FORM = '/^([0-9a-f-]{36})(?:@(\d{1,9})|~([a-z-]{1,40})|(!))?$/D';
    private const VERSION = '@';
    private const METHOD = '~';
    private const LIVED = '!';

    private function __construct(
        public Uuid $tank,
        public ?int $version = null,
        public ?Method $method = null,
        public bool $lived = false,
    ) {
    }

    /** @return self|null null of what is none */
    public static function read(string $text): ?self
    {
        if (1 !== preg_match(self::FORM, $text, $match, \PREG_UNMATCHED_AS_NULL)) {
            return null;
        }
        [$tank, $version, $method, $lived] = [$match[1], $match[2] ?? null, $match[3] ?? null, $match[4] ?? null];
        $known = null === $method ? null : Method::tryFrom($method);
        if (!Uuid::isValid($tank) || (null !== $method && null === $known)) {
            return null;
        }

        return new self(Uuid::fromString($tank), null === $version ? null : (int) $version, $known, null !== $lived);
    }

    /** Whether it is a plan as it stands, into which parts of others can be taken. */
    public function isPlan(): bool
    {
        return null === $this->version && null === $this->method && !$this->lived;
    }

    public function text(): string
    {
        return $this->tank->toRfc4122().match (true) {
            null !== $this->version => self::VERSION.$this->version,
            null !== $this->method => self::METHOD.$this->method->value,
            $this->lived => self::LIVED,
            default => '',
        };
    }

    public static function ofTank(Uuid $tank): string
    {
        return $tank->toRfc4122();
    }

    public static function ofVersion(Uuid $tank, int $number): string
    {
        return $tank->toRfc4122().self::VERSION.$number;
    }

    public static function ofMethod(Uuid $tank, Method $method): string
    {
        return $tank->toRfc4122().self::METHOD.$method->value;
    }

    public static function asLived(Uuid $tank): string
    {
        return $tank->toRfc4122().self::LIVED;
    }
}
