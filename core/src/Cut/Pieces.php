<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Job\EndKind;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Run\PieceSpan;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Units\Quantity;

/** Turns the spans of a run into pieces to cut, with marks and allowances. */
final readonly class Pieces
{
    private function __construct(private RoutedRun $routed, private Job $job, private Shop $shop) {}

    /**
     * @param  list<PieceSpan>  $spans
     * @return list<Piece>
     */
    public static function of(RoutedRun $routed, array $spans, Job $job, Shop $shop): array
    {
        $maker = new self($routed, $job, $shop);

        return array_map(
            static fn (int $i): Piece => $maker->piece(
                $routed->spec->letter.($i + 1),
                $spans[$i],
                $i === count($spans) - 1,
            ),
            array_keys($spans),
        );
    }

    private function piece(string $mark, PieceSpan $span, bool $last): Piece
    {
        $bend = $span->bendIndex === null ? null : $this->routed->run->bends[$span->bendIndex];
        $tube = $this->routed->tube;
        $prep = EndPrep::forButt($tube->wallMm);
        // The run's last end is a butt only at a ring; a flange's fillet hardly shrinks, a slip fillet not at all.
        $butts = ! $last || $this->routed->spec->end->kind === EndKind::VBand;
        $densityKgM3 = $this->shop->catalogue->metal($this->job->metal)->densityKgM3;

        return new Piece(
            $mark,
            $this->routed->spec->letter,
            $span,
            $span->donor->id ?? $tube->id,
            $bend->angleDeg ?? 0.0,
            $bend->clrMm ?? 0.0,
            $prep,
            $butts ? $prep : EndPrep::Square,
            new Allowances(
                $this->trim($mark, $bend === null || $span->legBeforeMm > 0 || $span->legAfterMm > 0),
                $this->shrink($mark, $butts),
                $this->slip($mark, $last),
            ),
            $tube->metalAreaMm2() * $span->lengthMm() * $densityKgM3 * 1e-9,
            $this->marks($span),
            $bend === null ? null : Clocking::of($bend->rotationDeg, $tube->odMm),
        );
    }

    /** How far a tube goes into the inlet of its collector. */
    private function slip(string $mark, bool $last): Figure
    {
        $rule = $this->shop->rules->get('fit.slip_depth');
        $spec = $this->routed->spec;
        $slips = $last && $spec->end->kind === EndKind::Open && $this->job->collectorOf($spec->letter) !== null;

        return $this->job->overrides->on(
            Figure::of(
                "cut.$mark.slip",
                'Goes in by',
                Quantity::Length,
                $slips ? $rule->value : 0.0,
                new Reason(
                    $slips
                        ? 'The run is measured to the mouth of the inlet; the tube goes on into it by the depth of the slip.'
                        : 'Neither end of this piece slips into a part.',
                    [$rule->asInput()],
                    $rule->source,
                    'The depth of the inlets as they were measured.',
                ),
            ),
        );
    }

    private function trim(string $mark, bool $hasStraightEnd): Figure
    {
        $rule = $this->shop->rules->get('cut.trim_allowance');

        return $this->job->overrides->on(
            Figure::of(
                "cut.$mark.trim",
                'Cut long by',
                Quantity::Length,
                $hasStraightEnd ? $rule->value : 0.0,
                new Reason(
                    $hasStraightEnd
                        ? 'Cut long before the first trial fit, then sand down to the line: metal comes off, it does not go on.'
                        : 'Both ends of this piece lie in the bend; there is no straight to leave long, so it is cut to the mark.',
                    [$rule->asInput()],
                    $rule->source,
                    'The shop’s trim rule, or a straight end on the piece.',
                ),
            ),
        );
    }

    private function shrink(string $mark, bool $butts): Figure
    {
        [$share, $bead] = [$this->shop->rules->get('weld.shrink'), $this->shop->rules->get('weld.bead_to_wall')];

        return $this->job->overrides->on(Figure::of(
            "cut.$mark.shrink",
            'Weld shrink allowance',
            Quantity::Length,
            $butts ? $share->value / 100 * $bead->value * $this->routed->tube->wallMm : 0.0,
            new Reason(
                $butts
                    ? 'A butt pulls its two sides together by about a tenth of the mean width of the bead.'
                    : 'The flange’s fillet hardly shortens the tube; nothing is added.',
                [Input::of('Wall', Quantity::Wall, $this->routed->tube->wallMm), $bead->asInput(), $share->asInput()],
                $share->source,
                'The shop’s own logged shrink, once it has measured it.',
            ),
        ));
    }

    /** @return list<CutMark> for a bend: the cuts from the tangent line at its upstream side and its downstream side */
    private function marks(PieceSpan $span): array
    {
        if ($span->bendIndex === null) {
            return [];
        }
        $bend = $this->routed->run->bends[$span->bendIndex];
        $half = $this->routed->tube->odMm / 2;
        $marks = [];
        if ($span->legBeforeMm > 0) {
            $marks[] = new CutMark(
                'Leg before, back from the first tangent',
                $span->legBeforeMm,
                $span->legBeforeMm,
                $span->legBeforeMm,
            );
        }
        $marks[] = new CutMark(
            'Bend, on from the first tangent',
            $bend->edgeMm($half),
            $bend->edgeMm(0),
            $bend->edgeMm(-$half),
        );
        if ($span->legAfterMm > 0) {
            $marks[] = new CutMark(
                'Leg after, on from the second tangent',
                $span->legAfterMm,
                $span->legAfterMm,
                $span->legAfterMm,
            );
        }

        return $marks;
    }
}
