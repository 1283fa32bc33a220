<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Monolog\Attribute\AsMonologProcessor;
use Monolog\LogRecord;

/** Keeps out of the log what opens something: the calendar's private address, invitations, passwords. */
#[AsMonologProcessor]
final class LogMask
{
    private const SECRETS = ['~/feed/[A-Za-z0-9_-]{8,}~' => '/feed/…', '~/register/[A-Za-z0-9_-]{8,}~' => '/register/…'];
    private const KEYS = ['password', 'new', 'again', '_token', '_csrf_token', 'username', 'user_identifier'];

    public function __invoke(LogRecord $record): LogRecord
    {
        return $record->with(
            message: self::masked($record->message),
            context: self::all($record->context),
            extra: self::all($record->extra),
        );
    }

    /**
     * @param array<mixed> $values
     *
     * @return array<mixed>
     */
    private static function all(array $values): array
    {
        foreach ($values as $key => $value) {
            $values[$key] = match (true) {
                \in_array($key, self::KEYS, true) => '…',
                \is_string($value) => self::masked($value),
                \is_array($value) => self::all($value),
                default => $value,
            };
        }

        return $values;
    }

    private static function masked(string $text): string
    {
        return preg_replace(array_keys(self::SECRETS), array_values(self::SECRETS), $text) ?? $text;
    }
}
