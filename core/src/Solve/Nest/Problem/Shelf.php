<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

use UpsweptBead\Core\Base\Document\Refusal;

/** Whether a shelf from which nothing more can be bought is enough, counted so that too little is certain. */
final readonly class Shelf
{
    private const WITHIN = 0.05;

    private function __construct(private CutProblem $problem, private string $tube) {}

    /** @return list<Refusal> what is lacking, as pieces, degrees and mm; empty if nothing is known to be */
    public static function lacking(CutProblem $problem, string $tube): array
    {
        $self = new self($problem, $tube);

        return [...$self->bends(), ...$self->length()];
    }

    /**
     * Bends of each radius: as pieces, of which only so many fit into one of stock, and as degrees with their kerfs.
     *
     * @return list<Refusal>
     */
    private function bends(): array
    {
        $found = [];
        $byRadius = [];
        foreach ($this->runs() as $run) {
            foreach ($run->chain->bends() as ['link' => $bend]) {
                $byRadius[(string) $bend->clrMm][] = $bend->angleDeg;
            }
        }
        foreach ($byRadius as $radius => $angles) {
            $clrMm = (float) $radius;
            $kerfDeg = rad2deg($this->problem->rules->kerfMm / $clrMm);
            $stock = array_filter(
                $this->problem->stockOf($this->tube),
                static fn (StockItem $item): bool => $item->arc()?->hasRadius($clrMm) ?? false,
            );
            foreach (array_unique($angles) as $least) {
                $wanted = count(array_filter($angles, static fn (float $angle): bool => $angle >= $least));
                foreach ($stock as $item) {
                    $each = floor($this->roomDeg($item, $kerfDeg) / ($least + $kerfDeg) + 1e-6);
                    $wanted -= $each > 0.0 ? ($item->count ?? INF) * $each : 0.0;
                }
                if ($wanted > 0.0) {
                    $found[] = $this->tooLittle(
                        sprintf('bends on %s mm for those of %s degrees and more', $radius, $least),
                        $wanted,
                    );
                    break;
                }
            }
            $lacking = array_sum($angles) + count($angles) * $kerfDeg;
            foreach ($stock as $item) {
                $lacking -= ($item->count ?? INF) * $this->roomDeg($item, $kerfDeg);
            }
            if ($lacking > self::WITHIN) {
                $found[] = $this->tooLittle("degrees on $radius mm, kerfs counted", $lacking);
            }
        }

        return $found;
    }

    /** What bends with a kerf each can take up of one; a ring has a kerf for every piece. */
    private function roomDeg(StockItem $item, float $kerfDeg): float
    {
        return ($item->arc()->angleDeg ?? 0.0) + ($item->kind === StockKind::Donut ? 0.0 : $kerfDeg);
    }

    private function tooLittle(string $ofWhat, float $by): Refusal
    {
        return new Refusal("the shelf has too little of tube $this->tube: $ofWhat", 'stock', $by);
    }

    /** @return list<Refusal> the length along the centreline, with the extra length of every end there has to be */
    private function length(): array
    {
        $rules = $this->problem->rules;
        $lacking = 0.0;
        foreach ($this->runs() as $run) {
            $joints = max(count($run->chain->bends()) - 1, count(array_unique($run->joints)), 0);
            $lacking += $run->chain->lengthMm + $run->firstLongMm + $run->lastLongMm + $joints * $rules->longMm();
        }
        foreach ($this->problem->stockOf($this->tube) as $item) {
            $lacking -= $item->usableMm() > 0.0 ? ($item->count ?? INF) * $item->usableMm() : 0.0;
        }

        return $lacking > self::WITHIN
            ? [$this->tooLittle('mm along the centreline, extra length counted', $lacking)]
            : [];
    }

    /** @return list<CutRun> */
    private function runs(): array
    {
        return array_values(array_filter(
            $this->problem->runs,
            fn (CutRun $run): bool => $run->tube === $this->tube,
        ));
    }
}
