<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Http\Request;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Assert;
use UpsweptBead\Core\Tests\Support\Schemas;

/** Holds every answer that a feature test gets, whatever it is about, to the schema the front end expects of it. */
trait KeepsToSchemas
{
    /** What each address answers, by its route. */
    private const ANSWERS = [
        'POST jobs' => 'Begun',
        'POST small' => 'Begun',
        'POST small/card' => 'SmallCard',
        'PUT jobs/{job}/draft' => 'Saved',
        'POST jobs/{job}/preview' => 'Preview',
        'POST jobs/{job}/why' => 'Why',
        'POST jobs/{job}/hand' => 'ByHand',
        'POST jobs/{job}/routes' => 'Ways',
        'POST jobs/{job}/searches' => 'RouteSearch',
        'GET jobs/{job}/searches/{search}' => 'RouteSearch',
        'POST jobs/{job}/searches/{search}/stop' => 'RouteSearch',
        'POST jobs/{job}/searches/{search}/put-away' => 'RouteSearch',
        'POST jobs/{job}/designs/compare' => 'ComparisonTable',
        'POST jobs/{job}/cuts/least' => 'LessStock',
        'POST jobs/{job}/cuts/joint' => 'LessStock',
        'POST jobs/{job}/fit/measured' => 'FitUp',
        'POST jobs/{job}/fit/as-built' => 'AsBuilt',
        'POST jobs/{job}/fit/closing-piece' => 'ClosingPiece',
        'GET jobs/{job}/cutting' => 'Cutting',
        'POST jobs/{job}/cutting' => 'Cutting',
        'POST jobs/{job}/promises' => 'Cutting',
        'GET jobs/{job}/beside' => 'OtherJobs',
        'GET jobs/{job}/beside/{other}' => 'Beside',
        'PUT shop' => 'ShopChanged',
        'PUT bottles' => 'Bottles',
        'POST bottles' => 'Bottles',
        'DELETE bottles' => 'Bottles',
        'POST stores/items' => 'ItemChanged',
        'PUT stores/items/{item}' => 'ItemChanged',
        'GET stores/items/{item}/entries' => 'StoreEntries',
        'POST stores/items/{item}/entries' => 'ItemChanged',
        'POST stores/counts' => 'Stocktaken',
        'POST jobs/{job}/designs/take' => 'Changed',
        'POST jobs/{job}/insertion' => 'GoesIn',
        'GET jobs/{job}/look-over' => 'LookOver',
        'POST jobs/{job}/release' => 'Released',
        'POST jobs/{job}/revise' => 'Released',
        'POST jobs/{job}/log' => 'Logged',
        'GET jobs/{job}/log' => 'LogPage',
        'GET jobs/{job}/standing' => 'Standing',
        'POST jobs/{job}/flatness' => 'FlatnessMap',
        'GET jobs/{job}/quote' => 'JobQuote',
        'GET jobs/{job}/record.json' => 'RecordFile',
        'GET jobs/{job}/devices' => 'Devices',
        'GET jobs/{job}/links' => 'CustomerLinks',
        'POST jobs/{job}/links' => 'CustomerLinks',
        'DELETE jobs/{job}/links/{link}' => 'CustomerLinks',
        'GET jobs/{job}/traces' => 'Traces',
        'GET jobs/{job}/photos' => 'Photos',
        'POST jobs/{job}/photos' => 'Photos',
        'DELETE jobs/{job}/photos/{photo}' => 'Photos',
        'GET session' => 'Session',
        'POST sign-in' => 'Session',
        'POST jobs/{job}/paste' => 'Pasted',
        'POST jobs/{job}/read-routes' => 'RoutesRead',
        'POST jobs/{job}/meshes' => 'ImportedMesh',
        'POST jobs/{job}/intake' => 'IntakeAnswer',
        'POST jobs/{job}/intake/quote' => 'IntakeQuote',
        'POST jobs/{job}/intake/layout' => 'Changed',
        'POST jobs/{job}/scan/fit' => 'ScanFit',
        'POST jobs/{job}/scan/place' => 'ScanPlaced',
        'POST jobs/{job}/scan/cut' => 'ScanCut',
        'POST jobs/{job}/survey/kits' => 'Kits',
        'POST jobs/{job}/survey/kit' => 'KitMade',
        'POST jobs/{job}/survey/touched' => 'Touched',
        'POST jobs/{job}/survey/row' => 'Changed',
        'POST jobs/{job}/survey/mirror' => 'Changed',
        'POST jobs/{job}/survey/collector' => 'Changed',
        'POST jobs/{job}/survey/scrolls' => 'Changed',
        'POST jobs/{job}/survey/flange' => 'Changed',
        'GET jobs/{job}/job.json' => 'JobDocument',
        'GET jobs/{job}/route-problem.json' => 'RouteProblem',
    ];

    private const SCREENS = ['job/job' => 'JobScreen', 'rack/rack' => 'Rack', 'stores/stores' => 'StoresScreen', 'shop/shop' => 'ShopScreen'];

    protected function createTestResponse($response, $request): TestResponse
    {
        $made = parent::createTestResponse($response, $request);
        $route = $request->route();
        // What is stored may be anything: it is given out for when it cannot be read.
        $isStored = is_object($route) && $route->uri() === 'jobs/{job}/stored.json';
        if (! $isStored && str_starts_with((string) $made->headers->get('Content-Type'), 'application/json')) {
            self::keepsTo(self::expected($made, $request), json_decode((string) $made->getContent()));
        } elseif (str_contains((string) $made->getContent(), 'data-page=')) {
            $pattern = '/data-page="app" type="application\/json">(.*?)<\/script>/s';
            $isFound = preg_match($pattern, (string) $made->getContent(), $found);
            Assert::assertSame(1, $isFound, 'What the page is told was not found.');
            $page = json_decode($found[1], false, 512, JSON_THROW_ON_ERROR);
            $name = self::SCREENS[$page->component] ?? null;
            if ($name !== null) {
                self::keepsTo(
                    $name,
                    array_diff_key((array) $page->props, ['errors' => 0, 'person' => 0, 'currency' => 0, 'flash' => 0]),
                );
                self::keepsTo('Person', $page->props->person);
                Assert::assertIsString($page->props->currency);
            }
        }

        return $made;
    }

    private static function expected(TestResponse $made, Request $request): string
    {
        if (! $made->isSuccessful()) {
            return $made->getStatusCode() === 409 && $made->json('latest') !== null ? 'Stale' : 'Refusal';
        }
        $route = $request->route();
        $key = $request->method().' '.(is_object($route) ? $route->uri() : '');

        return self::ANSWERS[$key] ?? throw new \LogicException("No schema is named for the answer of $key.");
    }

    private static function keepsTo(string $name, mixed $answer): void
    {
        Assert::assertSame('', Schemas::wrong($answer, $name), "The answer is no $name.");
    }
}
