<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Practice\RootSchool;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/**
 * By which school the root of a joint is shielded: the shop's, the job's, or its own, as far as where it lies permits.
 */
final readonly class RootCare
{
    /** The override that counts for all joints of a job. */
    public const OF_JOB = 'purge.school';

    private const WHY = 'A root without any shield takes a reason: say why.';

    private const LABEL = 'Root shielded by';

    /** @param  string  $lack  why what was wished for is not done; '' where it is */
    private function __construct(public Choice $choice, public RootSchool $school, public string $lack) {}

    /** What all joints of a job are proposed. */
    public static function ofJob(RootSchool $ofShop, PurgeCare $care, Overrides $overrides): self
    {
        $proposed = self::refused($ofShop, $care) === '' ? $ofShop : RootSchool::Argon;

        return self::chosen(Choice::of(
            self::OF_JOB,
            self::LABEL,
            $proposed->label(),
            new Reason(
                $proposed->why(),
                [Input::word('The shop works by', $ofShop->label()), Input::word('Where it lies', $care->label())],
                Source::trade(),
                'The shop’s own school, or what the customer asks for.',
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
                Choice::of($key, self::LABEL, RootSchool::None->label(), new Reason($why, [], Source::trade())),
                RootSchool::None,
                '',
            );
        }

        $refused = self::refused($ofJob->school, $care);
        $proposed = $refused === '' ? $ofJob->school : RootSchool::Argon;

        return self::chosen(Choice::of(
            $key,
            self::LABEL,
            $proposed->label(),
            new Reason(
                $refused === '' ? $proposed->why() : $refused,
                [
                    Input::word('The job is done by', $ofJob->school->label()),
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
        RootSchool $proposed,
        PurgeCare $care,
        Overrides $overrides,
        bool $isOfJoint,
    ): self {
        $override = $overrides->of($choice->key);
        if ($override === null) {
            return new self($choice, $proposed, '');
        }
        $school = RootSchool::read($override->value);
        $lack = match (true) {
            $school === null => sprintf(
                '"%s" is no way to shield a root: argon, flux paste or none.',
                mb_substr($override->value, 0, 40),
            ),
            self::refused($school, $care) !== '' => self::refused($school, $care),
            $school === RootSchool::None && trim($override->why) === '' => self::WHY,
            default => '',
        };
        if ($school === null || $lack !== '') {
            return new self($choice, $proposed, $lack);
        }

        return new self($choice->with($school->label(), $override), $school, '');
    }

    /** Why nothing is filled; '' where it is. */
    public function why(): string
    {
        return match (true) {
            $this->school === RootSchool::Argon => '',
            $this->choice->override !== null && $this->choice->override->why !== '' => $this->choice->override->why,
            default => $this->choice->reason->rule,
        };
    }

    /** @return list<Option> */
    private static function options(PurgeCare $care): array
    {
        return array_map(
            static fn (RootSchool $one): Option => new Option($one->label(), self::refused($one, $care)),
            RootSchool::cases(),
        );
    }

    /** Why a school is not for where a joint lies; '' where it may be. */
    private static function refused(RootSchool $school, PurgeCare $care): string
    {
        return match (true) {
            $school === RootSchool::Argon, $care === PurgeCare::Downstream => '',
            $care === PurgeCare::Unknown => 'A repair may lie upstream of a turbine: argon only.',
            $care === PurgeCare::Unsaid => 'A turbine may follow it: argon only, until it is said that none does.',
            $school === RootSchool::Flux => 'Never upstream of a turbine: its glass comes loose.',
            default => 'Never upstream of a turbine: a crumb of burnt root would be swallowed.',
        };
    }
}
