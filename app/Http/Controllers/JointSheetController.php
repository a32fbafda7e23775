<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Print\JointSheets;
use App\Print\Pdf;
use App\Workshop\Workshop;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** The weld and purge sheets of a job on paper, one page each: all of them, or one. */
final readonly class JointSheetController
{
    public function __construct(private Workshop $workshop, private Pdf $pdf) {}

    public function __invoke(Request $request, Job $job): Response
    {
        $job->load('revisions');
        $revision = $job->current();
        $only = $request->string('joint')->toString();
        $plan = $this->workshop->planInFull(
            $this->workshop->read($revision),
            null,
            $revision->isDraft() ? null : $revision,
        );
        $pages = (new JointSheets($plan))->pages($only === '' ? null : $only);
        if ($pages === []) {
            throw ValidationException::withMessages(['joint' => $only === ''
                ? 'Nothing is welded yet: sheets follow from a route.'
                : sprintf('The job has no welded joint "%s".', mb_substr($only, 0, 20))]);
        }

        return $this->pdf->show('joint-sheets', [
            'pages' => $pages,
            'number' => $plan->job->number,
            'title' => $plan->job->title,
            'revision' => "$revision->number {$revision->status->value}",
        ], $only === '' ? "$job->number-joint-sheets.pdf" : "$job->number-$only.pdf");
    }
}
