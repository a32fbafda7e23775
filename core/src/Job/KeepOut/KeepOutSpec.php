<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\KeepOut;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/** Something that no tube may come near, as surveyed. */
final readonly class KeepOutSpec
{
    /**
     * @param  array{Length, Length, Length}  $at  a point of the plane, the box's centre, the bar's first end, the
     *   mesh's zero
     * @param  Vector  $direction  out of the half-space; of the box's first edge level with the ground, of the mesh's x
     * @param  array{Length, Length, Length}  $to  the bar's other end
     * @param  array{Length, Length, Length}  $size  the box's edges
     * @param  ?Length  $clearance  in place of what its kind usually needs
     * @param  ?string  $mesh  which mesh, by the fingerprint it is kept under
     */
    public function __construct(
        public string $name,
        public KeepOutKind $kind,
        public KeepOutShape $shape,
        public array $at,
        public Vector $direction,
        public array $to,
        public array $size,
        public Length $radius,
        public ?Length $clearance,
        public string $note,
        public ?string $mesh = null,
    ) {}

    /**
     * @param  float  $exemptMm  what of a tube is not tested at its own block or collector
     * @return ?KeepOut null for a mesh that is not at hand
     */
    public function solid(float $clearanceMm, float $exemptMm, MeshStore $meshes): ?KeepOut
    {
        $clearance = $this->clearance->mm ?? $clearanceMm;
        $first = $this->kind->isExemptAtPort() ? $exemptMm : 0.0;
        $last = $this->kind->isExemptAtInlet() ? $exemptMm : 0.0;

        return match ($this->shape) {
            KeepOutShape::HalfSpace => new HalfSpace(
                $this->name,
                self::point($this->at),
                $this->direction->unit(),
                $clearance,
                $first,
                $last,
            ),
            KeepOutShape::Box => new Box(
                $this->name,
                self::point($this->at),
                self::axes($this->direction),
                [$this->size[0]->mm / 2, $this->size[1]->mm / 2, $this->size[2]->mm / 2],
                $clearance,
                $first,
                $last,
            ),
            KeepOutShape::Cylinder => new Cylinder(
                $this->name,
                self::point($this->at),
                self::point($this->to),
                $this->radius->mm,
                $clearance,
                $first,
                $last,
            ),
            KeepOutShape::Mesh => $this->mesh($meshes, $clearance, $first, $last),
            KeepOutShape::Capsule => new Capsule(
                $this->name,
                self::point($this->at),
                self::point($this->to),
                $this->radius->mm,
                $clearance,
                $first,
                $last,
            ),
        };
    }

    /**
     * The same with another mesh.
     *
     * @param  bool  $isMoved  whether that lies in the job's own axes, so that nothing sets it down elsewhere
     */
    public function meshed(string $fingerprint, bool $isMoved): self
    {
        $zero = Length::ofMm(0.0);

        return new self(
            $this->name,
            $this->kind,
            $this->shape,
            $isMoved ? [$zero, $zero, $zero] : $this->at,
            $isMoved ? new Vector(1.0, 0.0, 0.0) : $this->direction,
            $this->to,
            $this->size,
            $this->radius,
            $this->clearance,
            $this->note,
            $fingerprint,
        );
    }

    private function mesh(MeshStore $meshes, float $clearanceMm, float $firstMm, float $lastMm): ?MeshSolid
    {
        $mesh = $this->mesh === null ? null : $meshes->find($this->mesh);

        return $mesh === null
            ? null
            : new MeshSolid(
                $this->name,
                $mesh,
                self::point($this->at),
                self::axes($this->direction),
                $clearanceMm,
                $firstMm,
                $lastMm,
            );
    }

    /**
     * A box's edges: the first along the direction, the second level, the third square to both.
     *
     * @return array{Vector, Vector, Vector}
     */
    public static function axes(Vector $direction): array
    {
        $x = $direction->unit();
        $y = (abs($x->z) > 0.999 ? new Vector(0, 1, 0) : new Vector(-$x->y, $x->x, 0))->unit();

        return [$x, $y, $x->cross($y)];
    }

    /** @param  array{Length, Length, Length}  $at */
    private static function point(array $at): Vector
    {
        return new Vector($at[0]->mm, $at[1]->mm, $at[2]->mm);
    }
}
