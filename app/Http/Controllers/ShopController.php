<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ShopRequest;
use App\Models\Shop;
use App\Workshop\Causes;
use App\Workshop\Learned;
use App\Workshop\ShopBook;
use App\Workshop\ShopView;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** What the shop works by: its practices and rules. */
final readonly class ShopController
{
    public function __construct(private Workshop $workshop, private ShopBook $book, private Causes $causes, private Learned $learned) {}

    public function show(Request $request): Response
    {
        $shop = $this->workshop->shop();
        $units = UnitSystem::tryFrom($request->string('units')->toString()) ?? UnitSystem::Metric;

        return Inertia::render('shop/shop', [
            'shop' => $shop->name,
            'version' => Shop::query()->value('version') ?? 1,
            'units' => $units->value,
            'quality' => $this->causes->all(),
            ...ShopView::of($shop, $units, $this->learned->all(), Gate::allows('seeMoney', Shop::class)),
        ]);
    }

    public function update(ShopRequest $request): JsonResponse
    {
        $version = $this->book->change($request->version(), $request->practices(), $request->changedRules(), $request->currency());

        return $version === null
            ? new JsonResponse(['message' => 'The shop was changed elsewhere meanwhile; look again.'], 409)
            : new JsonResponse(['version' => $version]);
    }
}
