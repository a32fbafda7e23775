<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Centrelines as a DXF drawing in space (the text form, R12): a line for each straight, an arc for each bend, every run
 * on a layer of its own. Millimetres, rearward, right, up.
 *
 * Arcs lie in a plane of their own, whose axes follow from its normal by the format's arbitrary-axis rule.
 */
final readonly class DxfWriter
{
    /** Nearer than this to the world's z the x of a plane is taken from y, else from z: 1/64, as the format has it. */
    private const NEAR_Z = 1 / 64;

    /** @param  list<TubeSkin>  $skins */
    public static function write(array $skins): string
    {
        $layers = [];
        $entities = [];
        foreach ($skins as $skin) {
            $layer = self::layer($skin->name);
            $layers[] = $layer;
            foreach ($skin->parts as $part) {
                array_push($entities, ...$part->axis === null || $part->centre === null
                    ? self::line($part, $layer)
                    : self::arc($part, $layer, $part->axis, $part->centre));
            }
        }

        return Dxf::document($layers, $entities);
    }

    /** @return list<string> */
    private static function line(SkinPart $part, string $layer): array
    {
        return Dxf::pairs([
            0 => 'LINE', 8 => $layer,
            10 => $part->at->x, 20 => $part->at->y, 30 => $part->at->z,
            11 => $part->endAt->x, 21 => $part->endAt->y, 31 => $part->endAt->z,
        ]);
    }

    /** @return list<string> */
    private static function arc(SkinPart $part, string $layer, Vector $axis, Vector $centre): array
    {
        $x = abs($axis->x) < self::NEAR_Z && abs($axis->y) < self::NEAR_Z
            ? (new Vector(0, 1, 0))->cross($axis)->unit()
            : (new Vector(0, 0, 1))->cross($axis)->unit();
        $y = $axis->cross($x);
        $arm = $part->at->minus($centre);
        $from = rad2deg(atan2($arm->dot($y), $arm->dot($x)));

        return Dxf::pairs([
            0 => 'ARC', 8 => $layer,
            10 => $centre->dot($x), 20 => $centre->dot($y), 30 => $centre->dot($axis),
            40 => $part->clrMm,
            50 => fmod($from + 360.0, 360.0), 51 => fmod($from + $part->angleDeg + 360.0, 360.0),
            210 => $axis->x, 220 => $axis->y, 230 => $axis->z,
        ]);
    }

    /** Layers are named in capitals, digits and hyphens. */
    private static function layer(string $name): string
    {
        return 'RUN-'.strtoupper((string) preg_replace('/[^A-Za-z0-9]/', '-', $name));
    }
}
