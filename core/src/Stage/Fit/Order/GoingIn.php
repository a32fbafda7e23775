<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;

/** In which order the runs go in, how each gets past those that are there, and which has to wait for which. */
final readonly class GoingIn
{
    /** @param  list<string>  $letters  of the runs, as they go in */
    public function __construct(public array $letters, private ?Insertion $insertion) {}

    /** How a run gets past those that are there already; '' where that is not known. */
    public function how(string $letter): string
    {
        foreach ($this->insertion->order ?? [] as $place => $step) {
            if ($step->tube === $letter) {
                return sprintf('Run %s goes in %s, %s. ', $letter, $this->place($place), self::way($step));
            }
        }

        return '';
    }

    /**
     * Earlier runs that a run has to wait for. One that comes out with all others in place can go in at any time.
     *
     * @return array<string, array{string, string}> by their letters: why, and what goes wrong otherwise
     */
    public function waits(string $letter): array
    {
        $number = (int) array_search($letter, $this->letters, true);
        $before = $this->letters[$number - 1] ?? null;
        if ($before === null) {
            return [];
        }
        if ($this->insertion === null) {
            return [$before => [
                "Run $before goes in first.",
                "Run $before may not get past it any more: it is not worked out yet.",
            ]];
        }
        $waits = [];
        foreach ($this->insertion->alone as $stuck) {
            $at = array_search($stuck->tube, $this->letters, true);
            if (! is_int($at) || $at >= $number || $stuck->by === []) {
                continue;
            }
            $later = array_intersect($stuck->by, array_slice($this->letters, $at + 1));
            if (in_array($letter, $later, true) || ($later === [] && $at === $number - 1)) {
                $waits[$stuck->tube] = [
                    "With the others in place run $stuck->tube goes neither in nor out; most in its way: ".self::named($stuck).'.',
                    "Run $stuck->tube does not get past those that stand there.",
                ];
            }
        }

        return $waits;
    }

    private function place(int $place): string
    {
        return match (true) {
            $place === 0 => 'first',
            $place === count($this->letters) - 1 => 'last',
            default => 'after '.implode(', ', array_slice($this->letters, 0, $place)),
        };
    }

    private static function way(Step $step): string
    {
        return $step->along->value.
            ($step->tip === null ? '' : sprintf(', tipped by %.0f° on the way', $step->tip->deg));
    }

    private static function named(Stuck $stuck): string
    {
        return implode(', ', $stuck->by);
    }
}
