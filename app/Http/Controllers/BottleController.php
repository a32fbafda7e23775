<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Workshop\Bottles;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use UpsweptBead\Core\Shop\Practice\BottleUse;

/** The bottles in the shop: one more or less, a gauge as it was read, a full one put on. */
final readonly class BottleController
{
    public function __construct(private Bottles $bottles) {}

    public function store(Request $request): JsonResponse
    {
        $fields = ['name', 'capacity', 'full', 'gauge'];
        $request->validate([
            ...array_fill_keys($fields, ['required', 'string', 'max:30']),
            'use' => ['required', Rule::enum(BottleUse::class)],
        ]);
        $bottle = [];
        foreach ([...$fields, 'use'] as $field) {
            $bottle[$field] = $request->string($field)->trim()->toString();
        }
        $this->bottles->add($bottle, CarbonImmutable::now());

        return new JsonResponse(['bottles' => $this->bottles->shown()], 201);
    }

    public function destroy(Request $request): JsonResponse
    {
        $this->bottles->takeAway($request->string('name')->toString());

        return new JsonResponse(['bottles' => $this->bottles->shown()]);
    }

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
