<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Overrides;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Run\PieceSpan;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Units\Quantity;

/** Turns the spans of a run into pieces to cut, with marks and allowances. */
final readonly class Pieces
{
    private function __construct(
        private TubeRun $run,
        private TubeSize $tube,
        private float $densityKgM3,
        private ShopRules $rules,
        private Overrides $overrides,
        private bool $buttsAtEnd,
    ) {}

    /**
     * @param  list<PieceSpan>  $spans
     * @param  bool  $buttsAtEnd  whether the run's last end is a butt, which shrinks; a flange's fillet hardly does
     * @return list<Piece>
     */
    public static function of(TubeRun $run, array $spans, string $letter, TubeSize $tube, float $densityKgM3, ShopRules $rules, Overrides $overrides, bool $buttsAtEnd): array
    {
        $maker = new self($run, $tube, $densityKgM3, $rules, $overrides, $buttsAtEnd);

        return array_map(
            static fn (int $i): Piece => $maker->piece($letter.($i + 1), $spans[$i], $i === count($spans) - 1),
            array_keys($spans),
        );
    }

    private function piece(string $mark, PieceSpan $span, bool $last): Piece
    {
        $bend = $span->bendIndex === null ? null : $this->run->bends[$span->bendIndex];
        $prep = EndPrep::forButt($this->tube->wallMm);

        return new Piece(
            $mark,
            $span,
            $span->donor->id ?? $this->tube->id,
            $bend->angleDeg ?? 0.0,
            $bend->clrMm ?? 0.0,
            $prep,
            $last && ! $this->buttsAtEnd ? EndPrep::Square : $prep,
            $this->trim($mark, $bend === null || $span->legBeforeMm > 0 || $span->legAfterMm > 0),
            $this->shrink($mark, ! $last || $this->buttsAtEnd),
            $this->tube->metalAreaMm2() * $span->lengthMm() * $this->densityKgM3 * 1e-9,
            $this->marks($span),
            $bend === null ? null : Clocking::of($bend->rotationDeg, $this->tube->odMm),
        );
    }

    private function trim(string $mark, bool $hasStraightEnd): Figure
    {
        $rule = $this->rules->get('cut.trim_allowance');

        return $this->overrides->on(Figure::of("cut.$mark.trim", 'Cut long by', Quantity::Length, $hasStraightEnd ? $rule->value : 0.0, new Reason(
            $hasStraightEnd
                ? 'Cut long before the first trial fit, then sand down to the line: metal comes off, it does not go on.'
                : 'Both ends of this piece lie in the bend; there is no straight to leave long, so it is cut to the mark.',
            [$rule->asInput()],
            $rule->source,
            'The shop’s trim rule, or a straight end on the piece.',
        )));
    }

    private function shrink(string $mark, bool $butts): Figure
    {
        [$share, $bead] = [$this->rules->get('weld.shrink'), $this->rules->get('weld.bead_to_wall')];

        return $this->overrides->on(Figure::of(
            "cut.$mark.shrink",
            'Weld shrink allowance',
            Quantity::Length,
            $butts ? $share->value / 100 * $bead->value * $this->tube->wallMm : 0.0,
            new Reason(
                $butts
                    ? 'A butt pulls its two sides together by about a tenth of the mean width of the bead.'
                    : 'The flange’s fillet hardly shortens the tube; nothing is added.',
                [Input::of('Wall', Quantity::Wall, $this->tube->wallMm), $bead->asInput(), $share->asInput()],
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
        $bend = $this->run->bends[$span->bendIndex];
        $half = $this->tube->odMm / 2;
        $marks = [];
        if ($span->legBeforeMm > 0) {
            $marks[] = new CutMark('Leg before, back from the first tangent', $span->legBeforeMm, $span->legBeforeMm, $span->legBeforeMm);
        }
        $marks[] = new CutMark('Bend, on from the first tangent', $bend->edgeMm($half), $bend->edgeMm(0), $bend->edgeMm(-$half));
        if ($span->legAfterMm > 0) {
            $marks[] = new CutMark('Leg after, on from the second tangent', $span->legAfterMm, $span->legAfterMm, $span->legAfterMm);
        }

        return $marks;
    }
}
