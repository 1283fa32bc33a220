<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

use Olvek\Service\Site\Moment;
use Olvek\Service\Site\PlainText;
use Olvek\Service\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** What a file that was carried away says of itself: which tanks are in it, and how its keeper likes it. */
final readonly class ShelfManifest
{
    private const MOST_TANKS = 2000;

    /** @param list<ManifestTank> $tanks */
    private function __construct(public array $tanks, public ?ManifestSettings $settings)
    {
    }

    /** @throws UnreadableFile */
    public static function read(Unzip $zip): self
    {
        $data = json_decode($zip->text('manifest.json', Unzip::MOST_MANIFEST) ?? '', true, 8);
        if (!\is_array($data) || ShelfFormat::FORMAT !== ($data['format'] ?? null) || !\is_array($data['tanks'] ?? null)) {
            throw new UnreadableFile('This ZIP file was not made by Olvek: it has no manifest that says so.');
        }
        if (ShelfFormat::VERSION !== ($data['version'] ?? null)) {
            throw new UnreadableFile('This file was made by another version of Olvek, which this one does not read.');
        }

        return new self(
            array_map(self::tank(...), \array_slice(array_values($data['tanks']), 0, self::MOST_TANKS)),
            \is_array($data['keeper'] ?? null) ? ManifestSettings::read($data['keeper']) : null,
        );
    }

    /** @throws UnreadableFile */
    private static function tank(mixed $tank): ManifestTank
    {
        $tank = \is_array($tank) ? $tank : [];
        $text = static fn (string $name): string => \is_string($tank[$name] ?? null) ? $tank[$name] : '';
        $created = Moment::rfc3339($text('created'));
        $head = $tank['head'] ?? null;
        if (
            null === $created
            || !\is_int($head)
            || 1 !== preg_match('~^tanks/[a-z0-9-]{1,60}$~D', $text('folder'))
            || !Uuid::isValid($text('id'))
        ) {
            throw new UnreadableFile('A tank in this file’s manifest can’t be read. Download the file again from Olvek.');
        }

        return new ManifestTank(
            $text('folder'),
            Uuid::fromString($text('id')),
            mb_substr(mb_scrub($text('name')), 0, 80),
            $created,
            $head,
            // Files from before there were rooms say nothing of them.
            null === PlainText::fault($text('room'), Tank::LONGEST_ROOM, 'A room') ? trim($text('room')) : '',
            Moment::rfc3339($text('archived')),
            Uuid::isValid($text('follows')) ? Uuid::fromString($text('follows')) : null,
        );
    }
}
