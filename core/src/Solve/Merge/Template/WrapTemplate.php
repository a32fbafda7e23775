<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Template;

use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\LinePoint;
use UpsweptBead\Core\Solve\Merge\Saddle;

/**
 * The outside of a tube laid flat at 1:1, printed side out: the flow runs up the sheet, the angle round the tube to the
 * right. It is developed on π (od + paper), since paper lies on the tube with its own thickness. Lengths in mm.
 */
final readonly class WrapTemplate
{
    private const STEP_MM = 10.0;

    private const PROOF_MM = 100.0;

    private const TICK_MM = 2.0;

    private const TEXT_MM = 3.0;

    /** How far below the level line the words and the proof line stand, so that no two touch. */
    private const DEGREES_MM = 6.0;

    private const LEVEL_MM = 11.0;

    private const PROOF_WORD_MM = 16.0;

    private const PROOF_LINE_MM = 18.0;

    private const MARK_MM = 24.0;

    /**
     * @param  non-empty-list<Stroke>  $strokes
     * @param  list<Note>  $notes
     */
    private function __construct(public array $strokes, public array $notes) {}

    /**
     * The end of a tube, from psi 0 at both edges of the sheet.
     *
     * @param  bool  $flowsUp  whether the gas flows the way that stations count; into a main tube it does not
     */
    public static function ofEnd(
        string $mark,
        CutLine $end,
        float $odMm,
        float $paperMm,
        bool $flowsUp = true,
    ): self {
        $widthMm = M_PI * ($odMm + $paperMm);
        $points = array_map(
            static fn (LinePoint $one): array => [$widthMm * $one->psi / (2 * M_PI), $one->sMm],
            $end->points,
        );

        return self::sheet($mark, $points, false, 0.0, $widthMm, $flowsUp);
    }

    /**
     * A straight piece with both its ends, from 12 o'clock at both edges of the sheet, clockwise looking with the flow.
     *
     * @param  non-empty-list<array{deg: float, nearMm: float, farMm: float}>  $rims  round the tube, along its axis
     */
    public static function ofPiece(string $mark, array $rims, float $odMm, float $paperMm): self
    {
        $widthMm = M_PI * ($odMm + $paperMm);
        $at = static fn (float $deg, float $mm): array => [$widthMm * $deg / 360, $mm];
        $cut = array_map(static fn (array $one): array => $at($one['deg'], $one['nearMm']), $rims);
        foreach (array_reverse($rims) as $one) {
            $cut[] = $at($one['deg'], $one['farMm']);
        }

        return self::sheet($mark, $cut, true, 0.0, $widthMm, true);
    }

    /** The hole for a branch, with the side of the main that the branch stands on in the middle of the sheet. */
    public static function ofHole(string $mark, Saddle $saddle, float $paperMm): self
    {
        $widthMm = M_PI * ($saddle->main->odMm + $paperMm);
        $points = array_map(
            static fn (LinePoint $one): array => [$widthMm * atan2($one->at->y, $one->at->x) / (2 * M_PI), $one->sMm],
            $saddle->hole()->points,
        );

        return self::sheet($mark, $points, true, -$widthMm / 2, $widthMm, true);
    }

    /** @param  non-empty-list<array{float, float}>  $cut */
    private static function sheet(
        string $mark,
        array $cut,
        bool $isClosed,
        float $leftMm,
        float $widthMm,
        bool $flowsUp,
    ): self {
        $heights = array_column($cut, 1);
        $datumMm = self::STEP_MM * floor(min($heights) / self::STEP_MM);
        $topMm = self::STEP_MM * ceil(max($heights) / self::STEP_MM);
        $indexTopMm = $isClosed ? $topMm : max($cut[0][1], $datumMm + self::STEP_MM);
        $rightMm = $leftMm + $widthMm;
        $proofMm = $datumMm - self::PROOF_LINE_MM;
        $strokes = [
            new Stroke(Layer::Cut, $cut, $isClosed),
            new Stroke(Layer::Index, [[0.0, $datumMm], [0.0, $indexTopMm]]),
            new Stroke(Layer::Datum, [[$leftMm, $datumMm], [$rightMm, $datumMm]]),
            new Stroke(Layer::Proof, [[$leftMm, $proofMm], [$leftMm + self::PROOF_MM, $proofMm]]),
        ];
        $notes = [
            new Note($leftMm, $datumMm - self::PROOF_WORD_MM, self::TEXT_MM, '100 mm: measure this before cutting'),
            new Note(
                $leftMm,
                $datumMm - self::MARK_MM,
                self::TEXT_MM,
                "$mark. Print at 100 %, not fitted to the page; this side out.",
            ),
        ];
        foreach ([$leftMm, $rightMm] as $i => $xMm) {
            for ($yMm = $datumMm; $yMm <= $topMm + 1e-9; $yMm += self::STEP_MM) {
                $inMm = $xMm + ($i === 0 ? self::TICK_MM : -self::TICK_MM);
                $strokes[] = new Stroke(Layer::Marks, [[$xMm, $yMm], [$inMm, $yMm]]);
            }
        }
        for ($deg = 0; $deg <= 360; $deg += 30) {
            $xMm = $leftMm + $widthMm * $deg / 360;
            $strokes[] = new Stroke(Layer::Marks, [[$xMm, $datumMm], [$xMm, $datumMm - self::TICK_MM]]);
            $told = $deg + (int) round(360 * $leftMm / $widthMm);
            $notes[] = new Note($xMm + 0.5, $datumMm - self::DEGREES_MM, self::TEXT_MM, "{$told}°");
        }

        return new self([...$strokes, ...self::arrow($leftMm + $widthMm / 8, $datumMm + 2.0, $flowsUp)], [
            ...$notes,
            new Note($leftMm + $widthMm / 8 + 2.0, $datumMm + 3.0, self::TEXT_MM, 'flow'),
            new Note(
                $leftMm,
                $datumMm - self::LEVEL_MM,
                self::TEXT_MM,
                sprintf('The level line is at %g mm.', $datumMm),
            ),
        ]);
    }

    /** @return list<Stroke> which way the gas flows */
    private static function arrow(float $xMm, float $yMm, bool $isUp): array
    {
        [$tipMm, $backMm] = $isUp ? [$yMm + 12.0, -3.0] : [$yMm, 3.0];

        return [
            new Stroke(Layer::Marks, [[$xMm, $yMm], [$xMm, $yMm + 12.0]]),
            new Stroke(Layer::Marks, [[$xMm - 1.5, $tipMm + $backMm], [$xMm, $tipMm], [$xMm + 1.5, $tipMm + $backMm]]),
        ];
    }

    /** @return array{float, float, float, float} left, lower, right and upper edge of all that is drawn, with a margin */
    public function edgesMm(float $marginMm = 10.0): array
    {
        [$xs, $ys] = [[0.0], [$this->strokes[0]->points[0][1]]];
        foreach ($this->strokes as $stroke) {
            foreach ($stroke->points as [$x, $y]) {
                $xs[] = $x;
                $ys[] = $y;
            }
        }
        foreach ($this->notes as $note) {
            $xs[] = $note->xMm;
            $xs[] = $note->xMm + 0.6 * $note->heightMm * mb_strlen($note->text);
            $ys[] = $note->yMm;
        }

        return [min($xs) - $marginMm, min($ys) - $marginMm, max($xs) + $marginMm, max($ys) + $marginMm];
    }
}
