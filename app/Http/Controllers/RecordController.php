<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Print\Pdf;
use App\Workshop\JobView;
use Illuminate\Http\Response;

/** The record of a job as PDF. */
final readonly class RecordController
{
    public function __invoke(Job $job, JobView $view, Pdf $pdf): Response
    {
        $job->load('revisions');

        return $pdf->show('record', ['job' => $view->of($job)], "$job->number-record.pdf");
    }
}
