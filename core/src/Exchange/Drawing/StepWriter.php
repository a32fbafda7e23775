<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Tubes as solids of a STEP file (ISO 10303-21, AP214): true cylinders and tori, walls and all. Each surface is split
 * lengthwise in two halves, so that no face closes on itself. Millimetres.
 */
final class StepWriter
{
    /** @var list<string> */
    private array $lines = [];

    private function __construct() {}

    /**
     * @param  list<TubeSkin>  $skins
     * @param  string  $madeAt  as ISO 8601 has it
     */
    public static function write(string $name, array $skins, string $madeAt): string
    {
        $writer = new self();
        $origin = $writer->placement(new Vector(0, 0, 0), new Vector(0, 0, 1), new Vector(1, 0, 0));
        $solids = array_map($writer->solid(...), $skins);
        $writer->product($name, [$origin, ...$solids]);
        $title = self::text($name);

        return implode("\n", [
            'ISO-10303-21;',
            'HEADER;',
            "FILE_DESCRIPTION(('runs of tube as solids'),'2;1');",
            "FILE_NAME($title,'$madeAt',(''),(''),'','Upswept Bead','');",
            "FILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));",
            'ENDSEC;',
            'DATA;',
            ...$writer->lines,
            'ENDSEC;',
            'END-ISO-10303-21;',
            '',
        ]);
    }

    private function solid(TubeSkin $skin): int
    {
        $walls = [];
        foreach ([$skin->outerMm, $skin->innerMm] as $radiusMm) {
            $walls[] = $this->wall($skin, $radiusMm);
        }
        [$outer, $inner] = $walls;
        $faces = [...$this->faces($skin, $outer, true), ...$this->faces($skin, $inner, false)];
        $rings = $skin->rings();
        $last = count($rings) - 1;
        $faces[] = $this->cap($rings[0], $outer['arcs'][0], $inner['arcs'][0], false);
        $faces[] = $this->cap($rings[$last], $outer['arcs'][$last], $inner['arcs'][$last], true);
        $shell = $this->add('CLOSED_SHELL', "''", self::all($faces));

        return $this->add('MANIFOLD_SOLID_BREP', self::text("Run $skin->name"), "#$shell");
    }

    /**
     * Vertices and edges of one wall: two to a ring, half a turn apart; arcs between them; lines along the tube.
     *
     * @return array{radius: float, arcs: list<array{int, int}>, lines: list<array{int, int}>}
     */
    private function wall(TubeSkin $skin, float $radiusMm): array
    {
        $vertices = $arcs = $lines = [];
        foreach ($skin->rings() as $ring) {
            $pair = [$this->vertex($ring, $radiusMm, 0.0), $this->vertex($ring, $radiusMm, 180.0)];
            $circle = $this->circle($ring->at, $ring->forward, $ring->side, $radiusMm);
            $arcs[] = [$this->edge($pair[0], $pair[1], $circle), $this->edge($pair[1], $pair[0], $circle)];
            $vertices[] = $pair;
        }
        foreach ($skin->parts as $i => $part) {
            [$from, $to] = [$vertices[$i], $vertices[$i + 1]];
            $lines[] = [
                $this->edge($from[0], $to[0], $this->along($part, TubeSkin::on($part->ringAt(0.0), $radiusMm, 0.0))),
                $this->edge($from[1], $to[1], $this->along($part, TubeSkin::on($part->ringAt(0.0), $radiusMm, 180.0))),
            ];
        }

        return ['radius' => $radiusMm, 'arcs' => $arcs, 'lines' => $lines];
    }

