<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\CustomerLink;
use App\Models\Job;
use App\Models\Revision;
use App\Print\Pdf;
use App\Workshop\JobView;
use App\Workshop\RecordView;
use App\Workshop\Workshop;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** The record of a job for whoever has a link to it: read-only, without the shop’s own log, until the link expires. */
final readonly class CustomerController
{
    public function __construct(private JobView $view, private Workshop $workshop) {}

    public function show(string $token): View
    {
        $link = self::find($token);

        return view('customer', [
            'job' => $this->view->of($link->job, null, self::built($link->job)),
            'shop' => $this->workshop->shop()->name,
            'until' => $link->expires_at,
            'token' => $token,
            'photos' => PhotoController::of($link->job_id),
        ]);
    }

    public function pdf(string $token, RecordView $record, Pdf $pdf): Response
    {
        $job = self::find($token)->job;

        return $pdf->show('record', [...$record->of($job, self::built($job)), 'isForCustomer' => true], "$job->number-record.pdf");
    }

    /** Of an unknown link no more is said than of one that expired. */
    private static function find(string $token): CustomerLink
    {
        $link = CustomerLink::query()->open()->where('fingerprint', CustomerLink::fingerprintOf($token))->with('job.revisions')->first();

        return $link ?? abort(404);
    }

    /** A customer sees what is built, never a draft. */
    private static function built(Job $job): Revision
    {
        $released = $job->released();
        abort_if(! $released instanceof Revision, 404);

        return $released;
    }
}
