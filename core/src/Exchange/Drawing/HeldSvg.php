<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Purge\Mouth;
use UpsweptBead\Core\Stage\Purge\PurgePose;

/**
 * What lies on the bench for a weld, as it is held: a line drawing from one corner for paper, with where argon is fed
 * and vented, what is dammed, and where the seam is.
 */
final readonly class HeldSvg
{
    private const WIDE = 360.0;

    private const HIGH = 240.0;

    private const MARGIN = 34.0;

    /** Points along a tube. */
    private const STEPS = 48;

    /** Arrows are so long, and words so far from a mouth, on paper. */
    private const ARROW = 22.0;

    private function __construct(private Corner $corner, private PurgePose $pose) {}

    /** @param  list<string>  $taped  joints of it that are closed with tape */
    public static function of(Plan $plan, PurgePose $pose, string $joint, array $taped = []): string
    {
        return (new self(Corner::above($pose->up), $pose))->svg($plan, $joint, $taped);
    }

    /** @param  list<string>  $taped */
    private function svg(Plan $plan, string $joint, array $taped): string
    {
        $lines = $this->lines($plan->layout, $plan);
        $all = array_merge(...array_column($lines, 0));
        foreach ([$this->pose->feed, ...$this->pose->vents, ...$this->pose->dams] as $mouth) {
            $all[] = $this->corner->flat($mouth->at);
        }
        [$scale, $x0, $y0] = Corner::fit($all, self::WIDE, self::HIGH, self::MARGIN);
        $on = static fn (float $x, float $y): array => [$x0 + $scale * $x, $y0 - $scale * $y];
        $parts = Svg::tubes($lines, $on, $scale);
        foreach ($taped as $other) {
            $gap = $this->seam($plan, $other);
            if ($gap !== null) {
                [$x, $y] = $on(...$this->corner->flat($gap));
                $parts[] = sprintf('<rect x="%.1f" y="%.1f" width="8" height="8" fill="#13181c"/>', $x - 4, $y - 4);
            }
        }
        $seam = $this->seam($plan, $joint);
        if ($seam !== null) {
            [$x, $y] = $on(...$this->corner->flat($seam));
            $parts[] = Svg::ring($x, $y, 5.0, 2.0);
            $parts[] = self::word($x, $y - 14, $joint);
        }
        $parts[] = $this->mouth($this->pose->feed, 'Feed', true, $on);
        foreach ($this->pose->vents as $vent) {
            $parts[] = $this->mouth($vent, 'Vent', false, $on);
        }
        foreach ($this->pose->dams as $dam) {
            [$x, $y] = $on(...$this->corner->flat($dam->at));
            $parts[] = self::word($x, $y - 4, 'dam');
        }

        return Svg::drawing((int) self::WIDE, (int) self::HIGH, $parts);
    }

    /** @return list<array{list<array{float, float}>, float}> middle lines of what is filled, with their outside diameter (mm) */
    private function lines(Layout $layout, Plan $plan): array
    {
        $standing = $this->pose->standing;
        $lines = [];
        foreach ($layout->runs as $routed) {
            $letter = $routed->spec->letter;
            $isWhole = in_array($letter, $standing, true);
            $spans = $isWhole ? [[0.0, $routed->line->lengthMm]] : self::spans($plan, $letter, $standing);
            foreach ($spans as [$from, $to]) {
                $points = [];
                for ($i = 0; $i <= self::STEPS; $i++) {
                    $atMm = $from + ($to - $from) * $i / self::STEPS;
                    $points[] = $this->corner->flat($routed->line->frameAt($atMm)->at);
                }
                $lines[] = [$points, $routed->tube->odMm];
            }
        }
        foreach ($layout->placement->collectors->all as $one) {
            if (! in_array($one->build->letter, $standing, true)) {
                continue;
            }
            for ($i = 0; $i < $one->build->inlets; $i++) {
                $lines[] = [
                    [$this->corner->flat($one->inlet($i)->at), $this->corner->flat($one->outlet()->at)],
                    $one->tube()->odMm,
                ];
            }
        }

        return $lines;
    }

    /**
     * @param  list<string>  $standing
     * @return list<array{float, float}>
     */
    private static function spans(Plan $plan, string $letter, array $standing): array
    {
        $spans = [];
        foreach ($plan->cut->piecesOf($letter) as $piece) {
            if (in_array($piece->mark, $standing, true)) {
                $spans[] = [$piece->span->fromMm, $piece->span->toMm];
            }
        }

        return $spans;
    }

    private function seam(Plan $plan, string $id): ?Vector
    {
        $joint = $plan->joints->find($id);
        $routed = $joint === null ? null : $plan->layout->run($joint->run);

        return $joint === null || $routed === null ? null : $routed->line->frameAt($joint->seam->stationMm)->at;
    }

    /** @param  \Closure(float, float): array{float, float}  $on */
    private function mouth(Mouth $mouth, string $word, bool $isIn, \Closure $on): string
    {
        [$x, $y] = $on(...$this->corner->flat($mouth->at));
        $out = $mouth->flow->times($mouth->isStart ? -1 : 1);
        [$dx, $rise] = $this->corner->flat($out);
        $dy = -$rise;
        $long = hypot($dx, $dy);
        [$dx, $dy] = $long < 0.2 ? [0.0, -1.0] : [$dx / $long, $dy / $long];
        $far = [$x + self::ARROW * $dx, $y + self::ARROW * $dy];
        [$tip, $tail] = $isIn ? [[$x, $y], $far] : [$far, [$x, $y]];
        $way = $isIn ? -1 : 1;
        [$bx, $by] = [$tip[0] - 7 * $dx * $way, $tip[1] - 7 * $dy * $way];

        return sprintf(
            '<line x1="%.1f" y1="%.1f" x2="%.1f" y2="%.1f" stroke="#07645d" stroke-width="2.4"/>'
                .'<polygon points="%.1f,%.1f %.1f,%.1f %.1f,%.1f" fill="#07645d"/>',
            $tail[0], $tail[1], $bx, $by,
            $tip[0], $tip[1], $bx - 4 * $dy, $by + 4 * $dx, $bx + 4 * $dy, $by - 4 * $dx,
        ).self::word($x + (self::ARROW + 15) * $dx, $y + (self::ARROW + 11) * $dy + 3, $word);
    }

    private static function word(float $x, float $y, string $text): string
    {
        return Svg::text(max(16.0, min(self::WIDE - 16.0, $x)), max(10.0, min(self::HIGH - 3.0, $y)), 10.0, $text);
    }
}
