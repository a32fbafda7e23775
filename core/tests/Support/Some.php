<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;

/** Things tests need some of: seeded runs and frames, the example job, requests. */
final class Some
{
    public static function dice(int $seed): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar($seed));
    }

    public static function between(Randomizer $dice, float $least, float $most): float
    {
        return $least + (($most - $least) * $dice->getInt(0, 1_000_000)) / 1e6;
    }

    public static function vector(Randomizer $dice, float $size): Vector
    {
        return new Vector(
            self::between($dice, -$size, $size),
            self::between($dice, -$size, $size),
            self::between($dice, -$size, $size),
        );
    }

    public static function frame(Randomizer $dice): Frame
    {
        return Frame::facing(
            self::vector($dice, 500),
            self::vector($dice, 1)->plus(new Vector(1.1, 0, 0)),
            self::vector($dice, 1),
        );
    }

    public static function run(Randomizer $dice, int $bends): TubeRun
    {
        $rows = [];
        for ($i = 0; $i < $bends; $i++) {
            $rows[] = new Bend(
                self::between($dice, 5, 200),
                self::between($dice, -179, 179),
                self::between($dice, 5, 170),
                self::between($dice, 30, 150),
            );
        }

        return new TubeRun(self::frame($dice), $rows, self::between($dice, 5, 200));
    }

    public static function exampleJson(): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2).'/data/example-job.json');
    }

    public static function job(): Job
    {
        return JobReader::fromJson(self::exampleJson())->job ??
            throw new \LogicException('The example job has problems.');
    }

    /** A bare shop that remembers what any test worked out, as the web workers do. */
    public static function shop(): Shop
    {
        /** @var ?KeptMemo $memo */
        static $memo = null;
        $memo ??= new KeptMemo;

        return Shop::bare()->withMemo($memo);
    }

    /** The example job with the best route taken. */
    public static function routedJob(?Shop $shop = null): Job
    {
        /** @var ?Job $usual */
        static $usual = null;
        if ($shop === null && $usual !== null) {
            return $usual;
        }
        $answers = Planner::route(self::job(), 'A', $shop ?? self::shop());
        $routed = self::job()->routed('A', RouteChoice::of($answers->answers[0]->run));
        if ($shop === null) {
            $usual = $routed;
        }

        return $routed;
    }

    public static function plan(?Shop $shop = null): Plan
    {
        return Planner::plan(self::routedJob($shop), $shop ?? self::shop());
    }

    /** @return array<string, mixed> the example document, decoded, for tests that break it */
    public static function document(): array
    {
        $document = json_decode(self::exampleJson(), true);

        return is_array($document) ? $document : [];
    }

    public static function request(Frame $start, Frame $end, RoutingLimits $rules = new RoutingLimits()): RouteRequest
    {
        return new RouteRequest($start, $end, Catalogue::shipped()->bendsFor('T3.000x.065'), $rules);
    }
}
