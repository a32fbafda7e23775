<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Csv;
use App\Http\Requests\CutPieceRequest;
use App\Models\Job;
use App\Models\Revision;
use App\Models\StoreItem;
use App\Models\User;
use App\Print\CutSheets;
use App\Print\Labels;
use App\Print\Pdf;
use App\Stores\CuttingView;
use App\Stores\JobStores;
use App\Stores\NoneLeft;
use App\Workshop\BenchLog;
use App\Workshop\BenchStanding;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Workshop;
use App\Workshop\WrongCuts;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use UpsweptBead\Core\Account\Stores\ShoppingRow;
use UpsweptBead\Core\Exchange\Screens\ShoppingWriter;

/** At the saw: what is cut, out of which stock, what is left and what is to be bought. */
final readonly class CuttingController
{
    /** Labels on a sheet. */
    private const A_SHEET = 21;

    public function __construct(
        private KnownPlans $plans,
        private BenchStanding $standing,
        private WrongCuts $wrong,
        private JobStores $stores,
        private CuttingView $view,
        private Summaries $summaries,
        private Workshop $workshop,
    ) {}

    public function show(Job $job): JsonResponse
    {
        // While the next revision is drafted, what is looked at is the draft.
        return new JsonResponse($this->view->of($job, $job->load('revisions')->current()));
    }

    /** Ticks a piece off as cut, or takes that back: the log and the stores change together or not at all. */
    public function store(CutPieceRequest $request, Job $job, BenchLog $bench): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $revision = $this->revision($job);
        try {
            DB::transaction(function () use ($request, $job, $bench, $user, $revision): void {
                [$taken] = $bench->take($job, $user, [$request->entry($user, $revision->number)], now());
                if ($taken->fault !== null) {
                    $field = $taken->fault->path === 'readings.length' ? 'length' : $taken->fault->path;
                    throw ValidationException::withMessages([
                        $field => [$taken->fault->message, ...$field === 'why' ? $this->whatItDoes($request, $job, $revision) : []],
                    ]);
                }
                $strictly = $request->isUndo() ? null : $request->mark();
                $this->stores->follow(
                    $job,
                    $this->plans->cut($revision),
                    $this->standing->progress($job, $revision),
                    $user,
                    $this->standing->made($job, $revision),
                    $strictly,
                );
            });
        } catch (NoneLeft $none) {
            return new JsonResponse(['message' => $none->getMessage(), 'errors' => ['mark' => [$none->getMessage()]]], 409);
        }
        $this->summaries->storesChanged();

        return $this->show($job);
    }

    /** @return list<string> what a length does to the far end, and how to go on */
    private function whatItDoes(CutPieceRequest $request, Job $job, Revision $revision): array
    {
        $mm = $request->lengthMm();
        $progress = $this->standing->progress($job, $revision);
        $found = $mm === null ? null : $this->wrong->would($revision, $progress, $request->mark(), $mm);

        return $found === null ? [] : [$found['farEnd'], ...$found['rescues']];
    }

    /** Promises a released job what it still needs, after something came in. */
    public function promise(Job $job): JsonResponse
    {
        $revision = $this->revision($job);
        if ($revision->isDraft()) {
            throw ValidationException::withMessages(['job' => 'Only a released job is promised something.']);
        }
        $this->stores->promise($job, $this->plans->cut($revision)->needs);
        $this->summaries->storesChanged();

        return $this->show($job);
    }

    public function shoppingCsv(Job $job): StreamedResponse
    {
        $cut = $this->plans->cut($this->revision($job));
        $writer = new ShoppingWriter($cut->units);

        return Csv::download(
            "$job->number-shopping.csv",
            ['item', 'name', 'needed', 'from the stores', 'place', 'to buy', 'unit', 'cost'],
            array_map(static function (ShoppingRow $row) use ($writer): array {
                $one = $writer->row($row);

                return [
                    $one['key'], $one['name'], $one['needed'], $one['fromStores'], $one['location'], $one['toBuy'],
                    $one['unit'], $one['cost'],
                ];
            }, $this->stores->list($job, $cut->needs)->rows),
        );
    }

    public function shoppingPdf(Job $job, Pdf $pdf): Response
    {
        $cut = $this->plans->cut($this->revision($job));

        return $pdf->show('shopping', [
            'text' => (new ShoppingWriter($cut->units))->text(...),
            'currency' => $this->workshop->shop()->money,
            'number' => $job->number,
            'title' => $job->title,
            'list' => $this->stores->list($job, $cut->needs),
        ], "$job->number-shopping.pdf");
    }

    /** The pieces of the job with their drawings, for the saw. */
    public function listPdf(Job $job, Pdf $pdf): Response
    {
        $revision = $this->revision($job);
        $members = (new CutSheets(
            $this->workshop->planInFull($this->workshop->read($revision), null, $revision->isDraft() ? null : $revision)->sketch,
        ))->members();
        if ($members === []) {
            throw ValidationException::withMessages(['job' => 'Nothing is cut yet: pieces follow from a route.']);
        }

        return $pdf->show('cut-list', [
            'members' => $members,
            'number' => $job->number,
            'title' => $job->title,
            'revision' => "$revision->number {$revision->status->value}",
        ], "$job->number-cut-list.pdf");
    }

    public function labels(Request $request, Job $job, Pdf $pdf): Response
    {
        $revision = $this->revision($job);
        $labels = Labels::ofJob($job, $revision->number, $this->plans->cut($revision));

        return $pdf->show('labels', ['labels' => $labels, 'skip' => self::skip($request)], "$job->number-labels.pdf");
    }

    public function offcutLabels(Request $request, Pdf $pdf): Response
    {
        $request->validate(['item' => ['nullable', 'integer', 'min:1', 'max:1000000000']]);
        /** @var Collection<int, StoreItem> $items */
        $items = StoreItem::query()
            ->where('kind', 'offcut')
            ->where('on_hand', '>', 0)
            ->when($request->filled('item'), static fn ($query) => $query->whereKey($request->integer('item')))
            ->orderBy('id')->limit(210)->get();

        return $pdf->show('labels', ['labels' => Labels::ofOffcuts($items), 'skip' => self::skip($request)], 'offcut-labels.pdf');
    }

    /** How many labels of the first sheet are used already. */
    private static function skip(Request $request): int
    {
        $request->validate(['skip' => ['nullable', 'integer', 'min:0', 'max:'.(self::A_SHEET - 1)]]);

        return $request->integer('skip');
    }

    /** What is cut: the release, or where there is none yet what is planned. */
    private function revision(Job $job): Revision
    {
        $job->load('revisions');

        return $job->released() ?? $job->current();
    }
}
