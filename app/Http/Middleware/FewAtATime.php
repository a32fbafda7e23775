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

    /** So long a request waits for a slot (s): a page asks for several things at once. */
    private const PATIENCE_S = 2.0;

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
        $free = static fn (): bool => apcu_delete($slot) === true;
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
        $until = microtime(true) + self::PATIENCE_S;
        do {
            for ($i = 0; $i < self::SLOTS; $i++) {
                if (apcu_add("slot-$person-$i", 1, self::AT_MOST_S) === true) {
                    return "slot-$person-$i";
                }
            }
            usleep(self::LOOK_US);
        } while (microtime(true) < $until);

        return null;
    }
}
