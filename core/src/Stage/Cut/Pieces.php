<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Clocking;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** Turns the spans of a run into pieces to cut, with what each is cut longer by. */
final readonly class Pieces
{
    /** More than any shrink (mm). */
    private const MORE_MM = 5.0;

    private function __construct(
        private RoutedRun $routed,
        private Job $job,
        private Shop $shop,
        private Bends $bends,
    ) {}

    /**
     * @param  list<PieceSpan>  $spans
     * @return list<Piece> not cut from anything yet
     */
    public static function of(RoutedRun $routed, array $spans, Job $job, Shop $shop, Bends $bends): array
    {
        $maker = new self($routed, $job, $shop, $bends);
        [$starts, $ends] = $maker->givers($spans);

        return array_map(
            static fn (int $i): Piece => $maker->piece(
                $routed->spec->letter.($i + 1),
                $spans[$i],
                [$i === 0, $i === count($spans) - 1],
                [$starts[$i], $ends[$i]],
            ),
            array_keys($spans),
        );
    }

    /**
     * Which end of which piece is cut longer for what a butt pulls together: the upstream side where that ends in a
     * straight with something to spare, else the one downstream; where both end in a bend neither, as its angle would
     * grow.
     *
     * @param  list<PieceSpan>  $spans
     * @return array{array<int, ?ButtKind>, array<int, ?ButtKind>} by piece, at its start and at its end
     */
    private function givers(array $spans): array
    {
        $none = array_fill(0, count($spans), null);
        [$starts, $ends] = [$none, $none];
        $last = count($spans) - 1;
        $spec = $this->routed->spec;
        $first = self::startButt($this->job, $spec);
        $starts[0] = $first !== null && $this->gives($spans[0], true, $first) > 0.0 ? $first : null;
        for ($i = 0; $i < $last; $i++) {
            $wantedMm = $this->shrinkMm(ButtKind::Tubes);
            $upMm = $this->gives($spans[$i], false, ButtKind::Tubes);
            $downMm = $this->gives($spans[$i + 1], true, ButtKind::Tubes);
            if ($upMm >= $wantedMm || ($upMm > 0.0 && $upMm >= $downMm)) {
                $ends[$i] = ButtKind::Tubes;
            } elseif ($downMm > 0.0) {
                $starts[$i + 1] = ButtKind::Tubes;
            }
        }
        $ring = self::endButt($this->job, $spec);
        $ends[$last] = $ring !== null && $this->gives($spans[$last], false, $ring) > 0.0 ? $ring : null;

        return [$starts, $ends];
    }

    /** How much of what a butt wants the straight at an end of a piece has (mm); 0 where that end lies in its bend. */
    private function gives(PieceSpan $span, bool $atStart, ButtKind $butt): float
    {
        $bend = $this->bendOf($span);
        [$legMm, $otherMm] = $atStart
            ? [$span->legBeforeMm, $span->legAfterMm]
            : [$span->legAfterMm, $span->legBeforeMm];

        return match (true) {
            $bend === null => $this->shrinkMm($butt),
            $legMm <= 0.0 => 0.0,
            default => min($this->shrinkMm($butt), $this->spare($bend, $legMm, $otherMm)),
        };
    }

    /** The bend that a piece is cut from; null where it is straight, or its bend is made here to measure. */
    private function bendOf(PieceSpan $span): ?Bend
    {
        $bend = $span->bendIndex === null ? null : $this->routed->run->bends[$span->bendIndex];

        return $bend === null || MadeBends::pieOf($bend, $this->routed->tube, $this->shop) !== null ? null : $bend;
    }

    /**
     * @param  array{bool, bool}  $isEnd  whether it is the first and the last of its run
     * @param  array{?ButtKind, ?ButtKind}  $gives  for which butt it is cut longer at its start and at its end
     */
    private function piece(string $mark, PieceSpan $span, array $isEnd, array $gives): Piece
    {
        [$first, $last] = $isEnd;
        $bend = $span->bendIndex === null ? null : $this->routed->run->bends[$span->bendIndex];
        $tube = $this->routed->tube;
        $pie = $bend === null ? null : MadeBends::pieOf($bend, $tube, $this->shop);
        $spec = $this->routed->spec;
        $startButt = $first ? self::startButt($this->job, $spec) : ButtKind::Tubes;
        $endButt = $last ? self::endButt($this->job, $spec) : ButtKind::Tubes;
        $prepOf = static fn (?ButtKind $butt): EndPrep => $butt === null
            ? EndPrep::Square
            : EndPrep::forButt($tube->wallMm);
        $densityKgM3 = $this->shop->catalogue->metal($this->job->metal)->densityKgM3;

        return new Piece(
            $mark,
            $spec->letter,
            $span,
            $span->donor->id ?? $tube->id,
            $bend->angleDeg ?? 0.0,
            $bend->clrMm ?? 0.0,
            ($first ? self::shaped($spec->start) : null) ?? $prepOf($startButt),
            ($last ? self::shaped($spec->end) : null) ?? $prepOf($endButt),
            $this->allowances($mark, $span, $pie === null ? $bend : null, $gives, $this->slip($mark, $last), $last),
            $tube->metalAreaMm2() * $span->lengthMm() * $densityKgM3 * 1e-9,
            $bend === null ? null : Clocking::of($bend->rotationDeg, $tube->odMm),
            pie: $pie,
        );
    }

    /** @param  array{?ButtKind, ?ButtKind}  $gives */
    private function allowances(
        string $mark,
        PieceSpan $span,
        ?Bend $bend,
        array $gives,
        Figure $slip,
        bool $isLast,
    ): Allowances {
        [$startButt, $endButt] = $gives;
        [$ofStartMm, $ofEndMm] = [$this->shrinkMm($startButt), $this->shrinkMm($endButt)];
        // Left long is the end that has a straight, rather the one downstream.
        $atEnd = $bend === null || $span->legAfterMm > 0.0 || $span->legBeforeMm <= 0.0;
        $hasStraight = $bend === null || $span->legAfterMm > 0.0 || $span->legBeforeMm > 0.0;
        [$startMm, $endMm] = [$ofStartMm, $ofEndMm + $slip->value];
        [$spareStart, $spareEnd] = $bend === null
            ? [INF, INF]
            : [
                $this->spare($bend, $span->legBeforeMm, $span->legAfterMm),
                $this->spare($bend, $span->legAfterMm, $span->legBeforeMm),
            ];
        [$givenStartMm, $givenEndMm] = [min($ofStartMm, $spareStart), min($ofEndMm, $spareEnd)];
        $trimmable = max(0.0, $atEnd ? $spareEnd - $endMm : $spareStart - $startMm);
        $doubtMm = $isLast ? $this->routed->doubt->trimMm ?? 0.0 : 0.0;
        $trim = $this->trim($mark, $hasStraight, $atEnd, $trimmable, $doubtMm);
        $butts = array_values(array_filter([$startButt, $endButt]));
        $shrink = $this->shrink($mark, $butts, $ofStartMm + $ofEndMm, $givenStartMm + $givenEndMm);
        $wantedMm = $ofStartMm + $ofEndMm;
        // An overruled figure is shared as the rules share it.
        $ofStart = $wantedMm > 0.0 ? $shrink->value * $ofStartMm / $wantedMm : 0.0;

        return new Allowances($trim, $shrink, $slip, $ofStart + ($atEnd ? 0.0 : $trim->value), $ofStart);
    }

    private function spare(Bend $bend, float $legMm, float $otherLegMm): float
    {
        $rules = $this->shop->rules;
        $slipMm = self::slipMm($this->job, $this->routed->spec, $rules);
        $trimMm = max($rules->value('cut.trim_allowance'), $this->routed->doubt->trimMm ?? 0.0);
        $most = $trimMm + max($rules->value('fit.slip_depth'), $slipMm) + self::MORE_MM;

        return $this->bends->spareMm($bend->angleDeg, $bend->clrMm, $legMm, $otherLegMm, $most);
    }

    /** How an end is cut that is not square. */
    private static function shaped(RunEnd $end): ?EndPrep
    {
        return match (true) {
            $end->saddle !== null => EndPrep::Saddle,
            $end->slant !== null => EndPrep::Slant,
            default => null,
        };
    }

    /** The butt a run begins with: at a ring, or at the outlet of a collector. */
    public static function startButt(Job $job, RunSpec $spec): ?ButtKind
    {
        return match (true) {
            $spec->start->kind === EndKind::VBand => ButtKind::Ring,
            $job->collectorInto($spec->letter) !== null => ButtKind::Tubes,
            default => null,
        };
    }

    /**
     * A run ends in a butt only at a ring, or at a collector that it is butted to: a flange's fillet hardly shrinks, a
     * slip fillet not at all. One that may still grow has its next butt to come: its last piece is cut for it, so that it fits as it is when the next is put on.
     */
    public static function endButt(Job $job, RunSpec $spec): ?ButtKind
    {
        return match (true) {
            self::isButted($job, $spec) => ButtKind::Tubes,
            $spec->end->kind === EndKind::VBand => ButtKind::Ring,
            $spec->end->kind === EndKind::Open && $spec->end->isFree => ButtKind::Tubes,
            default => null,
        };
    }

    /** Whether the end of a run goes into its part: the inlet of a collector, a muffler, an adapter. */
    public static function slips(Job $job, RunSpec $spec): bool
    {
        return $spec->end->kind->slipsIn()
            || ($spec->end->kind === EndKind::Open && $job->collectorOf($spec->letter) !== null
                && ! self::isButted($job, $spec));
    }

    private static function isButted(Job $job, RunSpec $spec): bool
    {
        return $spec->end->kind === EndKind::Open
            && $job->collectorOf($spec->letter)?->entry === CollectorEntry::Butt;
    }

    private function shrinkMm(?ButtKind $butt): float
    {
        return $butt?->shrinkMm($this->shop->rules, $this->routed->tube->wallMm) ?? 0.0;
    }

    /** How far the end of a run goes into its part (mm): as deep as its seat was measured, else by the shop's rule. */
    public static function slipMm(Job $job, RunSpec $spec, ShopRules $rules): float
    {
        return self::slips($job, $spec)
            ? $job->set->partAfter($spec->letter)->seat->mm ?? $rules->value('fit.slip_depth')
            : 0.0;
    }

    private function slip(string $mark, bool $last): Figure
    {
        $rule = $this->shop->rules->get('fit.slip_depth');
        $spec = $this->routed->spec;
        $slips = $last && self::slips($this->job, $spec);
        $part = $this->job->set->partAfter($spec->letter);
        $seat = $slips ? $part?->seat : null;

        return $this->job->overrides->on(
            Figure::of(
                "cut.$mark.slip",
                'Slip depth',
                Quantity::Length,
                $last ? self::slipMm($this->job, $spec, $this->shop->rules) : 0.0,
                new Reason(
                    match (true) {
                        $seat !== null => "The run is measured to the mouth of the seat; $part->name takes the tube as deep as it was measured.",
                        $slips => 'The run is measured to the mouth of the inlet; the tube goes on into it by the depth of the slip.',
                        default => 'Neither end of this piece slips into a part.',
                    },
                    [$seat === null ? $rule->asInput() : Input::of('Depth of its seat', Quantity::Length, $seat->mm)],
                    $seat === null ? $rule->source : Source::geometry(),
                    'The depth of the inlets as they were measured.',
                ),
            ),
        );
    }

    /**
     * @param  float  $mostMm  what the stock has to spare at that end
     * @param  float  $doubtMm  what has to be left where the run closes, as its ends were measured
     */
    private function trim(string $mark, bool $hasStraight, bool $atEnd, float $mostMm, float $doubtMm): Figure
    {
        $rule = $this->shop->rules->get('cut.trim_allowance');
        $where = $atEnd ? 'downstream' : 'upstream';
        $wantedMm = max($rule->value, $doubtMm);

        return $this->job->overrides->on(
            Figure::of(
                "cut.$mark.trim",
                'Left long',
                Quantity::Length,
                $hasStraight ? min($wantedMm, $mostMm) : 0.0,
                new Reason(
                    match (true) {
                        ! $hasStraight => 'Both ends of this piece lie in the bend; there is no straight to leave long, so it is cut to the mark.',
                        $mostMm < $wantedMm => "The leg is used so far that no more can be left long; all of it at the $where end.",
                        $wantedMm > $rule->value => "At the $where end. The run closes here, and its ends are measured so that it may miss by as much.",
                        default => "At the $where end. Cut long before the first trial fit, then sand down to the line: metal comes off, it does not go on.",
                    },
                    [
                        $rule->asInput(),
                        ...$doubtMm > 0.0
                            ? [Input::of('To cut to fit in 95 of 100 cases', Quantity::Length, $doubtMm)]
                            : [],
                    ],
                    $rule->source,
                    'The shop’s trim rule, readings that are surer, or a straight end on the piece.',
                ),
            ),
        );
    }

    /**
     * @param  list<ButtKind>  $butts  of its ends that it counts for
     * @param  float  $wantedMm  what they pull together
     * @param  float  $mm  as far as the stock has it to spare
     */
    private function shrink(string $mark, array $butts, float $wantedMm, float $mm): Figure
    {
        $rules = $this->shop->rules;

        return $this->job->overrides->on(Figure::of(
            "cut.$mark.shrink",
            'Weld shrink allowance',
            Quantity::Length,
            $mm,
            new Reason(
                match (true) {
                    $butts === [] => 'There is nothing to add here: a fillet hardly shortens the tube, a butt is allowed for on the straight side of its joint, and a longer bend would turn further.',
                    $mm < $wantedMm => 'A butt pulls its two sides together, but the stock has nothing to add here.',
                    count($butts) === 2 => 'A butt pulls its two sides together by about a tenth of the mean width of the bead; here at both ends.',
                    default => 'A butt pulls its two sides together by about a tenth of the mean width of the bead.',
                },
                ButtKind::inputs($butts === [] ? [ButtKind::Tubes] : $butts, $rules, $this->routed->tube->wallMm),
                ButtKind::Tubes->rule($rules)->source,
                'The shop’s own logged shrink of that kind of butt, once it has measured it.',
            ),
        ));
    }
}
