<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Units\UnitSystem;

/**
 * Takes entries from the bench. An entry with an id that is already there changes nothing, so sending twice is safe.
 */
final readonly class BenchLog
{
    /**
     * @param  list<array{id: string, step: string, kind: string, readings: array<string, string>, note: string, at: string}>  $entries
     *
     * @throws ValidationException if a step is not in the plan or a reading is none; then nothing is stored
     */
    public function append(Job $job, Plan $plan, UnitSystem $units, User $by, array $entries): void
    {
        $released =
            $job->released() ??
            throw ValidationException::withMessages([
                'entries' => 'Nothing of this job is released yet; there is nothing to log against.',
            ]);
        $rows = [];
        foreach ($entries as $i => $entry) {
            $step =
                $plan->step($entry['step']) ??
                throw ValidationException::withMessages([
                    "entries.$i.step" => sprintf('The released plan has no step "%s".', $entry['step']),
                ]);
            $rows[] = [
                'id' => strtolower($entry['id']),
                'job_id' => $job->id,
                'revision_id' => $released->id,
                'user_id' => $by->id,
                'step' => $step->id,
                'kind' => $entry['kind'],
                'readings' => json_encode(
                    (object) self::readings($step, $entry['readings'], $units, "entries.$i.readings"),
                    JSON_THROW_ON_ERROR,
                ),
                'note' => $entry['note'],
                'made_at' => Carbon::parse($entry['at']),
            ];
        }
        DB::transaction(static fn (): int => LogEntry::query()->insertOrIgnore($rows));
        $job->unsetRelation('log');
    }

    /**
     * @param  array<string, string>  $texts
     * @return array<string, float>
     */
    private static function readings(BenchStep $step, array $texts, UnitSystem $units, string $path): array
    {
        $readings = [];
        foreach ($texts as $name => $text) {
            $measure = null;
            foreach ($step->measures as $candidate) {
                $measure = $candidate->name === $name ? $candidate : $measure;
            }
            if ($measure === null) {
                throw ValidationException::withMessages([
                    "$path.$name" => sprintf('Step %s has no reading called "%s".', $step->id, $name),
                ]);
            }
            if (trim($text) === '') {
                continue;
            }
            try {
                $readings[$name] = $measure->quantity->parse($text, $units);
            } catch (UnreadableQuantity $error) {
                throw ValidationException::withMessages(["$path.$name" => $error->getMessage()]);
            }
        }

        return $readings;
    }
}
