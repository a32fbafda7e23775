<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/** What a plan says of one joint, as far as it decides whether the joint can stay as it was tacked or welded. */
final readonly class JointOutline
{
    /** An angle finder reads no finer than about this (degrees); common practice. */
    public const NEAR_DEG = 0.3;

    /** A hole drilled no farther off than this is in its place (mm); our own figure. */
    private const NEAR_MM = 1.5;

    /**
     * @param  list<string>  $parts  names of the two that meet there, with the flow
     * @param  ?float  $turnDeg  of the bend behind it against the one before; null where none is turned there
     * @param  ?float  $alongMm  of a hole in a tube, from the upstream end of its piece
     */
    private function __construct(
        public string $id,
        public string $run,
        public JointType $type,
        public array $parts,
        public ?float $turnDeg,
        public ?float $alongMm,
    ) {}

    /** @param  array<string, Piece>  $pieces  by mark */
    public static function of(Joint $joint, array $pieces): self
    {
        $behind = $joint->on === null ? $pieces[$joint->and->name] ?? null : null;
        $under = $joint->on === null ? null : $pieces[$joint->between->name] ?? $pieces[$joint->and->name] ?? null;

        return new self(
            $joint->id,
            $joint->run,
            $joint->type,
            [$joint->between->name, $joint->and->name],
            $behind?->clocking?->turnDeg,
            $under === null ? null : $joint->seam->stationMm - $under->span->fromMm,
        );
    }

    /** @return list<Difference> */
    public function against(self $now): array
    {
        $turnDeg = fmod(abs(($this->turnDeg ?? 0.0) - ($now->turnDeg ?? 0.0)), 360.0);
        $movedMm = abs(($this->alongMm ?? 0.0) - ($now->alongMm ?? 0.0));

        return array_values(array_filter([
            $this->type === $now->type ? null : new Difference(DifferenceKind::Type),
            $this->parts === $now->parts ? null : new Difference(DifferenceKind::Parts),
            min($turnDeg, 360.0 - $turnDeg) <= self::NEAR_DEG
                ? null
                : new Difference(DifferenceKind::Turn, $this->turnDeg ?? 0.0, $now->turnDeg ?? 0.0),
            $movedMm <= self::NEAR_MM
                ? null
                : new Difference(DifferenceKind::Place, $this->alongMm ?? 0.0, $now->alongMm ?? 0.0),
        ]));
    }
}
