<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use Closure;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Stage\Cut\Piece;

/**
 * A piece as it is cut, flat, flow from the left: both cuts, where it is finished, the tangent lines of its bend, and
 * what is measured to each cut. For paper.
 */
final readonly class PieceSvg
{
    private const WIDE = 360.0;

    private const HIGH = 200.0;

    /** Room for the lengths beside it. */
    private const MARGIN = 62.0;

    private const LETTER = 12.0;

    /** Points along an edge. */
    private const STEPS = 48;

    private float $beforeMm;

    private float $afterMm;

    private float $totalMm;

    private float $clrMm;

    private float $thetaRad;

    private float $longStartMm;

    private float $longEndMm;

    /** @param  Closure(float): string  $length  as the job's tape has it */
    private function __construct(
        private Piece $piece,
        private SkinBack $back,
        private float $halfMm,
        private Closure $length,
    ) {
        $isBent = $piece->isBend() && $piece->pie === null;
        $this->clrMm = $isBent ? $piece->clrMm : 0.0;
        $this->thetaRad = deg2rad($piece->angleDeg);
        $this->beforeMm = $isBent ? $piece->span->legBeforeMm : 0.0;
        $this->afterMm = $isBent ? $piece->span->legAfterMm : 0.0;
        $this->longStartMm = $piece->allowances->startMm;
        $this->longEndMm = $piece->allowances->endMm();
        $this->totalMm = $isBent
            ? $this->beforeMm + $this->clrMm * $this->thetaRad + $this->afterMm
            : $piece->cutLengthMm() - $this->longStartMm - $this->longEndMm;
    }

    /** @param  Closure(float): string  $length */
    public static function of(Piece $piece, SkinBack $back, float $odMm, Closure $length): string
    {
        return (new self($piece, $back, $odMm / 2, $length))->svg();
    }

    private function svg(): string
    {
        $start = $this->cut(-$this->longStartMm, $this->back->startMm, 1);
        $end = $this->cut($this->totalMm + $this->longEndMm, $this->back->endMm, -1);
        $edge = [
            ...array_reverse($start),
            ...$this->side($this->halfMm, 0),
            ...$end,
            ...array_reverse($this->side(-$this->halfMm, -1)),
        ];
        $fit = Corner::fit($edge, self::WIDE, self::HIGH, self::MARGIN);
        $parts = [sprintf(
            '<polygon points="%s" fill="#dfe6ea" stroke="%s" stroke-width="1"/>',
            implode(' ', array_map(
                static fn (array $one): string => vsprintf('%.1f,%.1f', $one),
                self::placed($edge, $fit),
            )),
            Svg::INK,
        )];
        foreach ($this->clrMm > 0.0 ? [$this->beforeMm, $this->totalMm - $this->afterMm] : [] as $atMm) {
            $parts[] = Svg::line(self::placed($this->across($atMm), $fit), '#4c5963', 0.8, 'stroke-dasharray="2 2"');
        }
        $finished = [
            ...$this->longStartMm > 0.0 ? [0.0] : [],
            ...$this->longEndMm > 0.0 ? [$this->totalMm] : [],
        ];
        foreach ($finished as $atMm) {
            $parts[] = Svg::line(self::placed($this->across($atMm), $fit), Svg::INK, 1.0, 'stroke-dasharray="6 3"');
        }
        foreach ([$start, $end] as $cut) {
            $parts[] = Svg::line(self::placed($cut, $fit), '#07645d', 2.2, '');
        }

        $lengths = $this->lengths(self::placed($start, $fit), self::placed($end, $fit));

        return Svg::drawing((int) self::WIDE, (int) self::HIGH, [...$parts, ...$lengths]);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array{float, float, float}  $fit
     * @return list<array{float, float}> as they lie on paper
     */
    private static function placed(array $points, array $fit): array
    {
        [$scale, $x0, $y0] = $fit;

        return array_map(static fn (array $one): array => [$x0 + $scale * $one[0], $y0 - $scale * $one[1]], $points);
    }

    /**
     * What is measured to each cut: along the outer side, the middle and the inner side of a bend, else once.
     *
     * @param  list<array{float, float}>  $start  as it lies on paper
     * @param  list<array{float, float}>  $end
     * @return list<string>
     */
    private function lengths(array $start, array $end): array
    {
        $texts = [];
        foreach ($this->piece->marks as $i => $mark) {
            if ($mark->kind !== MarkKind::Bend && $mark->kind !== MarkKind::Straight) {
                continue;
            }
            $isLast = $i === count($this->piece->marks) - 1;
            $cut = $isLast ? $end : $start;
            [$outer, $inner] = [$cut[0], $cut[count($cut) - 1]];
            $long = max(1e-6, hypot($outer[0] - $inner[0], $outer[1] - $inner[1]));
            $way = $isLast ? 1 : -1;
            $off = [-($outer[1] - $inner[1]) / $long * $way, ($outer[0] - $inner[0]) / $long * $way];
            $out = [($outer[0] - $inner[0]) / $long, ($outer[1] - $inner[1]) / $long];
            foreach ($this->said($mark) as $at => $text) {
                [$place, $apart] = match ($at) {
                    'outer' => [$outer, self::LETTER],
                    'inner' => [$inner, -self::LETTER],
                    default => [[($outer[0] + $inner[0]) / 2, ($outer[1] + $inner[1]) / 2], 0.0],
                };
                $texts[] = Svg::text(
                    min(self::WIDE - 28, max(28, $place[0] + 34 * $off[0] + $apart * $out[0])),
                    $place[1] + 14 * $off[1] + $apart * $out[1] + 4,
                    self::LETTER,
                    $text,
                );
            }
        }

        return $texts;
    }

    /** @return array<string, string> */
    private function said(CutMark $mark): array
    {
        $length = $this->length;
        [$outer, $centre, $inner] = [$length($mark->outerMm), $length($mark->centreMm), $length($mark->innerMm)];

        return $mark->kind === MarkKind::Straight || $outer === $inner
            ? ['centre' => $centre]
            : ['outer' => $outer, 'centre' => $centre, 'inner' => $inner];
    }

    /**
     * A place of the flat piece: flow along +x, a bend turning downwards. What is extra goes on as its end does.
     *
     * @return array{float, float}
     */
    private function along(float $stationMm, float $offsetMm): array
    {
        if ($this->clrMm === 0.0) {
            return [$stationMm, $offsetMm];
        }
        $least = $this->beforeMm > 0.0 ? 0.0 : -$this->longStartMm / $this->clrMm;
        $most = $this->afterMm > 0.0 ? $this->thetaRad : $this->thetaRad + $this->longEndMm / $this->clrMm;
        $turned = min(max(($stationMm - $this->beforeMm) / $this->clrMm, $least), $most);
        if ($turned <= 0.0 && $this->beforeMm > 0.0) {
            return [$stationMm - $this->beforeMm, $offsetMm];
        }
        $past = max($stationMm - $this->beforeMm - $this->clrMm * $most, 0.0);
        $radius = $this->clrMm + $offsetMm;

        return [
            $radius * sin($turned) + $past * cos($turned),
            $radius * cos($turned) - $this->clrMm - $past * sin($turned),
        ];
    }

    /**
     * One side of it, between its cuts.
     *
     * @param  int  $of  0 for the outer side's place among what an end lies back, -1 for the inner
     * @return list<array{float, float}>
     */
    private function side(float $offsetMm, int $of): array
    {
        $from = -$this->longStartMm + (array_slice($this->back->startMm, $of, 1)[0] ?? 0.0);
        $to = $this->totalMm + $this->longEndMm - (array_slice($this->back->endMm, $of, 1)[0] ?? 0.0);

        return array_map(
            fn (int $i): array => $this->along($from + ($to - $from) * $i / self::STEPS, $offsetMm),
            range(0, self::STEPS),
        );
    }

    /** @return list<array{float, float}> a square line across it */
    private function across(float $stationMm): array
    {
        return [$this->along($stationMm, $this->halfMm), $this->along($stationMm, -$this->halfMm)];
    }

    /**
     * @param  list<float>  $backMm
     * @return list<array{float, float}> from the outer side to the inner
     */
    private function cut(float $stationMm, array $backMm, int $way): array
    {
        $last = max(1, count($backMm) - 1);

        return $backMm === [] ? $this->across($stationMm) : array_map(
            fn (int $i): array => $this->along($stationMm + $way * $backMm[$i], $this->halfMm * cos(M_PI * $i / $last)),
            array_keys($backMm),
        );
    }
}
