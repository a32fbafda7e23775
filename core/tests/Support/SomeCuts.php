<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Exchange\Files\CutAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CutProblemReader;
use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;
use UpsweptBead\Core\Solve\Nest\Search\CutAnswer;
use UpsweptBead\Core\Solve\Nest\Search\CutSolver;

/** Cut problems: those of the files beside the tests, and others that are made for a kind and a seed. */
final class SomeCuts
{
    /** @return array<string, mixed> */
    public static function document(string $name): array
    {
        $document = json_decode((string) file_get_contents(dirname(__DIR__)."/problems/cut/$name.json"), true);

        return is_array($document) ? $document : [];
    }

    /**
     * @param  list<array{string, int}>  $kinds  with their seeds
     * @return list<array<string, mixed>>
     */
    public static function made(array $kinds): array
    {
        /** @var list<array<string, mixed>> */
        return NodeReference::ask('cut-cases.mjs', $kinds);
    }

    /** @param  array<string, mixed>  $document */
    public static function problem(array $document): CutProblem
    {
        $problem = CutProblemReader::read(json_encode($document, JSON_THROW_ON_ERROR));

        return $problem instanceof CutProblem ? $problem : throw new \RuntimeException($problem[0]->message);
    }

    /**
     * Solved by a clock that only runs when it is looked at, so that the work is the same on every machine.
     *
     * @param  array<string, mixed>  $document
     * @param  int  $tries  about as many tries at something better
     */
    public static function solve(array $document, int $tries, int $seed = 1): CutAnswer
    {
        $ticks = 0;
        $solver = new CutSolver(self::problem($document), $seed, static function () use (&$ticks): float {
            return (float) ++$ticks;
        });

        return $solver->solve(2.0 * $tries);
    }

    /**
     * What the judge, which shares nothing with the solver, says of answers.
     *
     * @param  list<array{array<string, mixed>, CutAnswer}>  $answers
     * @return list<array{faults: list<string>, joints: int, cuts: int, cost: float}>
     */
    public static function judged(array $answers): array
    {
        /** @var list<array{faults: list<string>, joints: int, cuts: int, cost: float}> */
        return NodeReference::ask('cut-judge.mjs', array_map(static fn (array $one): array => [
            'problem' => $one[0],
            'answer' => CutAnswerWriter::toArray('', $one[1]),
        ], $answers));
    }
}
