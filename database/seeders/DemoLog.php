<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\User;
use App\Workshop\KnownPlan;
use App\Workshop\WeldArgon;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;
use UpsweptBead\Core\Stage\Device\Device;
use UpsweptBead\Core\Stage\Device\Leak;
use UpsweptBead\Core\Stage\Device\Trace;
use UpsweptBead\Core\Stage\Step\StepKind;

/** A made-up log: steps done one after the other, with readings near what was planned, in shifts. */
final class DemoLog
{
    private const SHIFT_FROM = 8;

    private const SHIFT_TO = 17;

    private Randomizer $dice;

    private CarbonImmutable $at;

    /** @param  list<User>  $people  by turns, a shift each */
    public function __construct(
        private readonly Job $job,
        private readonly Revision $revision,
        private readonly array $people,
        private readonly KnownPlan $plan,
        int $seed,
        string $from,
    ) {
        $this->dice = new Randomizer(new Xoshiro256StarStar($seed));
        $this->at = CarbonImmutable::parse($from);
        $this->firstDay = $this->at->startOfDay();
    }

    private CarbonImmutable $firstDay;

    public function now(): CarbonImmutable
    {
        return $this->at;
    }

    /** @param  array<string, mixed>  $change  of what would be logged */
    public function done(BenchStep $step, array $change = []): void
    {
        $minutes = match ($step->kind) {
            StepKind::Prepare => $this->dice->getInt(5, 11),
            StepKind::Trial => $this->dice->getInt(18, 40),
            default => 0,
        };
        $this->passes(60 * $minutes + (int) ($step->seconds ?? 240) + $this->dice->getInt(40, 240));
        $traces = $this->traces($step);
        $argon = WeldArgon::of($this->plan, $step, EntryKind::Done, $traces);
        $this->write($step, 'done', [
            'readings' => $this->readings($step),
            'points' => array_keys($step->points),
            'traces' => array_map(static fn (Trace $one): array => $one->toArray(), $traces),
            'metered_l' => $argon->meteredL,
            'torch_l' => $argon->torchL,
            'purge_l' => $argon->purgeL,
            'inspected' => $step->inspection === null ? null : $this->fine()->toArray(),
            ...$change,
        ]);
    }

    /** @param  array<string, mixed>  $change */
    public function said(BenchStep $step, string $kind, array $change): void
    {
        $this->passes($this->dice->getInt(60, 300));
        $this->write($step, $kind, $change);
    }

    /** @return list<Trace> what the stand-ins read at it */
    private function traces(BenchStep $step): array
    {
        $every = max(1.0, ceil(($step->seconds ?? 0.0) / 150));
        $count = (int) ceil(1.15 * ($step->seconds ?? 0.0) / $every);
        $devices = $step->rig?->devices("{$this->job->number} $step->id", Leak::Tight, 1.0, []) ?? [];

        return $count < 2 ? [] : array_map(static fn (Device $one): Trace => new Trace(
            $one->name(),
            $every,
            array_map(static fn (int $i): float => round($one->at($i * $every), 2), range(0, $count)),
            true,
        ), $devices);
    }

    private function fine(): InspectedJoint
    {
        $outside = [Oxide::Silver, Oxide::PaleStraw, Oxide::Straw, Oxide::Gold][$this->dice->getInt(0, 3)];
        $inside = [Oxide::Silver, Oxide::PaleStraw, Oxide::Straw][$this->dice->getInt(0, 2)];

        return new InspectedJoint($outside, $inside, [], null, Outcome::Accept);
    }

    private function passes(int $seconds): void
    {
        $this->at = $this->at->addSeconds($seconds);
        if ($this->at->hour >= self::SHIFT_TO) {
            $this->at = $this->at->addDay()->setTime(self::SHIFT_FROM, $this->dice->getInt(2, 14));
        }
    }

    /** @param  array<string, mixed>  $change */
    private function write(BenchStep $step, string $kind, array $change): void
    {
        $shift = (int) $this->firstDay->diffInDays($this->at->startOfDay());
        LogEntry::query()->create([
            'id' => Str::uuid()->toString(),
            'job_id' => $this->job->id,
            'revision_id' => $this->revision->id,
            'user_id' => $this->people[$shift % count($this->people)]->id,
            ...LogEntry::at($step),
            'kind' => $kind,
            'readings' => [],
            'note' => '',
            'made_at' => $this->at,
            ...$change,
        ]);
    }

    /** @return array<string, float> */
    private function readings(BenchStep $step): array
    {
        $readings = [];
        foreach ($step->measures as $measure) {
            $share = $this->dice->getInt(-100, 100) / 100;
            $readings[$measure->name] = match ($measure->quantity) {
                Quantity::Current => ($measure->planned ?? 0) + 5 * round($share),
                Quantity::Oxygen => round(($measure->planned ?? 0) * (0.5 + 0.3 * $share)),
                Quantity::Temperature => round(($measure->planned ?? 0) - 4 + 3 * $share, 1),
                // What has no plan is a gap or a height; what a seam pulled together lies about its plan.
                Quantity::Wall => ($measure->planned ?? 0.0) > 0.0
                    ? round($measure->planned * (1.1 + 0.15 * $share), 2)
                    : round(0.1 + 0.08 * abs($share), 2),
                Quantity::Pressure => 50.0,
                Quantity::Duration => round(($measure->planned ?? 0) * (1.4 + 0.3 * $share)),
                Quantity::Length, Quantity::Angle => round(($measure->planned ?? 0) + 0.4 * abs($share), 1),
                default => $measure->planned ?? 0.0,
            };
        }

        return $readings;
    }
}
