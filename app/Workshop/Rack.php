<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\Summary;
use Illuminate\Database\Eloquent\Builder;

/** The rack as it is shown: a page of jobs by what each needs next, searched and counted in the database. */
final readonly class Rack
{
    public const PAGE = 50;

    /** At most so many are asked for again by one visit; the next visit goes on. No page works any out itself. */
    private const REFRESH = 8;

    public function __construct(private Summaries $summaries) {}

    /** @return array{jobs: list<array<string, mixed>>, groups: list<array{group: string, jobs: int}>, page: int, pages: int, total: int, isBehind: bool} */
    public function page(string $find, int $page): array
    {
        $this->addMissing();
        $groups = self::groups($find);
        $total = array_sum(array_column($groups, 'jobs'));
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min(max(1, $page), $pages);
        $rows = self::matching($find)
            ->orderBy('place')->orderBy('group')->orderBy('number')
            ->forPage($page, self::PAGE)
            ->get();
        $behind = $this->behind(array_values($rows->map(static fn (Summary $row): int => $row->job_id)->all()));

        return [
            'jobs' => $this->fresh(array_values($rows->all()), $behind),
            'groups' => $behind === [] ? $groups : self::groups($find),
            'page' => $page,
            'pages' => $pages,
            'total' => $total,
            'isBehind' => $behind !== [] || self::matching($find)->where('group', Summaries::WORKED_OUT)->exists(),
        ];
    }

    /**
     * The first job that the bench is waiting for.
     *
     * @return array<string, mixed>|null
     */
    public function atBench(): ?array
    {
        $first = Summary::query()->where('stage', 'bench')->orderBy('number')->first();

        return $first === null ? null : self::row($first);
    }

    /** @return Builder<Summary> */
    private static function matching(string $find): Builder
    {
        $query = Summary::query();
        foreach (array_slice((array) preg_split('/\s+/u', mb_strtolower(trim($find)), -1, PREG_SPLIT_NO_EMPTY), 0, 6) as $word) {
            $query->where('words', 'like', '%'.addcslashes((string) $word, '\\%_').'%');
        }

        return $query;
    }

    /** @return list<array{group: string, jobs: int}> */
    private static function groups(string $find): array
    {
        $counted = self::matching($find)
            ->selectRaw('"group", count(*) as jobs, min(place) as place')
            ->groupBy('group')->orderBy('place')->orderBy('group')
            ->get();
        $groups = [];
        foreach ($counted as $one) {
            $jobs = $one->getAttribute('jobs');
            $groups[] = ['group' => $one->group, 'jobs' => is_int($jobs) ? $jobs : 0];
        }

        return $groups;
    }

    /** Jobs that nothing is known of yet: of an older version of the program, or begun while it was stopped. */
    private function addMissing(): void
    {
        $missing = Job::query()->whereNotIn('id', Summary::query()->select('job_id'))->limit(self::REFRESH)->get();
        foreach ($missing as $job) {
            $this->summaries->later($job);
        }
    }

    /**
     * @param  list<Summary>  $rows
     * @param  list<int>  $behind  which of them are to be worked out again, by job
     * @return list<array<string, mixed>>
     */
    private function fresh(array $rows, array $behind): array
    {
        foreach ($behind === [] ? [] : Job::query()->whereKey($behind)->get() as $job) {
            $this->summaries->later($job);
        }
        $again = $behind === [] ? [] : Summary::query()->whereKey($behind)->get()->keyBy('job_id');

        return array_map(static fn (Summary $row): array => self::row($again[$row->job_id] ?? $row), $rows);
    }

    /**
     * Which of these have changed since, or were worked out under other rules.
     *
     * @param  list<int>  $ids  of jobs
     * @return list<int>
     */
    private function behind(array $ids): array
    {
        $now = 'select r.id, r.version, coalesce((select max(position) from log_entries l where l.job_id = summaries.job_id), 0), ?::varchar
            from revisions r where r.job_id = summaries.job_id order by r.number desc limit 1';
        $behind = Summary::query()
            ->whereKey($ids)
            ->whereRaw("(revision_id, version, log_position, stamp) <> ($now)", [$this->summaries->stamp()])
            ->limit(self::REFRESH)
            ->get();

        return array_values($behind->map(static fn (Summary $one): int => $one->job_id)->all());
    }

    /** @return array<string, mixed> */
    private static function row(Summary $summary): array
    {
        return [
            'id' => $summary->job_id,
            'number' => $summary->number,
            ...$summary->facts,
            'next' => ['stage' => $summary->stage, 'group' => $summary->group, 'text' => $summary->next],
            'fault' => $summary->fault,
        ];
    }
}
