<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * One person's requests that may have to plan are worked on a few at a time, and none for long, so that workers are
 * left for the others. The slots lie in the memory that the workers of a machine share.
 */
final readonly class FewAtATime
{
    private const SLOTS = 3;

    /** Requests that wait for a slot: a page sends several at once, and may be open twice. Any more are refused. */
    private const WAITING = 3;

    /** The longest wait for a slot. */
    private const PATIENCE_S = 20.0;

    private const LOOK_US = 20_000;

    /** Of the processor's time. */
    private const BUDGET_S = 20;

    /** After this a slot that was never given back is free again. */
    private const AT_MOST_S = 60;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User || ! function_exists('apcu_enabled') || ! apcu_enabled()) {
            return $next($request);
        }
        $slot = self::take($user->id);
        abort_if($slot === null, 429, 'Too much is being worked out for you at once; ask again in a moment.', ['Retry-After' => '2']);

        return TimeBudget::within(self::BUDGET_S, static fn (): Response => $next($request), static fn () => apcu_delete($slot));
    }

    private static function take(int $person): ?string
    {
        $slot = self::free("slot-$person", self::SLOTS);
        if ($slot !== null) {
            return $slot;
        }
        $place = self::free("waits-$person", self::WAITING);
        if ($place === null) {
            return null;
        }
        $until = microtime(true) + self::PATIENCE_S;
        do {
            usleep(self::LOOK_US);
            $slot = self::free("slot-$person", self::SLOTS);
        } while ($slot === null && microtime(true) < $until);
        apcu_delete($place);

        return $slot;
    }

    private static function free(string $name, int $most): ?string
    {
        for ($i = 0; $i < $most; $i++) {
            if (apcu_add("$name-$i", 1, self::AT_MOST_S) === true) {
                return "$name-$i";
            }
        }

        return null;
    }
}
