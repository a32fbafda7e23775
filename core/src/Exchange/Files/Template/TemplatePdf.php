<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Solve\Merge\Template\Layer;
use UpsweptBead\Core\Solve\Merge\Template\Note;
use UpsweptBead\Core\Solve\Merge\Template\Stroke;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

/** A wrap template as PDF: one page as large as it needs to be, or tiles on the paper there is. */
final readonly class TemplatePdf
{
    private const LINE_MM = 0.2;

    /** What printers leave white round a page. */
    private const MARGIN_MM = 12.0;

    /** Tiles lie over one another by so much, to be glued there. */
    private const OVERLAP_MM = 10.0;

    private const CROSS_MM = 4.0;

    private const PROOF_MM = 100.0;

    public static function write(WrapTemplate $template): string
    {
        [$left, $lower, $right, $upper] = $template->edgesMm();

        return PdfFile::of([self::drawn($template, -$left, -$lower)], $right - $left, $upper - $lower);
    }

    /** The same cut into pages with crosses to lay them on each other by, and a proof line on each. */
    public static function tiled(WrapTemplate $template, Paper $paper): string
    {
        [$left, $lower, $right, $upper] = $template->edgesMm(self::OVERLAP_MM + self::CROSS_MM);
        [$width, $height] = self::turned($paper, $right - $left, $upper - $lower);
        [$across, $up] = [$width - 2 * self::MARGIN_MM, $height - 2 * self::MARGIN_MM];
        $columns = self::tiles($right - $left, $across);
        $rows = self::tiles($upper - $lower, $up);
        $pages = [];
        for ($row = $rows - 1; $row >= 0; $row--) {
            for ($column = 0; $column < $columns; $column++) {
                $x = self::MARGIN_MM - $left - $column * ($across - self::OVERLAP_MM);
                $y = self::MARGIN_MM - $lower - $row * ($up - self::OVERLAP_MM);
                $pages[] = implode("\n", [
                    'q',
                    sprintf('%.3F %1$.3F %.3F %.3F re W n', self::MARGIN_MM, $across, $up),
                    self::drawn($template, $x, $y),
                    'Q',
                    ...self::crosses($width, $height),
                    ...self::proof(sprintf('Page %d of %d', count($pages) + 1, $columns * $rows)),
                ]);
            }
        }

        return PdfFile::of($pages === [] ? [''] : $pages, $width, $height);
    }

    /** @return array{float, float} the paper upright or on its side, whichever takes fewer pages */
    private static function turned(Paper $paper, float $widthMm, float $heightMm): array
    {
        $pages = static fn (float $w, float $h): int => self::tiles($widthMm, $w - 2 * self::MARGIN_MM)
            * self::tiles($heightMm, $h - 2 * self::MARGIN_MM);
        [$short, $long] = $paper->sidesMm();

        return $pages($short, $long) <= $pages($long, $short) ? [$short, $long] : [$long, $short];
    }

    private static function tiles(float $neededMm, float $tileMm): int
    {
        return max(1, (int) ceil(($neededMm - self::OVERLAP_MM) / ($tileMm - self::OVERLAP_MM)));
    }

    private static function drawn(WrapTemplate $template, float $xMm, float $yMm): string
    {
        return implode("\n", [
            sprintf('%.2F w 1 J 1 j', self::LINE_MM),
            ...array_map(static fn (Stroke $one): string => self::stroke($one, $xMm, $yMm), $template->strokes),
            '0 0 0 rg',
            ...array_map(static fn (Note $one): string => PdfFile::word(
                $one->xMm + $xMm,
                $one->yMm + $yMm,
                $one->heightMm,
                $one->text,
            ), $template->notes),
        ]);
    }

    private static function stroke(Stroke $stroke, float $xMm, float $yMm): string
    {
        $parts = [PdfFile::strokeColour($stroke->layer->colour())];
        foreach ($stroke->points as $i => [$x, $y]) {
            $parts[] = sprintf('%.5F %.5F %s', $x + $xMm, $y + $yMm, $i === 0 ? 'm' : 'l');
        }

        return implode("\n", [...$parts, $stroke->isClosed ? 's' : 'S']);
    }

    /** @return list<string> where the corners of this page's tile and of its neighbours' lie */
    private static function crosses(float $width, float $height): array
    {
        $lines = [sprintf('%.2F w', self::LINE_MM / 2), '0.6 0.6 0.6 RG'];
        $ends = static fn (float $size): array => [
            self::MARGIN_MM, self::MARGIN_MM + self::OVERLAP_MM,
            $size - self::MARGIN_MM - self::OVERLAP_MM, $size - self::MARGIN_MM,
        ];
        foreach ($ends($width) as $x) {
            foreach ($ends($height) as $y) {
                $lines[] = sprintf('%.3F %.3F m %.3F %2$.3F l S', $x - self::CROSS_MM / 2, $y, $x + self::CROSS_MM / 2);
                $lines[] = sprintf('%.3F %.3F m %1$.3F %.3F l S', $x, $y - self::CROSS_MM / 2, $y + self::CROSS_MM / 2);
            }
        }

        return $lines;
    }

    /** @return list<string> a line of 100 mm in the lower margin */
    private static function proof(string $page): array
    {
        $y = self::MARGIN_MM / 2;

        return [
            sprintf('%.2F w', self::LINE_MM),
            PdfFile::strokeColour(Layer::Proof->colour()),
            sprintf('%.3F %.3F m %.3F %2$.3F l S', self::MARGIN_MM, $y, self::MARGIN_MM + self::PROOF_MM),
            '0 0 0 rg',
            PdfFile::word(
                self::MARGIN_MM + self::PROOF_MM + 3.0,
                $y - 1.0,
                3.0,
                "$page. This line is 100 mm; lay crosses on crosses.",
            ),
        ];
    }
}