    /**
     * Two halves of each straight and bend. Seen from outside an outer face goes round with the arc, on with the flow,
     * back against the arc and home; an inner one the other way.
     *
     * @param  array{radius: float, arcs: list<array{int, int}>, lines: list<array{int, int}>}  $wall
     * @return list<int>
     */
    private function faces(TubeSkin $skin, array $wall, bool $isOuter): array
    {
        $faces = [];
        foreach ($skin->parts as $i => $part) {
            foreach ([0, 1] as $half) {
                $surface = $this->surface($part, $wall['radius']);
                [$start, $end] = [$wall['arcs'][$i][$half], $wall['arcs'][$i + 1][$half]];
                [$first, $second] = [$wall['lines'][$i][$half], $wall['lines'][$i][1 - $half]];
                $loop = $isOuter
                    ? [[$start, true], [$second, true], [$end, false], [$first, false]]
                    : [[$first, true], [$end, true], [$second, false], [$start, false]];
                $faces[] = $this->face([$this->loop($loop)], $surface, $isOuter);
            }
        }

        return $faces;
    }

    /**
     * The ring of metal at an end of the tube.
     *
     * @param  array{int, int}  $outer
     * @param  array{int, int}  $inner
     */
    private function cap(SkinRing $ring, array $outer, array $inner, bool $isEnd): int
    {
        $normal = $isEnd ? $ring->forward : $ring->forward->times(-1.0);
        $plane = $this->add('PLANE', "''", '#'.$this->placement($ring->at, $normal, $ring->side));

        return $this->face([$this->round($outer, $isEnd), $this->round($inner, ! $isEnd)], $plane, true);
    }

    /**
     * Once round a ring, with its arcs or against them.
     *
     * @param  array{int, int}  $arcs
     */
    private function round(array $arcs, bool $isWith): int
    {
        return $this->loop($isWith ? [[$arcs[0], true], [$arcs[1], true]] : [[$arcs[1], false], [$arcs[0], false]]);
    }

    private function surface(SkinPart $part, float $radiusMm): int
    {
        if ($part->axis === null || $part->centre === null) {
            $at = $this->placement($part->at, $part->forward, $part->side);

            return $this->add('CYLINDRICAL_SURFACE', "''", "#$at", self::number($radiusMm));
        }
        $at = $this->placement($part->centre, $part->axis, $part->at->minus($part->centre)->unit());

        return $this->add('TOROIDAL_SURFACE', "''", "#$at", self::number($part->clrMm), self::number($radiusMm));
    }

    private function vertex(SkinRing $ring, float $radiusMm, float $turnDeg): int
    {
        return $this->add('VERTEX_POINT', "''", '#'.$this->point(TubeSkin::on($ring, $radiusMm, $turnDeg)));
    }

    /** The line or the circle that a point of the tube's side goes along. */
    private function along(SkinPart $part, Vector $from): int
    {
        $axis = $part->axis;
        if ($axis === null || $part->centre === null) {
            return $this->line($from, $part->forward);
        }
        $middle = $part->centre->plus($axis->times($from->minus($part->centre)->dot($axis)));
        $arm = $from->minus($middle);

        return $this->circle($middle, $axis, $arm->unit(), $arm->length());
    }

    private function circle(Vector $at, Vector $axis, Vector $towards, float $radiusMm): int
    {
        return $this->add('CIRCLE', "''", '#'.$this->placement($at, $axis, $towards), self::number($radiusMm));
    }

    private function line(Vector $from, Vector $direction): int
    {
        $vector = $this->add('VECTOR', "''", '#'.$this->direction($direction), '1.');

        return $this->add('LINE', "''", '#'.$this->point($from), "#$vector");
    }

    private function edge(int $from, int $to, int $curve): int
    {
        return $this->add('EDGE_CURVE', "''", "#$from", "#$to", "#$curve", '.T.');
    }

    /** @param  list<array{int, bool}>  $edges  each with whether it is gone along its own way */
    private function loop(array $edges): int
    {
        $oriented = array_map(
            fn (array $one): int => $this->add('ORIENTED_EDGE', "''", '*', '*', "#$one[0]", $one[1] ? '.T.' : '.F.'),
            $edges,
        );

        return $this->add('EDGE_LOOP', "''", self::all($oriented));
    }

    /** @param  list<int>  $loops  the outer one first */
    private function face(array $loops, int $surface, bool $isAlong): int
    {
        $bounds = [];
        foreach ($loops as $i => $loop) {
            $bounds[] = $this->add($i === 0 ? 'FACE_OUTER_BOUND' : 'FACE_BOUND', "''", "#$loop", '.T.');
        }

        return $this->add('ADVANCED_FACE', "''", self::all($bounds), "#$surface", $isAlong ? '.T.' : '.F.');
    }

