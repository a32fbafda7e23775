<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Account\Learning\LoggedCase;
use UpsweptBead\Core\Account\Ledger\StepTime;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Cases of the newest log that a rule of the shop is judged by: each as the rule would have had to be for that case.
 * What a release was planned by is read as it was then.
 */
final class LoggedCases
{
    private const MOST_CASES = 400;

    private const MOST_RELEASES = 20;

    /** @var array<int, array<string, BenchStep>> steps by id, by release */
    private array $steps = [];

    /** @var array<int, array<string, StepTime>> as planned, by step, by release */
    private array $times = [];

    /** @var array<int, Revision|null> */
    private array $releases = [];

    public function __construct(private readonly KnownPlans $plans) {}

    /**
     * Where a rule multiplies what was planned: what was read over it.
     *
     * @return array<string, list<float>> by rule
     */
    public function ofPlanned(StepKind $kind, string $measure): array
    {
        $cases = [];
        foreach ($this->readings($kind, $measure) as [$release, $subject, $read]) {
            $asked = array_column($this->step($release, $kind, $subject)->measures ?? [], null, 'name')[$measure] ?? null;
            $case = $asked?->rule === null
                ? null
                : LoggedCase::proportional($this->ruleOf($release, $asked->rule), $read, $asked->planned ?? 0.0);
            if ($case !== null) {
                $cases[$asked->rule][] = $case;
            }
        }

        return $cases;
    }

    /** @return list<float> mm */
    public function gaps(): array
    {
        return array_map(
            static fn (array $one): float => LoggedCase::gapMm($one[2]),
            $this->readings(StepKind::Tack, 'gap'),
        );
    }

    /** @return list<float> time a seam took to cool to what was measured, over what the plan has */
    public function coolings(): array
    {
        $rows = DB::select(
            "select c.revision_id, c.step_subject, (c.readings->>'temperature')::float as read,
                    extract(epoch from c.made_at - w.made_at) as seconds
                from log_entries c join log_entries w on w.job_id = c.job_id and w.kind = 'done'
                    and w.step_kind = 'weld' and w.step_subject = c.step_subject and w.step_round = c.step_round
                    and w.made_at < c.made_at
                where c.kind = 'done' and c.step_kind = 'cool' and jsonb_exists(c.readings, 'temperature')
                order by c.position desc limit ".self::MOST_CASES,
        );
        $cases = [];
        foreach ($rows as $row) {
            /** @var object{revision_id: int, step_subject: string, read: numeric-string|float, seconds: numeric-string|float} $row */
            $read = (float) $row->read;
            $tookS = (float) $row->seconds;
            $plannedS = LoggedCase::tellsOfCooling($read, $this->ruleOf($row->revision_id, 'cool.ambient'), $tookS)
                ? $this->step($row->revision_id, StepKind::Cool, $row->step_subject)?->rig?->coolsTo($read)
                : null;
            $cases[] = LoggedCase::proportional($this->ruleOf($row->revision_id, 'cool.pace'), $tookS, $plannedS ?? 0.0);
        }

        return self::known($cases);
    }

    /** @return list<float> argon that went through a flowmeter at a step, over what the plan has */
    public function argon(): array
    {
        $rows = DB::select(
            "select revision_id, step_kind, step_subject, sum(metered_l) as litres from (
                    select * from log_entries where kind = 'done' and metered_l > 0 order by position desc limit ".self::MOST_CASES.'
                ) newest group by revision_id, step_kind, step_subject, step_round',
        );
        $cases = [];
        foreach ($rows as $row) {
            /** @var object{revision_id: int, step_kind: string, step_subject: string, litres: numeric-string|float} $row */
            $litres = (float) $row->litres;
            $step = $this->step($row->revision_id, StepKind::from($row->step_kind), $row->step_subject);
            $cases[] = LoggedCase::proportional(1.0, $litres, $step?->rig?->argonL($step->seconds ?? 0.0) ?? 0.0);
        }

        return self::known($cases);
    }

    /**
     * By rules that say how long one unit of a step takes: from one person's entry before to that of the step, less
     * what it takes besides by plan, such as its cuts at the saw.
     *
     * @return array<string, list<float>> min, by rule
     */
    public function minutes(): array
    {
        $rows = DB::select(
            "select revision_id, step_kind, step_subject, extract(epoch from made_at - before) / 60 as minutes from (
                select revision_id, step_kind, step_subject, kind, made_at, lag(made_at) over (partition by user_id order by made_at) as before from (
                    select * from log_entries order by position desc limit 4000
                ) newest
            ) one where kind = 'done' and made_at > before and made_at - before < make_interval(mins => ?) order by made_at desc",
            [(int) LoggedCase::MOST_MINUTES],
        );
        $minutes = [];
        foreach ($rows as $row) {
            /** @var object{revision_id: int, step_kind: string, step_subject: string, minutes: numeric-string|float} $row */
            $kind = StepKind::from($row->step_kind);
            $time = $this->times($row->revision_id)[$kind->key($row->step_subject)] ?? null;
            $case = $time?->perUnit((float) $row->minutes);
            if ($time?->rule !== null && $case !== null && count($minutes[$time->rule] ?? []) < self::MOST_CASES) {
                $minutes[$time->rule][] = max(0.0, $case);
            }
        }

        return $minutes;
    }

    /**
     * @param  list<?float>  $cases
     * @return list<float>
     */
    private static function known(array $cases): array
    {
        return array_values(array_filter($cases, static fn (?float $one): bool => $one !== null));
    }

    /** @return list<array{int, string, float}> release, subject and what was read there last */
    private function readings(StepKind $kind, string $measure): array
    {
        $rows = DB::select(
            "select revision_id, step, step_subject, (readings->>?)::float as read from log_entries
                where kind in ('done', 'correct') and step_kind = ? and jsonb_exists(readings, ?)
                order by position desc limit ".self::MOST_CASES,
            [$measure, $kind->value, $measure],
        );
        $found = [];
        foreach ($rows as $row) {
            /** @var object{revision_id: int, step: string, step_subject: string, read: numeric-string|float} $row */
            $found["$row->revision_id $row->step"] ??= [$row->revision_id, $row->step_subject, (float) $row->read];
        }

        return array_values($found);
    }

    /** @return array<string, StepTime> by step of the plan */
    private function times(int $release): array
    {
        $revision = $this->release($release);
        if ($revision === null) {
            return [];
        }

        return $this->times[$release] ??= $this->plans->cut($revision)->times;
    }

    /** What follows from an inspection is asked for like the first time. */
    private function step(int $release, StepKind $kind, string $subject): ?BenchStep
    {
        $revision = $this->release($release);
        if ($revision === null) {
            return null;
        }
        $this->steps[$release] ??= array_column($this->plans->of($revision)->steps, null, 'id');

        return $this->steps[$release][$kind->key($subject)] ?? null;
    }

    /** By which a release was planned: the shop's own when it was released, else the shipped one. */
    private function ruleOf(int $release, string $rule): float
    {
        $rules = $this->release($release)->shop['rules'] ?? null;
        $own = is_array($rules) ? $rules[$rule] ?? null : null;
        $shipped = ShopRules::shipped()->get($rule);

        return is_string($own) || is_numeric($own)
            ? $shipped->quantity->parse((string) $own, UnitSystem::Metric)
            : $shipped->value;
    }

    private function release(int $id): ?Revision
    {
        if (! array_key_exists($id, $this->releases)) {
            $this->releases[$id] = count($this->releases) < self::MOST_RELEASES ? Revision::query()->find($id) : null;
        }

        return $this->releases[$id];
    }
}
