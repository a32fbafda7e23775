<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A body is measured before anything reads it, by what is sent to its address: nobody who is not signed in sends more
 * than a form, and only photos and scans are large. The web server holds the same bounds; see bin/common.sh.
 */
final class BoundBodies
{
    private const KB = 1024;

    /** The first that fits counts, in kB; documents are read up to 2 000 000 bytes. */
    private const MOST_KB = [
        '#^jobs/\d+/(photos|meshes)$#' => 22 * self::KB,
        '#^jobs/\d+/log$#' => 4 * self::KB,
        '#^(jobs(/.*)?|stores/counts)$#' => 2200,
        '#^(shop|bottles|stores/.*|small(/.*)?)$#' => 256,
        '#^#' => 32,
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $bytes = (int) $request->server('CONTENT_LENGTH', '0');
        abort_if($bytes > self::KB * self::mostKb($request->path()), 413, 'This is larger than what is taken here.');

        return $next($request);
    }

    public static function mostKb(string $path): int
    {
        foreach (self::MOST_KB as $pattern => $kb) {
            if (preg_match($pattern, $path) === 1) {
                return $kb;
            }
        }

        return 0;
    }
}
