<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * An address or a form that is no UTF-8 is nothing that a person wrote; no page can show it and no table can keep it.
 */
final class RefuseBrokenText
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // A JSON body that is no UTF-8 is no JSON; its reader says so.
        foreach ([$request->query->all(), $request->request->all()] as $texts) {
            array_walk_recursive($texts, static function (mixed $text, int|string $key): void {
                $isWhole = mb_check_encoding((string) $key, 'UTF-8') && (! is_string($text) || mb_check_encoding($text, 'UTF-8'));
                abort_unless($isWhole, 400, 'The address holds signs that are no text.');
            });
        }

        return $next($request);
    }
}
