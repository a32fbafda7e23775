<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Work that takes seconds is done for a person one piece after the other, so that nobody keeps the others waiting. */
final readonly class OneAtATime
{
    /** Longer than any of it may take. */
    private const AT_MOST_S = 90;

    public function __construct(private Repository $cache) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $store = $this->cache->getStore();
        $user = $request->user();
        assert($store instanceof LockProvider && $user instanceof User);
        $lock = $store->lock("heavy-$user->id", self::AT_MOST_S);
        abort_unless($lock->get() === true, 429, 'This is still being worked out for you; ask again when it is done.');
        try {
            return $next($request);
        } finally {
            $lock->release();
        }
    }
}
