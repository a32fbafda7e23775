<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Plan\Json\StageWriter;
use UpsweptBead\Core\Plan\StockOffer;

/** Looks for cuts that take less. Nothing is saved here. */
final readonly class CutController
{
    /** Long enough for a header, short enough to wait for. */
    private const SECONDS = 3.0;

    public function __construct(private Workshop $workshop) {}

    public function least(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $offer = StockOffer::of(
            $document,
            $this->workshop->shopFor($document),
            self::SECONDS,
            1,
            static fn (): float => hrtime(true) / 1e9,
        );

        return new JsonResponse([
            'now' => StageWriter::totals($offer->now),
            'found' => $offer->found === null ? null : StageWriter::totals($offer->found),
            'document' => $offer->job === null ? null : JobWriter::toArray($offer->job),
        ]);
    }
}
