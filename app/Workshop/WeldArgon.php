<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Bench\EntryKind;
use UpsweptBead\Core\Device\Trace;

/** What a weld took of argon, L: of its torch as a flowmeter had it, else as planned; of its purge as planned. */
final readonly class WeldArgon
{
    private function __construct(public ?float $torchL, public ?float $purgeL) {}

    /** @param  list<Trace>  $traces */
    public static function of(KnownPlan $plan, string $step, EntryKind $kind, array $traces): self
    {
        [$what, $joint] = [...explode('.', $step), ''];
        $planned = $what === 'weld' && $kind === EntryKind::Done ? $plan->argonL[$joint] ?? null : null;
        if ($planned === null) {
            return new self(null, null);
        }
        $readL = array_sum(array_map(static fn (Trace $one): float => $one->argonL(), $traces));

        return new self($readL > 0.0 ? $readL : $planned[0], $planned[1]);
    }
}
