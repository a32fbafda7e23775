<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Merge\RoundTube;

/** The sizes of a collector as they are proposed from the shop's rules, and as a person overruled them. */
final readonly class CollectorSizes
{
    /** A bought collector is taken to be so long until it is measured (mm): our own guess, said to be one. */
    private const UNMEASURED_MM = 150.0;

    /** Straight of an inlet that a tube is butted to, mm: an inch; our own figure. */
    private const BUTTED_MM = 25.4;

    /** A blank is cut to whole steps of this (mm). */
    private const BLANK_STEP_MM = 5.0;

    public RoundTube $round;

    /** What each inlet is expanded to, for the widest tube that enters; on its outside, mm. */
    public float $mouthOdMm;

    public Figure $lean;

    public Figure $leg;

    public Figure $gap;

    public Figure $pullIn;

    public Figure $beyond;

    public Figure $circle;

    public Figure $length;

    /**
     * @param  TubeSize  $entering  the widest tube that goes into its inlets
     * @param  TubeSize  $outlet  the tube behind it
     * @param  BendStock|null  $bend  what merge bends are cut from
     * @param  list<BendStock>  $bends  and what else they can be cut from
     * @param  bool  $isButted  whether tubes meet its inlets edge to edge, so that none is expanded
     */
    public function __construct(
        public CollectorBuild $build,
        public TubeSize $tube,
        public TubeSize $entering,
        public TubeSize $outlet,
        public ?BendStock $bend,
        public array $bends,
        private Overrides $overrides,
        private ShopRules $rules,
        public bool $isButted = false,
    ) {
        $this->round = new RoundTube($tube->odMm, $tube->wallMm);
        $boreMm = $isButted
            ? $tube->idMm()
            : max($tube->idMm(), $entering->odMm + $rules->value('slip.clearance'));
        $this->mouthOdMm = $boreMm + 2 * $tube->wallMm;
        $this->lean = $this->lean();
        $this->leg = $this->leg();
        $this->gap = $this->gap();
        $this->pullIn = $this->pullIn();
        $this->beyond = $this->beyond();
        $this->circle = $this->circle();
        $this->length = $this->length();
    }

    /** @return list<Figure> those that count for the way it is made */
    public function figures(): array
    {
        return match ($this->build->make) {
            CollectorMake::Straight,
            CollectorMake::Quarters => [$this->lean, $this->leg, $this->circle, $this->beyond],
            CollectorMake::Bent => [$this->gap, $this->leg, $this->circle, $this->pullIn, $this->beyond],
            CollectorMake::Bought => [$this->lean, $this->gap, $this->circle, $this->length],
        };
    }

    /** In radians; tubes of merge bends begin along the axis. */
    public function leanRad(): float
    {
        return $this->build->make->leans() ? deg2rad($this->lean->value) : 0.0;
    }

    /** Straight that the outlet needs behind it before anything turns (mm). */
    public function straightBehindMm(): float
    {
        return $this->rules->value('merge.straight_behind') * $this->outlet->odMm;
    }

    /** @return array{float, float} least and most outlet area in use, as multiples of one tube's */
    public function areas(): array
    {
        return [$this->rules->value('merge.area_least'), $this->rules->value('merge.area_most')];
    }

    /** A length that a piece is first cut to, from the least that it takes. */
    public static function blankMm(float $leastMm): float
    {
        return self::BLANK_STEP_MM * ceil($leastMm / self::BLANK_STEP_MM);
    }

    private function lean(): Figure
    {
        $rule = $this->rules->get('merge.half_angle');
        $isBought = $this->build->make === CollectorMake::Bought;

        return $this->figure('lean', 'Lean of its tubes', Quantity::Angle, $isBought ? 0.0 : $rule->value, new Reason(
            $isBought
                ? 'Inlets of a bought collector are taken to be along its axis until they are measured.'
                : 'Between 7½ and 10° the gas of one tube passes the mouths of the others without spreading into them, and the merge is not too long to clean inside.',
            $isBought ? [] : [$rule->asInput()],
            $rule->source,
            'A shorter collector leans more; a longer one flows better.',
        ));
    }

    private function leg(): Figure
    {
        if ($this->isButted) {
            return $this->buttedLeg();
        }
        [$depth, $lead] = [$this->rules->get('fit.slip_depth'), $this->rules->get('slip.lead_in')];
        $legMm = $depth->value + $lead->value;
        $inStockMm = $this->build->make === CollectorMake::Bent ? $this->bend?->longestLegMm() : null;
        $isShort = $inStockMm !== null && $inStockMm < $legMm;

        $mm = min($legMm, $inStockMm ?? INF);

        return $this->figure('leg', 'Straight before they meet', Quantity::Length, $mm, new Reason(
            $isShort
                ? 'All the leg that this bend has. The slip goes less deep than the shop’s rule asks for.'
                : 'The slip’s depth and a lead-in behind it: nothing may turn or meet where an inlet is expanded. With bends it is the clamp leg, the rounder one.',
            [$depth->asInput(), $lead->asInput()],
            $depth->source,
            'A shallower slip, or bends with longer legs.',
        ));
    }

    /** Nothing goes in: only what a clamp holds and a torch gets round. */
    private function buttedLeg(): Figure
    {
        $isBent = $this->build->make === CollectorMake::Bent;
        $mm = min(self::BUTTED_MM, $isBent ? $this->bend?->longestLegMm() ?? INF : INF);

        return $this->figure('leg', 'Straight before they meet', Quantity::Length, $mm, new Reason(
            'Its tubes are butted on, so nothing is expanded: enough straight to hold it by and to get round it with a torch.',
            [Input::of('Wall', Quantity::Wall, $this->tube->wallMm)],
            new Source(SourceKind::Shop),
            'How tightly the merge has to sit.',
        ));
    }

    private function gap(): Figure
    {
        $rule = $this->rules->get('merge.gap_walls');

        $mm = $rule->value * $this->tube->wallMm;

        return $this->figure('gap', 'Gap between inlets', Quantity::Length, $mm, new Reason(
            'Twice the wall, so that the expanded slips of neighbours just touch: 1/8 in for .065.',
            [$rule->asInput(), Input::of('Wall', Quantity::Wall, $this->tube->wallMm)],
            $rule->source,
            'Slips that are expanded further, or none at all.',
        ));
    }

    private function pullIn(): Figure
    {
        $rule = $this->rules->get('merge.pull_in');

        return $this->figure('pullIn', 'Drawn in by welding', Quantity::Length, $rule->value, new Reason(
            'Welding pulls the inlets together. So the cut is set for more than half the gap, .100 in a side for a gap of ⅛, and a shim keeps them apart while they are tacked.',
            [$rule->asInput()],
            $rule->source,
            'Our reading of one account: measure what a pair of yours is pulled in by.',
        ));
    }

    private function beyond(): Figure
    {
        $rule = $this->rules->get('merge.outlet_allowance');

        return $this->figure('beyond', 'Cut beyond the outlet line', Quantity::Length, $rule->value, new Reason(
            'Slide the outlet tube in until it stops, mark, and cut this much beyond the mark: pressing the end round takes it.',
            [$rule->asInput()],
            $rule->source,
            'How far your press turns the end in.',
        ));
    }

    /**
     * Straight tubes must clear each other where their slips end, expanded, and only meet behind the straight: r0 =
     * ρ√(cos²α + cot²(π/N)) + s·sin α for each of both. Tubes along the axis stand side by side: (ρ + gap/2)/sin(π/N).
     */
    private function circle(): Figure
    {
        $count = $this->build->inlets;
        $lean = $this->leanRad();
        if ($lean > 1e-6) {
            $slope = hypot(cos($lean), 1 / tan(M_PI / $count));
            $bareMm = $this->tube->odMm / 2 * $slope + $this->leg->value * sin($lean);
            $openMm = $this->mouthOdMm / 2 * $slope
                + min($this->leg->value, $this->rules->value('fit.slip_depth')) * sin($lean);
            [$radiusMm, $why] = $bareMm >= $openMm
                ? [$bareMm, 'So wide that leaning tubes only meet behind the straight that the slip needs.']
                : [$openMm, 'So wide that the expanded slips just touch at their inner ends.'];
        } else {
            $radiusMm = ($this->tube->odMm + $this->gap->value) / 2 / sin(M_PI / $count);
            $why = 'Tubes side by side with the gap between them: (ρ + gap/2)/sin(π/N) from the axis.';
        }

        return $this->figure('circle', 'Circle through the inlets', Quantity::Length, 2 * $radiusMm, new Reason(
            $why,
            [
                Input::of('Outside of a tube', Quantity::Length, $this->tube->odMm),
                Input::of('Outside of an expanded inlet', Quantity::Length, $this->mouthOdMm),
                Input::of('Inlets', Quantity::Count, $count),
            ],
            Source::geometry(),
            'The lean, the straight, or the gap between the inlets.',
        ));
    }

    private function length(): Figure
    {
        return $this->figure('length', 'From inlets to outlet', Quantity::Length, self::UNMEASURED_MM, new Reason(
            'A guess until the part is there: measure it along its axis.',
            [],
            Source::memory(''),
            'The part itself.',
        ));
    }

    private function figure(string $name, string $label, Quantity $quantity, float $value, Reason $why): Figure
    {
        return $this->overrides->on(
            Figure::of("merge.{$this->build->letter}.$name", $label, $quantity, $value, $why),
        );
    }
}
