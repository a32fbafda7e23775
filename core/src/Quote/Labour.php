<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Quote;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Bench\StepKind;

/** What hours at the bench go to. */
enum Labour: string
{
    case Prepare = 'prepare';
    case Fit = 'fit';
    case Trial = 'trial';
    case Weld = 'weld';
    case Inspect = 'inspect';
    case Again = 'again';

    public function label(): string
    {
        return match ($this) {
            self::Prepare => 'Cutting and preparing',
            self::Fit => 'Fitting and tacking',
            self::Trial => 'Trial fits',
            self::Weld => 'Purging and welding, with the waits nothing fills',
            self::Inspect => 'Looking at the joints and testing',
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
        // A flange is bolted down for its weld.
        return $isOfPlan ? match (str_starts_with($step->id, 'bolt.') ? StepKind::Weld : $step->kind) {
            StepKind::Prepare => self::Prepare,
            StepKind::Tack, StepKind::FullTack => self::Fit,
            StepKind::TrialFit => self::Trial,
            StepKind::Purge, StepKind::Weld, StepKind::Cool => self::Weld,
            StepKind::Inspect => self::Inspect,
        } : self::Again;
    }
}
