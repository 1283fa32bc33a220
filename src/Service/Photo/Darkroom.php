<?php

declare(strict_types=1);

namespace Olvek\Service\Photo;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;

/**
 * Makes the kept pictures of what a keeper sends: turned upright, made small, written anew as JPEG. What is written anew carries nothing of
 * the camera's: no place, no name, and nothing that hides behind the picture.
 */
final class Darkroom
{
    public const MOST_BYTES = 15_000_000;
    /** Pixels of a picture, and of a side: more would not fit into a request's memory, and no camera of a keeper's has them. J. */
    public const MOST_PIXELS = 24_000_000;
    public const MOST_SIDE = 12_000;
    /**
     * Pixels that a byte may stand for. J: a camera's photo has a byte for at most twenty, a smooth drawing one for some hundred; a file
     * that promises more is made to cost memory and time (a few hundred bytes can call themselves a picture of any size).
     */
    public const MOST_PIXELS_A_BYTE = 400;
    private const QUALITY = 82;
    private const TAKEN = [\IMAGETYPE_JPEG => 'JPEG', \IMAGETYPE_PNG => 'PNG', \IMAGETYPE_WEBP => 'WebP'];

    /**
     * The size of a picture by its head alone: nothing is unpacked yet.
     *
     * @return string|null why it cannot be taken; null where it may be
     */
    public static function fault(string $path): ?string
    {
        $bytes = is_file($path) ? (int) filesize($path) : 0;
        if ($bytes > self::MOST_BYTES) {
            return \sprintf(
                'This file is larger than %d MB. Send the photo smaller; its details are not kept anyway.',
                intdiv(self::MOST_BYTES, 1_000_000),
            );
        }
        $size = 0 === $bytes ? false : @getimagesize($path);
        if (false === $size || !isset(self::TAKEN[$size[2]])) {
            return 'This is no picture that Olvek can read. Send a JPEG, PNG or WebP.';
        }
        [$width, $height] = $size;

        return match (true) {
            $width < 1 || $height < 1 => 'This picture has no size.',
            $width > self::MOST_SIDE || $height > self::MOST_SIDE || $width * $height > self::MOST_PIXELS => \sprintf(
                'This picture has %d × %d pixels; a photo has at most %d million, and %d along a side. Make it smaller first.',
                $width,
                $height,
                intdiv(self::MOST_PIXELS, 1_000_000),
                self::MOST_SIDE,
            ),
            $width * $height > self::MOST_PIXELS_A_BYTE * $bytes => 'This file is too small for the picture that it says it '
                .'holds: it is incomplete, or isn’t a photo. Send it again, or another.',
            default => null,
        };
    }

    /**
     * @param bool $keepsLargest whether a picture that Olvek has written stays as it is, where it is small enough and holds nothing else
     *
     * @return array{width: int, height: int, pictures: array<string, string>}|null JPEG by the size's name, and pixels of the largest; null
     * where the file breaks off or is not what its head says
     */
    public static function develop(string $path, bool $keepsLargest = false): ?array
    {
        $as = $keepsLargest ? (string) file_get_contents($path) : '';
        try {
            $image = (new ImageManager(new Driver(), autoOrientation: false, strip: true))->read($path);
            // Small first, then turned: the other way round it would stand in memory twice.
            $image->scaleDown(PhotoSize::Large->pixels(), PhotoSize::Large->pixels())->orient();
        } catch (RuntimeException) {
            return null;
        }
        $pictures = [];
        $largest = [0, 0];
        // From the largest down, each made from the one before.
        foreach (PhotoSize::cases() as $size) {
            $image->scaleDown($size->pixels(), $size->pixels());
            if (PhotoSize::Large === $size) {
                $largest = [$image->width(), $image->height()];
            }
            $pictures[$size->value] = (string) $image->toJpeg(self::QUALITY);
        }
        $sent = '' === $as ? false : getimagesizefromstring($as);
        if (false !== $sent && [$sent[0], $sent[1]] === $largest && BareJpeg::is($as)) {
            $pictures[PhotoSize::Large->value] = $as;
        }

        return ['width' => $largest[0], 'height' => $largest[1], 'pictures' => $pictures];
    }
}
