<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Solve\Merge\Template\Layer;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

/** A wrap template as SVG: one user unit is a millimetre, and the page says its size in millimetres. */
final readonly class TemplateSvg
{
    public static function write(WrapTemplate $template): string
    {
        [$left, $lower, $right, $upper] = $template->edgesMm();
        [$width, $height] = [$right - $left, $upper - $lower];
        $lines = [
            '<?xml version="1.0" encoding="UTF-8"?>',
            sprintf(
                '<svg xmlns="http://www.w3.org/2000/svg" '
                    .'width="%1$.4Fmm" height="%2$.4Fmm" viewBox="0 0 %1$.4F %2$.4F">',
                $width,
                $height,
            ),
        ];
        foreach ($template->strokes as $stroke) {
            $points = array_map(
                static fn (array $one): string => sprintf('%.5F,%.5F', $one[0] - $left, $upper - $one[1]),
                $stroke->points,
            );
            $lines[] = sprintf(
                '<%s %s points="%s" fill="none" stroke="%s" stroke-width="0.2"/>',
                $stroke->isClosed ? 'polygon' : 'polyline',
                ($stroke->layer === Layer::Marks ? 'class' : 'id').'="'.$stroke->layer->value.'"',
                implode(' ', $points),
                $stroke->layer->colour(),
            );
        }
        foreach ($template->notes as $note) {
            $lines[] = sprintf(
                '<text x="%.3F" y="%.3F" font-size="%.1F" font-family="sans-serif">%s</text>',
                $note->xMm - $left,
                $upper - $note->yMm,
                $note->heightMm,
                htmlspecialchars($note->text, ENT_XML1),
            );
        }

        return implode("\n", [...$lines, '</svg>', '']);
    }
}
