<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Job;
use App\Models\Revision;
use App\Models\Role;
use App\Models\Shop;
use App\Models\StoreItem;
use App\Models\User;
use App\Stores\JobStores;
use App\Stores\Stocktaking;
use App\Stores\StoresBook;
use App\Workshop\BenchStanding;
use App\Workshop\Bottles;
use App\Workshop\Drafts;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\StoresTable;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Small\SmallKind;
use UpsweptBead\Core\Job\Small\SmallPlace;
use UpsweptBead\Core\Job\Small\SmallWork;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\Flaw;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;
use UpsweptBead\Core\Stage\Bench\Inspection\Rework;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Plan\Planner;

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
        private readonly BenchStanding $standing,
        private readonly Bottles $bottles,
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
        $this->halfWelded($this->drafts->begin($this->spareManifold()), $wren);
        $this->repaired($this->drafts->begin($this->crack()), $wren);
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

    /** The rally coupe's manifold once more, as a spare. */
    private function spareManifold(): CoreJob
    {
        $document = JobWriter::toArray($this->job('rally-coupe-manifold'));
        $document['job'] = [...(array) $document['job'], 'number' => 'TB-0418', 'title' => 'Rally coupe manifold, the spare'];
        $document['outside'] = [['what' => 'Five flanges, laser-cut', 'cost' => 140]];

        return JobReader::fromDecoded($document)->job ?? throw new \LogicException('The spare manifold cannot be read.');
    }

    /** A crack beside a hanger of a van, as small work. */
    private function crack(): CoreJob
    {
        $inch = UnitSystem::Inch;
        $work = new SmallWork(
            SmallKind::Crack,
            SmallPlace::Behind,
            $this->workshop->shop()->catalogue->tube('T2.500x.065'),
            '304L',
            Length::parse('1 1/4 in', $inch),
            Length::parse('12 in', $inch),
        );
        $document = JobWriter::toArray($work->job('S-0001', $inch));
        $document['job'] = [...(array) $document['job'], 'customer' => 'Lanternfish Dairy', 'vehicle' => 'Milk van, long wheelbase', 'note' => 'Cracked beside its rear hanger; the rubber had perished.'];

        return JobReader::fromDecoded($document)->job ?? throw new \LogicException('The crack cannot be read.');
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
        $log = new DemoLog($job, $revision, [$by], $this->plans->of($revision), 412, '2026-02-09 08:10:00');
        foreach ($plan->steps as $step) {
            $log->done($step, $step->id === 'trial.A' ? ['note' => 'Clears the heat shield with a finger to spare.'] : []);
        }
        $this->fromStores($job, $revision, $by);
        $this->summaries->refresh($job);
    }

    /** What a finished job was made from is gone from the stores, and its offcuts lie there. */
    private function fromStores(Job $job, Revision $revision, User $by): void
    {
        $cut = $this->plans->cut($revision);
        $this->stores->follow($job, $cut, $this->standing->progress($job, $revision), $by, MadeWork::none());
        foreach ($cut->needs as $need) {
            $item = $need->kind->isStock() ? null : StoreItem::query()->where('key', $need->key)->first();
            if ($item !== null) {
                $this->book->issue($item, round($need->quantity, 3), $job, $by, Str::uuid()->toString());
            }
        }
    }

    /**
     * Releases a job and logs it into the middle of its welding: three shifts of three people, a gap that was too wide,
     * a bottle that ran out, a root that sugared and was done again.
     */
    private function halfWelded(Job $job, User $owner): void
    {
        $revision = $this->drafts->release($job->load('revisions'), 1, $owner);
        $steps = $this->workshop->planInFull($this->workshop->read($revision))->steps;
        $log = new DemoLog($job, $revision, array_values(User::query()->where('role', '<>', Role::Viewer)->orderBy('id')->get()->all()), $this->plans->of($revision), 418, '2026-11-24 08:05:00');
        foreach ($steps as $step) {
            if ($step->id === 'purge.DJ4') {
                break;
            }
            match ($step->id) {
                'tack.DJ4' => $log->done($step, [
                    'readings' => ['gap' => 1.8, 'mismatch' => 0.2],
                    'why' => 'Cut two degrees off; a ring of the same tube let in, wire of 2.4.',
                ]),
                'inspect.EJ5' => $log->done($step, [
                    'inspected' => self::sugared()->toArray(),
                    'note' => 'Between 150° and 210°: the tape let go as it got hot.',
                ]),
                default => $log->done($step),
            };
            if ($step->id === 'weld.AJ5') {
                $log->said($step, 'note', ['note' => 'Purge bottle at its end, changed to the second one. Line blown through for a minute.']);
                $this->bottles->read('Purge', '2150 psi', $log->now());
            }
            if ($step->id === 'inspect.EJ5') {
                foreach ($this->after($step, $steps) as $again) {
                    $log->done($again);
                }
            }
        }
        $this->fromStores($job, $revision, $owner);
        $this->summaries->refresh($job);
    }

    /** Small work from the crack to the leak test, by one person in an hour. */
    private function repaired(Job $job, User $owner): void
    {
        $revision = $this->drafts->release($job->load('revisions'), 1, $owner);
        $log = new DemoLog($job, $revision, [User::query()->where('role', Role::Fabricator)->firstOrFail()], $this->plans->of($revision), 31, '2026-11-23 13:20:00');
        foreach ($this->workshop->planInFull($this->workshop->read($revision))->steps as $step) {
            $log->done($step, $step->id === 'tack.AB1' ? ['note' => 'Ran 8 mm further than it could be seen; stopped at both ends.'] : []);
        }
        $this->fromStores($job, $revision, $owner);
        $this->summaries->refresh($job);
    }

    private static function sugared(): InspectedJoint
    {
        return new InspectedJoint(Oxide::Gold, Oxide::Brown, [Flaw::Sugar], Cause::Purge, Outcome::Redo);
    }

    /**
     * What follows from a root that sugared.
     *
     * @param  list<BenchStep>  $steps
     * @return list<BenchStep>
     */
    private function after(BenchStep $inspection, array $steps): array
    {
        $entry = new CoreEntry('', $inspection->id, EntryKind::Done, [], '', '', CarbonImmutable::now(), '', [], self::sugared());

        return Rework::of($steps, [$inspection->id => $entry])[$inspection->id] ?? [];
    }
}
