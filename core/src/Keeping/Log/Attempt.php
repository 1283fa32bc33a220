<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

/** Something that was tried against the likely cause of a sign, and what came of it. */
final readonly class Attempt
{
    /**
     * @param int            $day    on which it was begun
     * @param string         $cause  by its id (Sign\Cause)
     * @param string|null    $of     clump or group
     * @param int            $look   day on which one meant to look again
     * @param Improved|null  $came   what one found; null until somebody has looked
     */
    public function __construct(
        public int $day,
        public string $cause,
        public Sign $sign,
        public ?string $of,
        public int $look,
        public ?Improved $came = null,
    ) {
    }

    public function with(Improved $came): self
    {
        return new self($this->day, $this->cause, $this->sign, $this->of, $this->look, $came);
    }

    /** Whether it is an answer to this one that somebody gives. */
    public function isOf(string $cause, string $seen): bool
    {
        return $this->cause === $cause && self::seen($this->sign, $this->of) === $seen;
    }

    /** A sign and whom it is seen on, as a line of the logbook keeps them: "pale-tips", "pale-tips:c1". */
    public static function seen(Sign $sign, ?string $of): string
    {
        return $sign->value.(null === $of ? '' : ":$of");
    }

    /** @return array{Sign, string|null}|null what seen() wrote; null for what it did not */
    public static function read(string $seen): ?array
    {
        [$id, $of] = [...explode(':', $seen, 2), ''];
        $sign = Sign::tryFrom($id);

        return null === $sign ? null : [$sign, '' === $of ? null : $of];
    }
}
