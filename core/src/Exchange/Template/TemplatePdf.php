<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Template;

use UpsweptBead\Core\Merge\Template\Stroke;
use UpsweptBead\Core\Merge\Template\WrapTemplate;

/** A wrap template as one PDF page, as large as it needs to be, in whole points: some readers shrink other pages to fit. */
final readonly class TemplatePdf
{
    private const POINTS_A_MM = 72 / 25.4;

    private const LINE_MM = 0.2;

    public static function write(WrapTemplate $template): string
    {
        [$left, $lower, $right, $upper] = $template->edgesMm();
        // The page is drawn in millimetres from its lower left corner.
        $content = [sprintf('%.10F 0 0 %1$.10F 0 0 cm', self::POINTS_A_MM), sprintf('%.2F w 1 J 1 j', self::LINE_MM)];
        foreach ($template->strokes as $stroke) {
            $content[] = self::stroke($stroke, $left, $lower);
        }
        $content[] = '0 0 0 rg';
        foreach ($template->notes as $note) {
            $content[] = sprintf(
                'BT /F1 %.2F Tf %.4F %.4F Td (%s) Tj ET',
                $note->heightMm,
                $note->xMm - $left,
                $note->yMm - $lower,
                self::text($note->text),
            );
        }
        $stream = implode("\n", $content);

        return self::file([
            '<< /Type /Catalog /Pages 2 0 R >>',
            '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
            sprintf(
                '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 %d %d] /Resources << /Font << /F1 5 0 R >> >> /Contents 4 0 R >>',
                ceil(($right - $left) * self::POINTS_A_MM),
                ceil(($upper - $lower) * self::POINTS_A_MM),
            ),
            sprintf("<< /Length %d >>\nstream\n%s\nendstream", strlen($stream), $stream),
            '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica /Encoding /WinAnsiEncoding >>',
        ]);
    }

    private static function stroke(Stroke $stroke, float $left, float $lower): string
    {
        $hex = hexdec(ltrim($stroke->layer->colour(), '#'));
        $parts = [sprintf('%.6F %.6F %.6F RG', ($hex >> 16) / 255, ($hex >> 8 & 255) / 255, ($hex & 255) / 255)];
        foreach ($stroke->points as $i => [$x, $y]) {
            $parts[] = sprintf('%.5F %.5F %s', $x - $left, $y - $lower, $i === 0 ? 'm' : 'l');
        }

        return implode("\n", [...$parts, $stroke->isClosed ? 's' : 'S']);
    }

    /** In the one-byte characters of the font, with what has a meaning in the format escaped. */
    private static function text(string $text): string
    {
        return addcslashes(mb_convert_encoding($text, 'Windows-1252', 'UTF-8'), '\\()');
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
