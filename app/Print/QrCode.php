<?php

declare(strict_types=1);

namespace App\Print;

use BaconQrCode\Common\ErrorCorrectionLevel;
use BaconQrCode\Encoder\Encoder;

/** A QR code as a picture that a page can hold; made by the library of Debian's php-bacon-qr-code. */
final readonly class QrCode
{
    /** White round it, in modules: ISO/IEC 18004 wants four, from memory. */
    private const QUIET = 4;

    /** Pixels to a module: coarse enough to stay sharp when it is scaled. */
    private const PIXELS = 6;

    /** @return string a PNG as a data address */
    public static function png(string $text): string
    {
        require_once 'Bacon/BaconQrCode/autoload.php';
        // Level M: about 15 % of it may be smudged and it still reads; ISO/IEC 18004, from memory.
        $code = Encoder::encode($text, ErrorCorrectionLevel::M(), 'UTF-8')->getMatrix();
        $size = ($code->getWidth() + 2 * self::QUIET) * self::PIXELS;
        $image = imagecreate(max(1, $size), max(1, $size));
        if ($image === false) {
            throw new \RuntimeException('no picture could be made');
        }
        imagecolorallocate($image, 255, 255, 255);
        $black = (int) imagecolorallocate($image, 0, 0, 0);
        for ($y = 0; $y < $code->getHeight(); $y++) {
            for ($x = 0; $x < $code->getWidth(); $x++) {
                if ($code->get($x, $y) === 1) {
                    [$left, $top] = [($x + self::QUIET) * self::PIXELS, ($y + self::QUIET) * self::PIXELS];
                    imagefilledrectangle($image, $left, $top, $left + self::PIXELS - 1, $top + self::PIXELS - 1, $black);
                }
            }
        }
        ob_start();
        imagepng($image, null, 9);

        return 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
    }
}
