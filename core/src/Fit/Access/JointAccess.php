<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Access;

use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointType;

/** What can be got to of one joint, and when. */
final readonly class JointAccess
{
    /** From this share on a hand finds a way that is not tried here; our own figure. */
    public const ENOUGH = 0.95;

    /**
     * @param  CupFit  $alone  on the bench, with only what it belongs to
     * @param  CupFit  $together  with all runs and collectors in place
     * @param  CupFit  $inPlace  the same on the vehicle, where it is tacked for the trial fit
     * @param  list<string>  $by  letters of runs and collectors that close it; none where it stays open
     * @param  RootView  $root  with its own run or collector whole
     */
    public function __construct(
        public string $joint,
        public CupFit $alone,
        public CupFit $together,
        public CupFit $inPlace,
        public array $by,
        public RootView $root,
    ) {}

    /** What to do where a torch does not get all round it in its turn; '' where it does. */
    public function advice(Joint $joint, bool $isTogether): string
    {
        $fit = $isTogether ? $this->together : $this->alone;
        if ($fit->share >= self::ENOUGH) {
            return '';
        }
        $beside = implode(', ', $this->by);

        return match (true) {
            $isTogether && $joint->type === JointType::SlipFillet => "Weld the side towards $beside before those go in, seal it from inside the outlet, or leave it a slip with a clamp.",
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
