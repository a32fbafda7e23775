<?php

declare(strict_types=1);

use App\Http\DatabaseAway;
use App\Http\Middleware\BoundBodies;
use App\Http\Middleware\ContentSecurity;
use App\Http\Middleware\FewAtATime;
use App\Http\Middleware\OneAtATime;
use App\Http\Middleware\PlainFields;
use App\Http\Middleware\RefuseBrokenText;
use App\Http\Middleware\ShareWithPages;
use App\Http\TookTooLong;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Symfony\Component\ErrorHandler\Error\FatalError;
use Symfony\Component\HttpFoundation\Response;

// Everything that a run writes lies in var/, beside the database cluster; the source tree is never written to.
$var = dirname(__DIR__).'/var';
foreach (['packages', 'services', 'config', 'routes', 'events'] as $cache) {
    $_ENV['APP_'.strtoupper($cache).'_CACHE'] ??= "$var/bootstrap/$cache.php";
}

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(append: [PlainFields::class, ShareWithPages::class]);
        // Also for what never reaches a page, such as an address that is none.
        $middleware->prepend([ContentSecurity::class, BoundBodies::class, RefuseBrokenText::class]);
        // A proxy on this machine may say that it speaks TLS to the browser; nobody may say that we are another host.
        $middleware->trustProxies(at: ['127.0.0.1', '::1'], headers: Request::HEADER_X_FORWARDED_PROTO);
        $middleware->trustHosts(at: static fn (): array => [
            '^(127\.0\.0\.1|localhost|\[::1\])$',
            '^'.preg_quote((string) parse_url(config()->string('app.url'), PHP_URL_HOST)).'$',
        ], subdomains: false);
        // What takes seconds; the web server has workers of its own for it.
        $middleware->group('heavy', ['throttle:heavy', OneAtATime::class]);
        // What may have to plan; it has workers beside those of the pages.
        $middleware->group('plans', [FewAtATime::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
        // Texts reach the core as they were written; it trims what it reads.
        $middleware->convertEmptyStringsToNull(except: [static fn (Request $request): bool => $request->is('jobs/*')]);
        $middleware->trimStrings(except: [static fn (Request $request): bool => $request->is('jobs/*')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // A database that is away comes back by itself; what a page or a tablet holds is sent again then.
        $exceptions->map(static fn (PDOException $error): Throwable => DatabaseAway::is($error)
            ? new DatabaseAway($error)
            : $error);
        $exceptions->map(static fn (FatalError $error): Throwable => TookTooLong::is($error)
            ? new TookTooLong($error)
            : $error);
        $exceptions->dontReportDuplicates();
        $exceptions->respond(function (Response $response, Throwable $error, Request $request): Response {
            $status = $response->getStatusCode();
            $isPage = ! $request->expectsJson() && in_array($status, [403, 404, 409, 419, 429, 500, 503], true);
            if (! $isPage || (config('app.debug') === true && $status === 500)) {
                return $response;
            }

            // Where it says when to ask again, the page does that by itself.
            $again = $response->headers->get('Retry-After');
            $props = ['status' => $status, 'againS' => is_numeric($again) ? (int) $again : null];

            return Inertia::render('failure', $props)->toResponse($request)->setStatusCode($status);
        });
    })
    ->create();

$app->useStoragePath("$var/storage");
$app->useEnvironmentPath($var);
$app->loadEnvironmentFrom('app.env');

return $app;
