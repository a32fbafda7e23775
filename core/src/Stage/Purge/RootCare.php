<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/**
 * By which practice the root of a joint is shielded: the shop's, the job's, or its own, as far as where it lies permits.
 */
final readonly class RootCare
{
    private const WHY = 'A root without any shield takes a reason: say why.';

    private const LABEL = 'Root shielded by';

    /** @param  string  $lack  why what was wished for is not done; '' where it is */
    private function __construct(public Choice $choice, public RootPractice $practice, public string $lack) {}

    /** What all joints of a job are proposed. */
    public static function ofJob(RootPractice $ofShop, PurgeCare $care, Overrides $overrides): self
    {
        $proposed = self::refused($ofShop, $care) === '' ? $ofShop : RootPractice::Argon;

        return self::chosen(Choice::of(
            RootPractice::OF_JOB,
            self::LABEL,
            $proposed->label(),
            new Reason(
                $proposed->why(),
                [Input::word('The shop works by', $ofShop->label()), Input::word('Where it lies', $care->label())],
                Source::trade(),
                'The shop’s own practice, or what the customer asks for.',
            ),
            self::options($care),
        ), $proposed, $care, $overrides, false);
    }

    public static function ofJoint(Joint $joint, self $ofJob, PurgeCare $care, Overrides $overrides): self
    {
        $key = "purge.$joint->id.school";
        if (! $joint->isPurged()) {
            $why = $joint->type === JointType::DonutSeam
                ? 'It is welded from inside: the torch’s own gas fills the bore.'
                : 'Not meant to penetrate: its root stays in the wall it stands on.';

            return new self(
                Choice::of($key, self::LABEL, RootPractice::None->label(), new Reason($why, [], Source::trade())),
                RootPractice::None,
                '',
            );
        }

        $refused = self::refused($ofJob->practice, $care);
        $proposed = $refused === '' ? $ofJob->practice : RootPractice::Argon;

        return self::chosen(Choice::of(
            $key,
            self::LABEL,
            $proposed->label(),
            new Reason(
                $refused === '' ? $proposed->why() : $refused,
                [
                    Input::word('The job is done by', $ofJob->practice->label()),
                    Input::word('Where it lies', $care->label()),
                    ...in_array('409', [$joint->between->metal, $joint->and->metal], true)
                        ? [Input::word('409', 'asks for it less than 304 does')]
                        : [],
                ],
                Source::trade(),
                'What all of the job is done by, or a reason of this joint.',
            ),
            self::options($care),
        ), $proposed, $care, $overrides, true);
    }

    /**
     * With what somebody put in its place, where that may be.
     *
     * @param  bool  $isOfJoint  whether it is for one joint; what counts for all is said once
     */
    private static function chosen(
        Choice $choice,
        RootPractice $proposed,
        PurgeCare $care,
        Overrides $overrides,
        bool $isOfJoint,
    ): self {
        $override = $overrides->of($choice->key);
        if ($override === null) {
            return new self($choice, $proposed, '');
        }
        $practice = RootPractice::read($override->value);
        $lack = match (true) {
            $practice === null => sprintf(
                '"%s" is no way to shield a root: argon, flux paste or none.',
                mb_substr($override->value, 0, 40),
            ),
            self::refused($practice, $care) !== '' => self::refused($practice, $care),
            $practice === RootPractice::None && trim($override->why) === '' => self::WHY,
            default => '',
        };
        if ($practice === null || $lack !== '') {
            return new self($choice, $proposed, $lack);
        }

        return new self($choice->with($practice->label(), $override), $practice, '');
    }

    /** Why nothing is filled; '' where it is. */
    public function why(): string
    {
        return match (true) {
            $this->practice === RootPractice::Argon => '',
            $this->choice->override !== null && $this->choice->override->why !== '' => $this->choice->override->why,
            default => $this->choice->reason->rule,
        };
    }

    /** @return list<Option> */
    private static function options(PurgeCare $care): array
    {
        return array_map(
            static fn (RootPractice $one): Option => new Option($one->label(), self::refused($one, $care)),
            RootPractice::cases(),
        );
    }

    /** Why a practice is not for where a joint lies; '' where it may be. */
    private static function refused(RootPractice $practice, PurgeCare $care): string
    {
        return match (true) {
            $practice === RootPractice::Argon, $care === PurgeCare::Downstream => '',
            $care === PurgeCare::Unknown => 'A repair may lie upstream of a turbine: argon only.',
            $care === PurgeCare::Unsaid => 'A turbine may follow it: argon only, until it is said that none does.',
            $practice === RootPractice::Flux => 'Never upstream of a turbine: its glass comes loose.',
            default => 'Never upstream of a turbine: a crumb of burnt root would be swallowed.',
        };
    }
}
