<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\Role;
use App\Models\Shop;
use App\Models\StoreItem;
use App\Models\User;
use App\Stores\JobStores;
use App\Stores\Stocktaking;
use App\Stores\StoresBook;
use App\Workshop\Drafts;
use App\Workshop\JobLog;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Exchange\StoresTable;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\RouteChoice;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Units\Quantity;

/** The made-up shop 'Tidewater Tube & Bead': its people, stores and jobs. Nobody and nothing in it is real. */
final class DemoSeeder extends Seeder
{
    public function __construct(
        private readonly Workshop $workshop,
        private readonly Drafts $drafts,
        private readonly Summaries $summaries,
        private readonly Stocktaking $stocktaking,
        private readonly JobStores $stores,
        private readonly StoresBook $book,
        private readonly KnownPlans $plans,
        private readonly JobLog $log,
    ) {}

    public function run(): void
    {
        $wren = $this->people();
        Shop::query()->create(['document' => json_decode((string) file_get_contents(base_path('database/demo/shop.json')), true)]);
        $count = StoresTable::read((string) file_get_contents(base_path('database/demo/stores.csv')), $this->workshop->shop()->catalogue, []);
        $this->stocktaking->take($count->rejected === [] ? $count->rows : throw new \LogicException(json_encode($count->rejected, JSON_THROW_ON_ERROR)), $wren, 'First count');
        $this->drafts->begin($this->job('camper-van-downpipe'));
        $this->drafts->begin($this->routed($this->job('delivery-van-crossover')));
        $this->drafts->begin($this->job('hill-climb-header'));
        $this->finished($this->drafts->begin($this->routed($this->job('track-car-downpipe'))), $wren);
        $this->drafts->begin($this->job('rally-coupe-manifold'));
        $this->drafts->begin($this->job('sidecar-collectors'));
        $this->drafts->begin($this->job('works-van-downpipe'));
    }

    private function people(): User
    {
        $people = [
            ['name' => 'Wren Halloway', 'email' => 'wren@tidewater.invalid', 'role' => Role::Owner],
            ['name' => 'Ismet Corrigan', 'email' => 'ismet@tidewater.invalid', 'role' => Role::Fabricator],
            ['name' => 'Pia Lund-Adeyemi', 'email' => 'pia@tidewater.invalid', 'role' => Role::Helper],
            ['name' => 'Office visitor', 'email' => 'visitor@tidewater.invalid', 'role' => Role::Viewer],
        ];
        foreach ($people as $person) {
            User::query()->create([...$person, 'password' => 'upswept-demo']);
        }

        return User::query()->where('role', Role::Owner)->firstOrFail();
    }

    private function job(string $name): CoreJob
    {
        $reading = JobReader::fromJson((string) file_get_contents(base_path("database/demo/$name.job.json")));

        return $reading->job ?? throw new \LogicException("$name: ".json_encode($reading->faults));
    }

    private function routed(CoreJob $job): CoreJob
    {
        foreach ($job->runs as $run) {
            $job = $job->routed($run->letter, RouteChoice::of(Planner::route($job, $run->letter, $this->workshop->shopFor($job))->answers[0]->run));
        }

        return $job;
    }

    /** Releases a job and logs every step of it as done, with readings near what was planned. */
    private function finished(Job $job, User $by): void
    {
        $revision = $this->drafts->release($job->load('revisions'), 1, $by);
        $plan = $this->workshop->planInFull($this->workshop->read($revision));
        $dice = new Randomizer(new Xoshiro256StarStar(412));
        $at = CarbonImmutable::parse('2026-02-09 08:10:00');
        foreach ($plan->steps as $step) {
            $at = $at->addSeconds((int) ($step->seconds ?? 240) + $dice->getInt(60, 420));
            if ($at->hour >= 17) {
                $at = $at->addDay()->setTime(8, 5);
            }
            LogEntry::query()->create([
                'id' => Str::uuid()->toString(), 'job_id' => $job->id, 'revision_id' => $revision->id, 'user_id' => $by->id, 'step' => $step->id,
                'kind' => 'done', 'readings' => $this->readings($step, $dice), 'note' => $step->id === 'trial.A' ? 'Clears the heat shield with a finger to spare.' : '', 'made_at' => $at,
            ]);
        }
        $this->fromStores($job, $revision, $by);
        $this->summaries->refresh($job);
    }

    /** What a finished job was made from is gone from the stores, and its offcuts lie there. */
    private function fromStores(Job $job, Revision $revision, User $by): void
    {
        $cut = $this->plans->cut($revision);
        $this->stores->follow($job, $cut, $this->log->now($job)->progress($this->plans->of($revision)), $by);
        foreach ($cut->needs as $need) {
            $item = $need->kind->isStock() ? null : StoreItem::query()->where('key', $need->key)->first();
            if ($item !== null) {
                $this->book->issue($item, round($need->quantity, 3), $job, $by, Str::uuid()->toString());
            }
        }
    }

    /** @return array<string, float> */
    private function readings(BenchStep $step, Randomizer $dice): array
    {
        $readings = [];
        foreach ($step->measures as $measure) {
            $share = $dice->getInt(-100, 100) / 100;
            $readings[$measure->name] = match ($measure->quantity) {
                Quantity::Current => ($measure->planned ?? 0) + 5 * round($share),
                Quantity::Oxygen => round(($measure->planned ?? 0) * (0.5 + 0.3 * $share)),
                Quantity::Temperature => round(($measure->planned ?? 0) - 4 + 3 * $share, 1),
                Quantity::Wall => round(0.1 + 0.08 * abs($share), 2),
                Quantity::Pressure => 50.0,
                Quantity::Duration => round(($measure->planned ?? 0) * (1.4 + 0.3 * $share)),
                Quantity::Length, Quantity::Angle => round(($measure->planned ?? 0) + 0.4 * abs($share), 1),
                default => $measure->planned ?? 0.0,
            };
        }

        return $readings;
    }
}
