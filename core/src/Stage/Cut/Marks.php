<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** The marks of a piece from where it lies on its stock: the cut at its upstream end and that at its downstream end. */
final readonly class Marks
{
    /** An end this near to the stock's own, or to a tangent, is at it (mm). */
    private const AT_MM = 0.05;

    private function __construct(private Piece $piece, private StockPlace $place, private float $odMm) {}

    /** @return list<CutMark> */
    public static function of(Piece $piece, StockPlace $place, float $odMm): array
    {
        $self = new self($piece, $place, $odMm);
        if (! $piece->isBend()) {
            $cut = $piece->cutLengthMm();
            $long = $piece->allowances->totalMm();

            return [new CutMark('From the square end before it', MarkKind::Straight, $cut, $cut, $cut, $long)];
        }

        return [
            $self->end('Upstream', $place->startMm(), $piece->allowances->startMm),
            $self->end('Downstream', $place->endMm(), $piece->allowances->endMm()),
        ];
    }

    private function end(string $name, float $atMm, float $longMm): CutMark
    {
        $place = $this->place;
        if ($place->isOnRing) {
            return $this->onRing($name, $atMm, $longMm);
        }
        if ($atMm <= self::AT_MM || $atMm >= $place->lengthMm - self::AT_MM) {
            return new CutMark("$name end as it comes, no cut", MarkKind::OwnEnd, 0.0, 0.0, 0.0, $longMm);
        }
        if ($atMm <= $place->arcFromMm + self::AT_MM) {
            return $this->onLeg($name, 'clamp leg', $place->arcFromMm - $atMm, $longMm);
        }
        if ($atMm >= $place->arcToMm - self::AT_MM) {
            return $this->onLeg($name, 'pull leg', $atMm - $place->arcToMm, $longMm);
        }
        // From the tangent at which the piece itself lies, where it does at one.
        $isAtLast = $place->untilMm >= $place->arcToMm - self::AT_MM && $place->atMm > $place->arcFromMm + self::AT_MM;
        $along = $isAtLast ? $place->arcToMm - $atMm : $atMm - $place->arcFromMm;
        $hasLegs = $place->arcFromMm > 0.0 || $place->arcToMm < $place->lengthMm;
        $from = match (true) {
            ! $hasLegs => 'from the end of the elbow',
            $isAtLast => 'from the tangent of the pull leg',
            default => 'from the tangent of the clamp leg',
        };

        return $this->inBend("$name cut in the bend, $from", $along, $longMm);
    }

    /** A donut has no tangent and no end: everything on it is measured from the line where it is sawn open. */
    private function onRing(string $name, float $atMm, float $longMm): CutMark
    {
        return $atMm <= self::AT_MM
            ? new CutMark("$name end at the cut that opens the donut", MarkKind::Opening, 0.0, 0.0, 0.0, $longMm)
            : $this->inBend("$name cut in the donut, from the face where it is sawn open", $atMm, $longMm);
    }

    private function inBend(string $label, float $along, float $longMm): CutMark
    {
        $share = $this->odMm / 2 / $this->piece->clrMm;

        return new CutMark(
            $label,
            MarkKind::Bend,
            $along * (1 + $share),
            $along,
            $along * (1 - $share),
            $longMm,
        );
    }

    private function onLeg(string $name, string $leg, float $mm, float $longMm): CutMark
    {
        return new CutMark("$name cut on the $leg, from its tangent", MarkKind::Straight, $mm, $mm, $mm, $longMm);
    }
}
