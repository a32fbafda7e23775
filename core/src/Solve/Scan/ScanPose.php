<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Adjust\Symmetric;

/**
 * How a scan is turned and moved so that places tapped on it come to where they are known to be: the best rigid move
 * [Horn 1987, from memory: the greatest eigenvector of a 4 × 4 matrix is its quaternion].
 */
final readonly class ScanPose
{
    /** Places nearer than this to one line say no turn about it, mm; our own figure. */
    private const APART_MM = 5.0;

    /**
     * @param  array{Vector, Vector, Vector}  $axes  where the scan's own axes come to lie
     * @param  list<float>  $offMm  how far each place is off after it
     */
    private function __construct(public array $axes, public Vector $shift, public array $offMm) {}

    /**
     * @param  list<Vector>  $tapped
     * @param  list<Vector>  $known  in the same order
     *
     * @throws \DomainException if they are fewer than three, or lie in a line
     */
    public static function of(array $tapped, array $known): self
    {
        if (count($tapped) < 3 || count($tapped) !== count($known)) {
            throw new \DomainException('Tap three places at least whose place is known.');
        }
        [$from, $to] = [Vector::mean($tapped), Vector::mean($known)];
        foreach ([$tapped, $known] as $places) {
            if (self::widthMm($places) < self::APART_MM) {
                throw new \DomainException('These places lie in one line: take one that stands well aside of it.');
            }
        }
        $s = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ($tapped as $k => $one) {
            [$p, $q] = [$one->minus($from)->toArray(), $known[$k]->minus($to)->toArray()];
            for ($i = 0; $i < 3; $i++) {
                for ($j = 0; $j < 3; $j++) {
                    $s[$i][$j] += $p[$i] * $q[$j];
                }
            }
        }
        [[$xx, $xy, $xz], [$yx, $yy, $yz], [$zx, $zy, $zz]] = $s;
        [$w, $x, $y, $z] = Symmetric::principal([
            [$xx + $yy + $zz, $yz - $zy, $zx - $xz, $xy - $yx],
            [$yz - $zy, $xx - $yy - $zz, $xy + $yx, $zx + $xz],
            [$zx - $xz, $xy + $yx, -$xx + $yy - $zz, $yz + $zy],
            [$xy - $yx, $zx + $xz, $yz + $zy, -$xx - $yy + $zz],
        ])[1][0];
        $axes = [
            new Vector($w * $w + $x * $x - $y * $y - $z * $z, 2 * ($x * $y + $w * $z), 2 * ($x * $z - $w * $y)),
            new Vector(2 * ($x * $y - $w * $z), $w * $w - $x * $x + $y * $y - $z * $z, 2 * ($y * $z + $w * $x)),
            new Vector(2 * ($x * $z + $w * $y), 2 * ($y * $z - $w * $x), $w * $w - $x * $x - $y * $y + $z * $z),
        ];
        $pose = new self($axes, $to->minus(self::turned($from, $axes)), []);

        return new self($axes, $pose->shift, array_map(
            static fn (Vector $one, Vector $where): float => $pose->place($one)->distanceTo($where),
            $tapped,
            $known,
        ));
    }

    /** Where a place of the scan comes to lie. */
    public function place(Vector $one): Vector
    {
        return self::turned($one, $this->axes)->plus($this->shift);
    }

    /** The whole scan, moved. */
    public function moved(TriangleMesh $mesh): TriangleMesh
    {
        $corners = $mesh->corners();
        $moved = [];
        for ($i = 0; $i < count($corners); $i += 3) {
            $at = $this->place(new Vector($corners[$i], $corners[$i + 1], $corners[$i + 2]));
            array_push($moved, $at->x, $at->y, $at->z);
        }

        return MeshBuilder::build($moved);
    }

    /** @param  array{Vector, Vector, Vector}  $axes */
    private static function turned(Vector $one, array $axes): Vector
    {
        return $axes[0]->times($one->x)->plus($axes[1]->times($one->y))->plus($axes[2]->times($one->z));
    }

    /**
     * How far places stand aside of the line they lie nearest to.
     *
     * @param  non-empty-list<Vector>  $places
     */
    private static function widthMm(array $places): float
    {
        $middle = Vector::mean($places);
        $off = array_map(static fn (Vector $one): array => $one->minus($middle)->toArray(), $places);

        return sqrt(max(0.0, Symmetric::spread($off)[0][1]));
    }
}
