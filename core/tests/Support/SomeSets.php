<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Closure;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Files\RouteSolutionWriter;
use UpsweptBead\Core\Solve\Route\Problem\ObjectiveWeights;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;
use UpsweptBead\Core\Solve\Route\Search\Span;

/** Whole sets of tubes to route, from the problem files beside the tests. */
final class SomeSets
{
    public static function json(string $name): string
    {
        return (string) file_get_contents(dirname(__DIR__)."/problems/$name.json");
    }

    /** @return array<string, mixed> decoded, for tests that change it */
    public static function document(string $name): array
    {
        $document = json_decode(self::json($name), true);

        return is_array($document) ? $document : [];
    }

    /** @param  string|array<mixed>  $from  a name, or a decoded document */
    public static function problem(string|array $from): RouteProblem
    {
        $problem = RouteProblemReader::read(
            is_string($from) ? self::json($from) : json_encode($from, JSON_THROW_ON_ERROR),
        );

        return $problem instanceof RouteProblem
            ? $problem
            : throw new \LogicException($problem[0]->path.' '.$problem[0]->message);
    }

    /** A clock that ticks once each time it is read, so that a search does the same work on any machine. */
    public static function ticking(float $tick = 0.01): Closure
    {
        $time = 0.0;

        return static function () use (&$time, $tick): float {
            return $time += $tick;
        };
    }

    /** The same search is done once for all tests that ask for it: it always comes out the same. */
    public static function solve(RouteProblem $problem, float $ticks = 40, int $seed = 1): SetAnswer
    {
        static $solved = [];
        $key = md5(serialize([$problem, $ticks, $seed]));

        return $solved[$key] ??= self::solveAfresh($problem, $ticks, $seed);
    }

    public static function solveAfresh(RouteProblem $problem, float $ticks = 40, int $seed = 1): SetAnswer
    {
        return (new SetSolver($problem, $seed, self::ticking()))->solve($ticks / 100);
    }

    /** The same problem, with other things to count. */
    public static function weighing(RouteProblem $problem, ObjectiveWeights $weights): RouteProblem
    {
        $rules = $problem->rules;
        $own = new SetRules($rules->limits, $rules->maxBends, $rules->gapMm, $rules->clearanceMm, $weights);

        return new RouteProblem(
            $problem->name,
            $own,
            $problem->ports,
            $problem->collectors,
            $problem->keepOuts,
            $problem->lengths,
        );
    }

    /**
     * The same problem, turned and moved as a whole.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function moved(array $document, int $seed): array
    {
        $dice = Some::dice($seed);
        [$axis, $angle, $by] = [
            Some::vector($dice, 1)->unit(),
            Some::between($dice, 10, 170),
            Some::vector($dice, 500),
        ];
        $turn = static fn (array $xyz): Vector => (new Vector(...$xyz))->turnedAbout($axis, $angle);

        return self::carried(
            $document,
            static fn (array $xyz): array => $turn($xyz)->plus($by)->toArray(),
            static fn (array $xyz): array => $turn($xyz)->toArray(),
        );
    }

    /**
     * The same problem, seen in a mirror on the y–z plane.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function mirrored(array $document): array
    {
        $flip = static fn (array $xyz): array => [-$xyz[0], $xyz[1], $xyz[2]];

        return self::carried($document, $flip, $flip);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function carried(array $document, Closure $point, Closure $direction): array
    {
        $carry = static function (array &$one) use ($point, $direction): void {
            foreach (
                [
                    'at' => $point,
                    'point' => $point,
                    'centre' => $point,
                    'from' => $point,
                    'to' => $point,
                    'dir' => $direction,
                    'normal' => $direction,
                ] as $key => $how
            ) {
                if (isset($one[$key])) {
                    $one[$key] = $how($one[$key]);
                }
            }
        };
        array_walk($document['ports'], $carry);
        array_walk($document['keepouts'], $carry);
        foreach ($document['collectors'] as &$collector) {
            array_walk($collector['inlets'], $carry);
        }

        return $document;
    }

    public static function span(RouteProblem $problem, int $port = 0, int $inlet = 0, ?SetRules $rules = null): Span
    {
        $collector = $problem->collectors[0];

        return new Span(1, $problem->ports[$port], $collector->inlets[$inlet], $collector, $rules ?? $problem->rules);
    }

    /**
     * What the judge, which shares no geometry with the solver, says of an answer.
     *
     * @param  string|array<mixed>  $from
     * @return array{accepted: bool, failures: list<string>, objective: float, joints: int}
     */
    public static function judged(string|array $from, SetAnswer $answer): array
    {
        $folder = sys_get_temp_dir().'/bead-judge-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $document = is_string($from) ? self::document($from) : $from;
        file_put_contents("$folder/case.json", json_encode($document, JSON_THROW_ON_ERROR));
        file_put_contents(
            "$folder/answer.json",
            json_encode(RouteSolutionWriter::toArray(self::problem($from), $answer), JSON_THROW_ON_ERROR),
        );
        $said = shell_exec(
            sprintf(
                'cd %s && node core/tests/reference/judge.mjs %s %s',
                escapeshellarg(dirname(__DIR__, 3)),
                escapeshellarg("$folder/case.json"),
                escapeshellarg("$folder/answer.json"),
            ),
        );
        array_map(unlink(...), (array) glob("$folder/*.json"));
        rmdir($folder);
        $verdict = json_decode((string) $said, true);

        /** @var array{accepted: bool, failures: list<string>, objective: float, joints: int} */
        return is_array($verdict) ? $verdict : throw new \RuntimeException('The judge said nothing.');
    }
}
