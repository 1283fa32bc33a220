<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Symfony\Component\HttpFoundation\HeaderUtils;

/** Headers of something that leaves as a file. */
final class Attachment
{
    /**
     * @param string $name     what people call it, in any letters
     * @param string $fallback ASCII name for readers that know no other
     *
     * @return array<string, string>
     */
    public static function headers(string $type, string $name, string $fallback): array
    {
        return [
            'Content-Type' => $type,
            'Content-Disposition' => HeaderUtils::makeDisposition(
                HeaderUtils::DISPOSITION_ATTACHMENT,
                strtr($name, '/\\%', '---'),
                $fallback,
            ),
        ];
    }
}
