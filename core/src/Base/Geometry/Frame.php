<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry;

/**
 * A station on a tube: where its centreline is, which way the gas flows, and a reference line on its side.
 *
 * `forward` and `reference` are unit vectors square to each other. Behind a bend the reference is the inside (throat)
 * line of that bend, so a turn is always counted from the last throat line. Positive turns are right-handed about
 * `forward`: clockwise for someone who looks with the flow.
 */
final readonly class Frame
{
    private function __construct(public Vector $at, public Vector $forward, public Vector $reference) {}

    /**
     * Makes a frame from a point, a flow direction and a hint for the reference, which is squared to the direction.
     *
     * @throws \DomainException if the direction is zero
     */
    public static function facing(Vector $at, Vector $direction, ?Vector $hint = null): self
    {
        $forward = $direction->unit();
        foreach ([$hint, new Vector(0, 0, 1), new Vector(0, 1, 0)] as $candidate) {
            $square = $candidate?->squareTo($forward);
            if ($square !== null && $square->length() > 1e-6) {
                return new self($at, $forward, $square->unit());
            }
        }
        throw new \DomainException('A direction must be finite.');
    }

    /** Gone straight on by so many mm. */
    public function advanced(float $mm): self
    {
        return new self($this->at->plus($this->forward->times($mm)), $this->forward, $this->reference);
    }

    /** Turned about its own direction by degrees, clockwise looking with the flow. */
    public function turned(float $angleDeg): self
    {
        return new self($this->at, $this->forward, $this->reference->turnedAbout($this->forward, $angleDeg));
    }

    /** Follows a bend of the given centreline radius towards the reference line. */
    public function bent(float $clrMm, float $angleDeg): self
    {
        [$cos, $sin] = [cos(deg2rad($angleDeg)), sin(deg2rad($angleDeg))];
        $forward = $this->forward->times($cos)->plus($this->reference->times($sin));
        $reference = $this->reference->times($cos)->minus($this->forward->times($sin));
        $at = $this->at->plus($this->reference->minus($reference)->times($clrMm));

        return new self($at, $forward, $reference);
    }

    /** Gives the signed turn in degrees, in (-180, 180], from this reference to a line on the side of the same tube. */
    public function turnDegTo(Vector $line): float
    {
        $square = $line->squareTo($this->forward);
        $deg = rad2deg(atan2($this->forward->dot($this->reference->cross($square)), $this->reference->dot($square)));

        return $deg <= -180.0 + 1e-12 ? $deg + 360.0 : $deg;
    }
}
