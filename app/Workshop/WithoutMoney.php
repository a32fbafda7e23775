<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Shop;
use Illuminate\Support\Facades\Gate;

/** Takes the sums of money out of what somebody gets who does not quote. */
final readonly class WithoutMoney
{
    /**
     * @param  array<string, mixed>  $written
     * @param  list<string>  $keys  those that are sums of money
     * @return array<string, mixed> the same, with null for each sum where the person signed in may not see money
     */
    public static function of(array $written, array $keys): array
    {
        return Gate::allows('seeMoney', Shop::class) ? $written : [...$written, ...array_fill_keys($keys, null)];
    }

    /**
     * What wedges cost beside a set of them is the only money in a plan.
     *
     * @param  array<string, mixed>  $plan  as the screens get it
     * @return array<string, mixed>
     */
    public static function plan(array $plan): array
    {
        $runs = $plan['runs'] ?? null;
        if (Gate::allows('seeMoney', Shop::class) || ! is_array($runs)) {
            return $plan;
        }

        return [...$plan, 'runs' => self::withoutWedges($runs)];
    }

    /**
     * @param  array<array-key, mixed>  $written  a list of runs, or a part of one
     * @return array<array-key, mixed>
     */
    private static function withoutWedges(array $written): array
    {
        foreach ($written as $key => $value) {
            if (! is_array($value)) {
                continue;
            }
            if ($key === 'pie' && is_array($value['sum'] ?? null)) {
                $written[$key] = [...$value, 'sum' => [...$value['sum'], 'making' => null, 'set' => null]];
            } elseif (is_int($key) || $key === 'pieces') {
                $written[$key] = self::withoutWedges($value);
            }
        }

        return $written;
    }
}
