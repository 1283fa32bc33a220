<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Symfony\Bridge\Doctrine\Types\AbstractUidType;
use Symfony\Component\Uid\AbstractUid;
use Symfony\Component\Uid\Uuid;

/**
 * Ids stored as the text that people know them by, so that any dump carries them: sixteen raw bytes, bound as text, are cut at the first
 * zero.
 */
final class UuidText extends AbstractUidType
{
    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        // SQLite keeps what it is given whatever a column is called; the first release called it so, and a table made anew there would be a
        // risk for nothing.
        return $platform instanceof SQLitePlatform ? 'BLOB' : $platform->getGuidTypeDeclarationSQL($column);
    }

    public function convertToDatabaseValue($value, AbstractPlatform $platform): ?string
    {
        $id = $value instanceof AbstractUid || null === $value || '' === $value ? $value : $this->convertToPHPValue($value, $platform);

        return $id instanceof AbstractUid ? $id->toRfc4122() : null;
    }

    /** @return class-string<Uuid> */
    protected function getUidClass(): string
    {
        return Uuid::class;
    }
}
