<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What a password must be: long enough, and none of those that everybody tries first. No other rules: demands for signs and digits make
 * passwords worse (NIST SP 800-63B, 2017, section 5.1.1.2; from memory).
 */
final readonly class PasswordRule
{
    public const LEAST = 10;
    /** Bytes: more is no password, and costs time to hash. */
    private const MOST = 4096;

    public function __construct(#[Autowire('%kernel.project_dir%/src/Service/Account/data/common-passwords.txt')] private string $list)
    {
    }

    /** Why a password is refused; null where it is fine. */
    public function fault(#[\SensitiveParameter] string $password): ?string
    {
        return match (true) {
            !mb_check_encoding($password, 'UTF-8'),
            \strlen($password) > self::MOST => 'This password cannot be taken. Choose one of at least 10 characters.',
            mb_strlen($password) < self::LEAST => \sprintf(
                'A password needs at least %d characters; a few words in a row are easy to remember.',
                self::LEAST,
            ),
            $this->isCommon($password) => 'This password is one of those that are tried first. Choose another; a few words in a row are '
                .'easy to remember.',
            default => null,
        };
    }

    private function isCommon(#[\SensitiveParameter] string $password): bool
    {
        $plain = mb_strtolower($password);
        // One sign over and over is on every such list, at whatever length.
        if (1 === preg_match('/^(.)\1*$/us', $plain)) {
            return true;
        }
        $lines = file($this->list, \FILE_IGNORE_NEW_LINES);

        return \in_array($plain, false === $lines ? [] : $lines, true);
    }
}
