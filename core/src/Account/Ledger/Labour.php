<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Step\Work;

/** What hours at the bench go to. */
enum Labour: string
{
    case Prepare = 'prepare';
    case Shape = 'shape';
    case Fit = 'fit';
    case Trial = 'trial';
    case Weld = 'weld';
    case Inspect = 'inspect';
    case Again = 'again';

    public function label(): string
    {
        return match ($this) {
            self::Prepare => 'Cutting and preparing',
            self::Shape => 'Pressing, expanding and polishing',
            self::Fit => 'Fitting and tacking',
            self::Trial => 'Trial fits',
            self::Weld => 'Purging and welding, with the waits nothing fills',
            self::Inspect => 'Checking, inspecting and testing',
            self::Again => 'Done again',
        };
    }

    public function key(): string
    {
        return "labour.$this->value";
    }

    /** @param  bool  $isOfPlan  false for what follows from an inspection */
    public static function of(BenchStep $step, bool $isOfPlan): self
    {
        return $isOfPlan ? match ($step->kind) {
            StepKind::Put, StepKind::Form, StepKind::Outlet, StepKind::Trueing, StepKind::Polish => self::Shape,
            StepKind::Check => self::Inspect,
            // A flange is bolted down for its weld.
            StepKind::Bolt => self::Weld,
            default => match ($step->kind->work()) {
                Work::Prepare => self::Prepare,
                Work::Tack => self::Fit,
                Work::TrialFit => self::Trial,
                Work::Purge, Work::Weld, Work::Cool => self::Weld,
                Work::Inspect => self::Inspect,
            },
        } : self::Again;
    }
}
