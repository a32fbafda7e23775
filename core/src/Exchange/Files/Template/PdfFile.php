<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

/** The frame of a PDF file with pages of lines and words in one font. */
final readonly class PdfFile
{
    public const POINTS_A_MM = 72 / 25.4;

    /**
     * @param  non-empty-list<string>  $pages  what is drawn on each, in mm from its lower left corner
     * @param  float  $widthMm  of every page; rounded up to whole points, as some readers shrink other pages to fit
     */
    public static function of(array $pages, float $widthMm, float $heightMm): string
    {
        $objects = [
            '<< /Type /Catalog /Pages 2 0 R >>',
            sprintf('<< /Type /Pages /Kids [%s] /Count %d >>', implode(' ', array_map(
                static fn (int $i): string => sprintf('%d 0 R', 4 + 2 * $i),
                array_keys($pages),
            )), count($pages)),
            '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica /Encoding /WinAnsiEncoding >>',
        ];
        foreach ($pages as $i => $page) {
            $stream = sprintf("%.10F 0 0 %1\$.10F 0 0 cm\n%s", self::POINTS_A_MM, $page);
            $objects[] = sprintf(
                '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 %d %d] /Resources << /Font << /F1 3 0 R >> >> /Contents %d 0 R >>',
                ceil($widthMm * self::POINTS_A_MM - 1e-6),
                ceil($heightMm * self::POINTS_A_MM - 1e-6),
                5 + 2 * $i,
            );
            $objects[] = sprintf("<< /Length %d >>\nstream\n%s\nendstream", strlen($stream), $stream);
        }

        return self::file($objects);
    }

    /** A word on a page. */
    public static function word(float $xMm, float $yMm, float $heightMm, string $text): string
    {
        return sprintf(
            'BT /F1 %.2F Tf %.4F %.4F Td (%s) Tj ET',
            $heightMm,
            $xMm,
            $yMm,
            // In the one-byte characters of the font, with what has a meaning in the format escaped.
            addcslashes(mb_convert_encoding($text, 'Windows-1252', 'UTF-8'), '\\()'),
        );
    }

    /** @param  string  $hex  such as #0b3d91 */
    public static function strokeColour(string $hex): string
    {
        $parts = array_map(static fn (string $one): float => hexdec($one) / 255, str_split(ltrim($hex, '#'), 2));

        return sprintf('%.6F %.6F %.6F RG', ...$parts);
    }

    /** @param  list<string>  $objects  numbered from 1 */
    private static function file(array $objects): string
    {
        $file = "%PDF-1.4\n";
        $places = [];
        foreach ($objects as $i => $object) {
            $places[] = strlen($file);
            $file .= sprintf("%d 0 obj\n%s\nendobj\n", $i + 1, $object);
        }
        $start = strlen($file);
        $file .= sprintf("xref\n0 %d\n0000000000 65535 f \n", count($objects) + 1);
        foreach ($places as $place) {
            $file .= sprintf("%010d 00000 n \n", $place);
        }

        return $file.sprintf("trailer\n<< /Size %d /Root 1 0 R >>\nstartxref\n%d\n%%%%EOF\n", count($objects) + 1, $start);
    }
}
