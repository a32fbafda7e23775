<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Work that takes seconds is done for a person one piece after the other and not for long, so that nobody keeps the
 * others waiting.
 */
final readonly class OneAtATime
{
    /** So much of a processor's time; the web server ends what takes longer by the clock. */
    private const BUDGET_S = 30;

    /** Longer than any of it may take. */
    private const AT_MOST_S = 150;

    public function __construct(private Repository $cache) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $store = $this->cache->getStore();
        $user = $request->user();
        assert($store instanceof LockProvider && $user instanceof User);
        $lock = $store->lock("heavy-$user->id", self::AT_MOST_S);
        abort_unless($lock->get() === true, 429, 'This is still being worked out for you; ask again when it is done.');
        // What runs out of time ends here and now, without coming back to where it was called from.
        register_shutdown_function($lock->release(...));
        $usual = (int) ini_get('max_execution_time');
        set_time_limit(self::BUDGET_S);
        try {
            return $next($request);
        } finally {
            set_time_limit($usual);
            $lock->release();
        }
    }
}
