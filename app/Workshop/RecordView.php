<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Print\Pdf;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Exchange\Drawing\TraceSvg;
use UpsweptBead\Core\Stage\Device\Trace;
use UpsweptBead\Core\Stage\Step\StepKind;

/** The record of a job for paper: what the screens of it get, with drawings, materials, traces and photos. */
final readonly class RecordView
{
    /** Traces on paper; all of them are in the open file and in the table. */
    private const MOST_TRACES = 60;

    private const MOST_PHOTOS = 24;

    public function __construct(private JobView $view, private KnownPlans $plans) {}

    /** @return array<string, mixed> what the paper is made of */
    public function of(Job $job, Revision $revision): array
    {
        $view = $this->view->of($job, null, $revision);
        $cut = $this->plans->cut($revision);

        return [
            'job' => $view,
            'overruled' => $cut->overruled,
            'assembly' => Pdf::picture($cut->assembly),
            'ribbons' => array_map(Pdf::picture(...), $cut->ribbons),
            'materials' => array_map(static fn (Need $need): string => sprintf(
                '%s × %s',
                $need->kind->isCounted() ? sprintf('%g', $need->quantity) : Quantity::Mass->show($need->quantity, $cut->units),
                $need->name,
            ), $cut->needs),
            'traces' => $revision->isDraft() ? [] : self::traces($job, $cut),
            'photos' => self::photos($job),
        ];
    }

    /** @return list<array{title: string, picture: string, end: string}> of each step the last that was recorded */
    private static function traces(Job $job, KnownCut $cut): array
    {
        $entries = LogEntry::query()->where('job_id', $job->id)->whereRaw("traces <> '[]'::jsonb")
            ->orderByDesc('position')->limit(self::MOST_TRACES)->get()->unique('step')->reverse();
        $planned = array_column($cut->joints, 'planned', 'id');
        $drawn = [];
        foreach ($entries as $entry) {
            $joint = $entry->step_subject;
            foreach ($entry->traces as $one) {
                $aim = match ($one['device']) {
                    'oxygen' => is_array($purge = $planned[$joint]['purge'] ?? null) ? $purge['target'] ?? null : null,
                    'amps' => $planned[$joint]['amps'] ?? null,
                    default => false,
                };
                if ($aim === false) {
                    continue;
                }
                $quantity = $one['device'] === 'oxygen' ? Quantity::Oxygen : Quantity::Current;
                $drawn[] = [
                    'title' => sprintf('%s, %s', $entry->words(), $one['device']),
                    'picture' => Pdf::picture(TraceSvg::of(
                        new Trace($one['device'], $one['every'], $one['values'], $one['simulated']),
                        is_float($aim) ? $aim : null,
                    )),
                    'end' => (is_float($aim) ? 'planned '.$quantity->show($aim, $cut->units) : '')
                        .($one['simulated'] ? ' · stand-in' : ''),
                ];
            }
        }

        return $drawn;
    }

    /** @return list<array{words: string, picture: string}> */
    private static function photos(Job $job): array
    {
        $rows = DB::select(
            "select step_kind, step_subject, step_round, encode(jpeg, 'base64') as jpeg from photos where job_id = ? order by id limit ".self::MOST_PHOTOS,
            [$job->id],
        );

        $photos = [];
        foreach ($rows as $row) {
            /** @var object{step_kind: string, step_subject: string, step_round: int, jpeg: string} $row */
            $photos[] = [
                'words' => StepKind::from($row->step_kind)->words($row->step_subject, $row->step_round),
                'picture' => "data:image/jpeg;base64,$row->jpeg",
            ];
        }

        return $photos;
    }
}
