<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Solve\Run\TubeRun;

/** A whole design that a search found, apart from the problem it answers: it can be stored and read again. */
final readonly class FoundDesign
{
    private const MOST_RUNS = 32;

    /** Two ways that lie no further apart than this are one; our own figure. */
    public const ALIKE_MM = 6.0;

    /** Points along a run at which two ways are held against each other. */
    private const STEPS = 24;

    /**
     * @param  int  $seed  of the search that found it
     * @param  float  $objective  of the route problem's format; lower is better
     * @param  float  $foundS  seconds into the search
     * @param  int  $oddAngles  bends off the grid
     * @param  list<FoundRun>  $runs  in the order of the ports
     */
    public function __construct(
        public int $seed,
        public float $objective,
        public float $foundS,
        public int $oddAngles,
        public array $runs,
    ) {}

    /** @throws \LogicException if the answer is none */
    public static function of(SetAnswer $answer, int $seed): self
    {
        if ($answer->status !== SetStatus::Solved) {
            throw new \LogicException("A search that ended {$answer->status->value} found no design.");
        }

        return new self(
            $seed,
            $answer->objective,
            $answer->bestSeconds,
            array_sum(array_map(static fn (Way $way): int => $way->odd, $answer->ways)),
            array_map(FoundRun::of(...), $answer->ways),
        );
    }

    public function bends(): int
    {
        return array_sum(array_map(static fn (FoundRun $one): int => count($one->run->bends), $this->runs));
    }

    /** @return array<string, float> how far each run lies from that of another design at most, mm, by the run's letter */
    public function apartMm(self $other): array
    {
        $theirs = array_column($other->runs, null, 'port');
        $apart = [];
        foreach ($this->runs as $one) {
            $beside = $theirs[$one->port] ?? null;
            $apart[$one->port] = $beside === null ? INF : self::mostApartMm($one->run, $beside->run);
        }

        return $apart;
    }

    /** Whether nobody could tell it from another: the same inlets, and every run in the same place. */
    public function isLike(self $other): bool
    {
        return array_column($this->runs, 'inlet', 'port') === array_column($other->runs, 'inlet', 'port')
            && max([0.0, ...array_values($this->apartMm($other))]) < self::ALIKE_MM;
    }

    /** Both are walked in equal parts of their length. */
    private static function mostApartMm(TubeRun $one, TubeRun $other): float
    {
        $most = 0.0;
        for ($i = 0; $i <= self::STEPS; $i++) {
            $share = $i / self::STEPS;
            $here = $one->frameAt($share * $one->lengthMm())->at;
            $most = max($most, $here->distanceTo($other->frameAt($share * $other->lengthMm())->at));
        }

        return $most;
    }

    /** @return list<float> by run, mm */
    public function lengthsMm(): array
    {
        return array_map(static fn (FoundRun $one): float => $one->run->lengthMm(), $this->runs);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'seed' => $this->seed,
            'objective' => $this->objective,
            'foundS' => $this->foundS,
            'oddAngles' => $this->oddAngles,
            'runs' => array_map(static fn (FoundRun $one): array => $one->toArray(), $this->runs),
        ];
    }

    public static function read(Node $node): self
    {
        return new self(
            (int) $node->at('seed')->number(),
            $node->at('objective')->number(),
            $node->at('foundS')->number(),
            (int) $node->at('oddAngles')->number(),
            array_map(FoundRun::read(...), $node->at('runs')->items(self::MOST_RUNS)),
        );
    }
}
