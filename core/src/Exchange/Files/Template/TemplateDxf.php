<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Exchange\Drawing\Dxf;
use UpsweptBead\Core\Solve\Merge\Template\Layer;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

/** A wrap template as DXF: a layer for each kind of line, in millimetres. */
final readonly class TemplateDxf
{
    public static function write(WrapTemplate $template): string
    {
        $entities = [];
        foreach ($template->strokes as $stroke) {
            $layer = strtoupper($stroke->layer->value);
            array_push($entities, ...Dxf::pairs([
                0 => 'POLYLINE', 8 => $layer, 66 => 1, 10 => 0.0, 20 => 0.0, 30 => 0.0, 70 => $stroke->isClosed ? 1 : 0,
            ]));
            foreach ($stroke->points as [$x, $y]) {
                array_push($entities, ...Dxf::pairs([0 => 'VERTEX', 8 => $layer, 10 => $x, 20 => $y, 30 => 0.0]));
            }
            array_push($entities, ...Dxf::pairs([0 => 'SEQEND', 8 => $layer]));
        }
        foreach ($template->notes as $note) {
            array_push($entities, ...Dxf::pairs([
                0 => 'TEXT', 8 => 'TEXT', 10 => $note->xMm, 20 => $note->yMm, 30 => 0.0, 40 => $note->heightMm,
                // The degree sign as the format writes it.
                1 => str_replace('°', '%%d', $note->text),
            ]));
        }
        $layers = array_map(static fn (Layer $one): string => strtoupper($one->value), Layer::cases());

        return Dxf::document([...$layers, 'TEXT'], $entities);
    }
}
