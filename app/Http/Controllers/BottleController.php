<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Workshop\Bottles;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The bottles in the shop: a gauge as it was read, or a full one put on. */
final readonly class BottleController
{
    public function __construct(private Bottles $bottles) {}

    public function update(Request $request): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:60'], 'gauge' => ['required', 'string', 'max:30']]);
        $this->bottles->read(
            $request->string('name')->toString(),
            $request->string('gauge')->trim()->toString(),
            CarbonImmutable::now(),
        );

        return new JsonResponse(['bottles' => $this->bottles->shown()]);
    }
}
