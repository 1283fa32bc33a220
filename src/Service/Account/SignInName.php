<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

/** Names that people sign in with: without case, and the same however their letters were typed. */
final class SignInName
{
    public const RULE = 'A sign-in name has 2 to 80 letters, digits, dots, hyphens, underscores or @.';
    private const LONGEST = 80;

    /** The name by which a keeper is kept; null where it can be none. */
    public static function read(string $typed): ?string
    {
        $name = self::fold($typed);

        return null !== $name && 1 === preg_match('/^[\p{L}\p{M}\p{N}._@-]{2,}$/u', $name) && mb_strlen($name) <= self::LONGEST
            ? $name
            : null;
    }

    /** Without case and in one normal form; null where it is no text. */
    public static function fold(string $typed): ?string
    {
        if (!mb_check_encoding($typed, 'UTF-8')) {
            return null;
        }
        $normal = \Normalizer::normalize(mb_convert_case(trim($typed), \MB_CASE_FOLD, 'UTF-8'), \Normalizer::FORM_C);

        return \is_string($normal) ? $normal : null;
    }
}
