<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;

/** Why joints of the shop were not right, the most frequent first; a joint that was looked at twice counts twice. */
final readonly class Causes
{
    /** @return array{inspected: int, causes: list<array{label: string, count: int}>} */
    public function all(): array
    {
        $counts = [];
        $inspected = 0;
        $rows = DB::select(
            "select inspected->>'cause' as cause, count(*) as times from log_entries where inspected is not null group by 1",
        );
        foreach ($rows as $row) {
            /** @var object{cause: ?string, times: int} $row */
            $inspected += $row->times;
            $cause = $row->cause === null ? null : Cause::tryFrom($row->cause);
            if ($cause !== null) {
                $counts[$cause->label()] = $row->times;
            }
        }
        arsort($counts);

        return [
            'inspected' => $inspected,
            'causes' => array_map(
                static fn (string $label, int $count): array => ['label' => $label, 'count' => $count],
                array_keys($counts),
                $counts,
            ),
        ];
    }
}
