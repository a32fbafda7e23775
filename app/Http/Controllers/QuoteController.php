<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Print\Pdf;
use App\Workshop\QuoteView;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The quote of a job, and what it cost beside it. */
final readonly class QuoteController
{
    public function __construct(private QuoteView $quotes, private Workshop $workshop, private Pdf $pdf) {}

    public function show(Job $job): JsonResponse
    {
        return new JsonResponse($this->quotes->of($job->load('revisions')));
    }

    /** For the customer: what is offered, without what it costs the shop. */
    public function pdf(Job $job): Response
    {
        return $this->print($job, false);
    }

    /** For the shop: quoted beside counted. */
    public function cost(Job $job): Response
    {
        return $this->print($job, true);
    }

    private function print(Job $job, bool $isForShop): Response
    {
        $head = $this->workshop->read($job->load('revisions')->current());
        $shop = $this->workshop->shop();

        return $this->pdf->show('quote', [
            'currency' => $shop->money,
            'quote' => $this->quotes->of($job),
            'job' => $job,
            'head' => $head,
            'shop' => $shop->name,
            'isForShop' => $isForShop,
            'today' => now(),
            'until' => now()->addDays((int) round($shop->rules->value('cost.valid_days'))),
        ], $job->number.($isForShop ? '-cost.pdf' : '-quote.pdf'));
    }
}
