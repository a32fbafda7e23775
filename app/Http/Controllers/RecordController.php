<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\JobView;
use App\Workshop\RecordPdf;
use Illuminate\Http\Response;

/** The record of a job as PDF. */
final readonly class RecordController
{
    public function __invoke(Job $job, JobView $view, RecordPdf $pdf): Response
    {
        $job->load('revisions');
        $name = preg_replace('/[^A-Za-z0-9._-]+/', '-', $job->number);

        return new Response($pdf->render($view->of($job)), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"$name-record.pdf\"",
        ]);
    }
}
