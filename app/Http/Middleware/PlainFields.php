<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** Fields that are one text or number wherever they are asked for; a list in place of one is refused by name. */
final class PlainFields
{
    private const NAMES = [
        'after', 'before', 'by', 'days', 'device', 'email', 'find', 'format', 'from', 'gauge', 'id', 'item', 'joint', 'kind',
        'letter', 'name', 'of', 'page', 'paper', 'password', 'share', 'skip', 'step', 'unit', 'units', 'up', 'version',
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach (self::NAMES as $name) {
            if (is_array($request->input($name))) {
                throw ValidationException::withMessages([$name => 'must be one text, and no list']);
            }
        }

        return $next($request);
    }
}
