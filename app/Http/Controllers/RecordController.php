<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Print\LocalTime;
use App\Print\Pdf;
use App\Workshop\RecordFile;
use App\Workshop\RecordView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The record of a job: on paper, and as an open file. */
final readonly class RecordController
{
    public function pdf(Request $request, Job $job, RecordView $record, Pdf $pdf): Response
    {
        return $pdf->show('record', [
            ...$record->of($job, $job->load('revisions')->built()),
            'time' => LocalTime::of($request),
        ], "$job->number-record.pdf");
    }

    public function json(Job $job, RecordFile $file): JsonResponse
    {
        $name = preg_replace('/[^A-Za-z0-9._-]+/', '-', $job->number);

        return new JsonResponse($file->of($job, $job->load('revisions')->built()), headers: [
            'Content-Disposition' => "attachment; filename=\"$name.record.json\"",
        ], options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
