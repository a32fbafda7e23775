<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What may have to plan is done for a person a few pieces at a time, and none of it for long, so that one person with many
 * requests leaves workers to the others. The slots are kept in the memory that the workers of a machine share.
 */
final readonly class FewAtATime
{
    private const SLOTS = 3;

    /** So many more wait for one: a page asks for several things at once, and has tabs beside it. What comes on top is refused. */
    private const WAITING = 3;

    /** For so long (s). */
    private const PATIENCE_S = 20.0;

    private const LOOK_US = 20_000;

    /** So much of a processor's time. */
    private const BUDGET_S = 20;

    /** A slot that was never given back is free again after this. */
    private const AT_MOST_S = 60;

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User || ! function_exists('apcu_enabled') || ! apcu_enabled()) {
            return $next($request);
        }
        $slot = self::take($user->id);
        abort_if($slot === null, 429, 'Too much is being worked out for you at once; ask again in a moment.', ['Retry-After' => '2']);
        $isHeld = true;
        // Given back once: by the second time somebody else may have it.
        $free = static function () use ($slot, &$isHeld): void {
            if ($isHeld) {
                apcu_delete($slot);
                $isHeld = false;
            }
        };
        // What runs out of time ends here and now, without coming back to where it was called from.
        register_shutdown_function($free);
        $usual = (int) ini_get('max_execution_time');
        set_time_limit(self::BUDGET_S);
        try {
            return $next($request);
        } finally {
            set_time_limit($usual);
            $free();
        }
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
