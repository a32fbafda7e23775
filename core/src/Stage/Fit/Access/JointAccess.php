<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Solve\Reach\Arcs;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/** What can be got to of one joint, and when. */
final readonly class JointAccess
{
    /** From this share on a hand finds a way that is not tried here; our own figure. */
    public const ENOUGH = 0.95;

    /**
     * @param  CupFit  $alone  on the bench, with only what it belongs to
     * @param  CupFit  $inTurn  with the collectors and the runs that went in before its own
     * @param  CupFit  $together  with all runs and collectors in place
     * @param  CupFit  $inPlace  the same on the vehicle, where it is tacked for the trial fit
     * @param  list<string>  $by  letters of runs and collectors that close it; none where it stays open
     * @param  list<string>  $later  letters of the runs that go in after its own
     * @param  RootView  $root  with its own run or collector whole
     */
    public function __construct(
        public string $joint,
        public CupFit $alone,
        public CupFit $inTurn,
        public CupFit $together,
        public CupFit $inPlace,
        public array $by,
        public array $later,
        public RootView $root,
    ) {}

    /**
     * Arcs of a joint that ties its run to a part, which a torch gets to before the next runs go in and not afterwards.
     *
     * @return list<array{float, float}> as on the dial
     */
    public function sideFirst(): array
    {
        return $this->by === [] || $this->later === [] ? [] : $this->inTurn->beyond($this->together);
    }

    /** The share of such a joint that is welded if those arcs are welded first, and all else with the runs in place. */
    public function shareInTwo(): float
    {
        return min(1.0, $this->together->share + Arcs::sum($this->sideFirst()) / 360);
    }

    /** What to do where a torch does not get all round it in its turn; '' where it does. */
    public function advice(Joint $joint, bool $isTogether): string
    {
        $share = match (true) {
            ! $isTogether => $this->alone->share,
            $joint->type->isAtPart() => $this->shareInTwo(),
            default => $this->together->share,
        };
        if ($share >= self::ENOUGH) {
            return '';
        }
        $beside = implode(', ', $this->by);
        $left = sprintf('%.0f %%', 100 * (1 - $share));

        return match (true) {
            $isTogether && $joint->type === JointType::SlipFillet => "The side towards $beside: $left of it is sealed from inside the outlet, or left a slip with a clamp.",
            $isTogether && $this->by !== [] => "Weld the side towards $beside before those stand beside it, or move the joint.",
            $joint->type === JointType::MergeSeam => 'The crotch with the smallest cup, the last of it from inside the outlet.',
            $joint->type === JointType::Saddle => 'Its acute side with the tungsten far out, or from inside before the main is closed in.',
            default => 'A smaller cup, the tungsten farther out, or the joint moved along the tube.',
        };
    }

    /** Whether it must be welded before others stand beside it. */
    public function isClosedLater(): bool
    {
        return $this->by !== [];
    }
}
