<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Workshop\WithoutMoney;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Exchange\Screens\StageWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Plan\JointOffer;
use UpsweptBead\Core\Stage\Plan\JointWish;
use UpsweptBead\Core\Stage\Plan\StockOffer;

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

        return $this->offered($offer->now, $offer->found, $offer->job);
    }

    /** A joint somebody wants, or wants to be without: the job with it and what it costs. */
    public function joint(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $wish = JointWish::tryFrom($request->written('wish'))
            ?? throw ValidationException::withMessages(['wish' => 'must be one of '.implode(', ', array_column(JointWish::cases(), 'value'))]);
        try {
            $at = $wish === JointWish::Split ? Length::parse($request->written('at'), $document->units)->mm : 0.0;
            $offer = JointOffer::of($document, $this->workshop->shopFor($document), $request->written('mark'), $wish, $at);
        } catch (UnreadableQuantity|\DomainException $error) {
            throw ValidationException::withMessages(['at' => $error->getMessage()]);
        }

        return $this->offered($offer->now, $offer->found, $offer->job);
    }

    private function offered(CutPlan $now, ?CutPlan $found, ?Job $job): JsonResponse
    {
        $shop = $this->workshop->shop();

        return new JsonResponse([
            'now' => self::totals($now, $shop),
            'found' => $found === null ? null : self::totals($found, $shop),
            'document' => $job === null ? null : JobWriter::toArray($job),
        ]);
    }

    /** @return array<string, mixed> */
    private static function totals(CutPlan $cut, Shop $shop): array
    {
        return WithoutMoney::of(StageWriter::totals($cut, $shop), ['cost']);
    }
}
