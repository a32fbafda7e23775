<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Device\Trace;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * The argon of a step, L: what a flowmeter read; and of a weld what its torch took, metered or else as planned, and its
 * purge.
 */
final readonly class WeldArgon
{
    private function __construct(public ?float $meteredL, public ?float $torchL, public ?float $purgeL) {}

    /** @param  list<Trace>  $traces */
    public static function of(KnownPlan $plan, BenchStep $step, EntryKind $kind, array $traces): self
    {
        $isWelded = $step->kind === StepKind::Weld && $kind === EntryKind::Done;
        $planned = $isWelded ? $plan->argonL[$step->subject] ?? null : null;
        $readL = array_sum(array_map(static fn (Trace $one): float => $one->argonL(), $traces));
        $meteredL = $readL > 0.0 ? $readL : null;

        return $planned === null
            ? new self($meteredL, null, null)
            : new self($meteredL, $meteredL ?? $planned[0], $planned[1]);
    }
}