    private function placement(Vector $at, Vector $axis, Vector $towards): int
    {
        [$point, $z, $x] = [$this->point($at), $this->direction($axis), $this->direction($towards)];

        return $this->add('AXIS2_PLACEMENT_3D', "''", "#$point", "#$z", "#$x");
    }

    private function point(Vector $at): int
    {
        return $this->add('CARTESIAN_POINT', "''", self::triple($at));
    }

    private function direction(Vector $direction): int
    {
        return $this->add('DIRECTION', "''", self::triple($direction));
    }

    /** @param  list<int>  $items  what the representation holds */
    private function product(string $name, array $items): void
    {
        $title = self::text($name);
        $context = $this->add('APPLICATION_CONTEXT', "'automotive design'");
        $standard = "'international standard'";
        $this->add('APPLICATION_PROTOCOL_DEFINITION', $standard, "'automotive_design'", '2000', "#$context");
        $of = $this->add('PRODUCT_CONTEXT', "''", "#$context", "'mechanical'");
        $product = $this->add('PRODUCT', $title, $title, "''", "(#$of)");
        $formation = $this->add('PRODUCT_DEFINITION_FORMATION', "''", "''", "#$product");
        $design = $this->add('PRODUCT_DEFINITION_CONTEXT', "'part definition'", "#$context", "'design'");
        $definition = $this->add('PRODUCT_DEFINITION', "'design'", "''", "#$formation", "#$design");
        $shape = $this->add('PRODUCT_DEFINITION_SHAPE', "''", "''", "#$definition");
        $mm = $this->addRaw('(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))');
        $radian = $this->addRaw('(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.))');
        $steradian = $this->addRaw('(NAMED_UNIT(*)SI_UNIT($,.STERADIAN.)SOLID_ANGLE_UNIT())');
        $called = "'distance_accuracy_value'";
        $near = $this->add('UNCERTAINTY_MEASURE_WITH_UNIT', 'LENGTH_MEASURE(1.E-06)', "#$mm", $called, "''");
        $geometry = $this->addRaw(
            "(GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((#$near))"
                ."GLOBAL_UNIT_ASSIGNED_CONTEXT((#$mm,#$radian,#$steradian))REPRESENTATION_CONTEXT('',''))",
        );
        $brep = $this->add('ADVANCED_BREP_SHAPE_REPRESENTATION', $title, self::all($items), "#$geometry");
        $this->add('SHAPE_DEFINITION_REPRESENTATION', "#$shape", "#$brep");
    }

    private function add(string $entity, string ...$arguments): int
    {
        return $this->addRaw("$entity(".implode(',', $arguments).')');
    }

    private function addRaw(string $record): int
    {
        $number = count($this->lines) + 1;
        $this->lines[] = "#$number=$record;";

        return $number;
    }

    /** @param  list<int>  $numbers */
    private static function all(array $numbers): string
    {
        return '('.implode(',', array_map(static fn (int $one): string => "#$one", $numbers)).')';
    }

    private static function triple(Vector $of): string
    {
        return '('.implode(',', array_map(self::number(...), $of->toArray())).')';
    }

    /** A real of the format: always with a point. */
    private static function number(float $value): string
    {
        $text = rtrim(sprintf('%.12F', $value), '0');

        return $text === '-0.' ? '0.' : $text;
    }

    /** In single quotes; what is not plain ASCII as its code, as the format asks for. */
    private static function text(string $text): string
    {
        $plain = '';
        foreach (mb_str_split($text) as $char) {
            $plain .= match (true) {
                $char === "'" => "''",
                $char === '\\' => '\\\\',
                preg_match('/^[ -~]$/', $char) === 1 => $char,
                default => sprintf('\\X2\\%s\\X0\\', strtoupper(bin2hex(mb_convert_encoding($char, 'UTF-16BE')))),
            };
        }

        return "'$plain'";
    }
}
