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
 * One person's requests that take seconds are worked on one at a time, and none for long: nobody keeps the others
 * waiting.
 */
final readonly class OneAtATime
{
    /** Of the processor's time; the web server ends what takes longer by the clock. */
    private const BUDGET_S = 30;

    /** After this a lock that was never given back is free again. */
    private const AT_MOST_S = 150;

    public function __construct(private Repository $cache) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $store = $this->cache->getStore();
        $user = $request->user();
        assert($store instanceof LockProvider && $user instanceof User);
        $lock = $store->lock("heavy-$user->id", self::AT_MOST_S);
        abort_unless($lock->get() === true, 429, 'This is still being worked out for you; ask again when it is done.');

        return TimeBudget::within(self::BUDGET_S, static fn (): Response => $next($request), $lock->release(...));
    }
}
