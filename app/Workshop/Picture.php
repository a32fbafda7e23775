<?php

declare(strict_types=1);

namespace App\Workshop;

use GdImage;

/**
 * A photo as it is kept: turned upright, no larger than a screen, encoded anew so that nothing but the picture is left.
 */
final readonly class Picture
{
    public const MOST_MB = 12;

    private const MOST_EDGE = 1600;

    /** Unpacked it takes 4 bytes a point: more than this would not fit beside everything else. */
    private const MOST_POINTS = 24_000_000;

    private const QUALITY = 82;

    private function __construct(public string $jpeg, public int $wide, public int $high) {}

    /** The picture, or what is wrong with the file. */
    public static function of(string $file): self|string
    {
        $size = @getimagesizefromstring($file);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            return 'This is no photo: a JPEG, PNG or WebP file is taken.';
        }
        if ($size[0] * $size[1] > self::MOST_POINTS) {
            return sprintf('%d × %d points are too many: %d million are taken.', $size[0], $size[1], self::MOST_POINTS / 1_000_000);
        }
        $image = @imagecreatefromstring($file);
        if ($image === false) {
            return 'This photo cannot be read; it may be cut short.';
        }
        $upright = self::upright($image, $file, $size[2]);
        $share = min(1.0, self::MOST_EDGE / max(imagesx($upright), imagesy($upright)));
        [$wide, $high] = [max(1, (int) round(imagesx($upright) * $share)), max(1, (int) round(imagesy($upright) * $share))];
        $paper = imagecreatetruecolor($wide, $high);
        imagefill($paper, 0, 0, (int) imagecolorallocate($paper, 255, 255, 255));
        imagecopyresampled($paper, $upright, 0, 0, 0, 0, $wide, $high, imagesx($upright), imagesy($upright));
        ob_start();
        imagejpeg($paper, null, self::QUALITY);

        return new self((string) ob_get_clean(), $wide, $high);
    }

    /** Cameras lie a picture down and say so; what they say is not kept. */
    private static function upright(GdImage $image, string $file, int $kind): GdImage
    {
        $exif = $kind === IMAGETYPE_JPEG ? @exif_read_data('data://image/jpeg;base64,'.base64_encode($file)) : false;
        $turn = match (is_array($exif) ? $exif['Orientation'] ?? 1 : 1) {
            3 => 180, 6 => 270, 8 => 90, default => 0,
        };
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }
}
