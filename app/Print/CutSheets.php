<?php

declare(strict_types=1);

namespace App\Print;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Drawing\PieceSvg;
use UpsweptBead\Core\Exchange\Drawing\SkinBack;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Plan\Sketch;

/** The cut list of a job on paper, in its units: every piece with its drawing and where to mark its cuts. */
final readonly class CutSheets
{
    private UnitSystem $units;

    private OnTape $tape;

    public function __construct(private Sketch $sketch)
    {
        $this->units = $sketch->job->units;
        $this->tape = $sketch->cut->onTape($this->units);
    }

    /** @return list<array{name: string, pieces: list<array<string, mixed>>}> collectors first, as they are made first */
    public function members(): array
    {
        $members = [];
        foreach ($this->sketch->layout->placement->collectors->all as $collector) {
            $members[] = $this->member($collector->spec->name, $collector->build->letter, $collector->tube());
        }
        foreach ($this->sketch->job->runs as $run) {
            $tube = $this->sketch->layout->tubes[$run->letter] ?? null;
            if ($tube !== null && ! $run->isThere) {
                $members[] = $this->member(trim("Run $run->letter $run->name"), $run->letter, $tube);
            }
        }

        return array_values(array_filter($members, static fn (array $one): bool => $one['pieces'] !== []));
    }

    /** @return array{name: string, pieces: list<array<string, mixed>>} */
    private function member(string $name, string $letter, TubeSize $tube): array
    {
        return [
            'name' => "$name, $tube->name",
            'pieces' => array_map(
                fn (Piece $piece): array => $this->piece($piece, $tube),
                $this->sketch->cut->piecesOf($letter),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece, TubeSize $tube): array
    {
        $cutMm = $piece->cutLengthMm();
        $turn = $piece->clocking;

        return [
            'mark' => $piece->mark,
            'from' => $piece->place === null ? $piece->stockId : "{$piece->place->stockId} no. {$piece->place->copy}",
            'cut' => Quantity::Length->read($this->tape->mm[$piece->mark] ?? $cutMm, $this->units),
            'exact' => Quantity::Length->show($cutMm, $this->units),
            'ends' => $this->length($piece->span->lengthMm()),
            'bend' => $piece->isBend() ? Quantity::Angle->read($piece->angleDeg, $this->units) : '',
            'turn' => $turn === null ? '' : sprintf(
                'Turn %s %s with the flow, %s round the outside, from %s.',
                Quantity::Angle->read(abs($turn->turnDeg), $this->units),
                $turn->way(),
                $this->length(abs($turn->aroundMm)),
                $piece->turnedFrom(),
            ),
            'preps' => "{$piece->startPrep->label()} / {$piece->endPrep->label()}",
            'marks' => array_map($this->mark(...), $piece->marks),
            'drawing' => Pdf::picture(
                PieceSvg::of($piece, SkinBack::of($this->sketch, $piece), $tube->odMm, $this->length(...)),
            ),
        ];
    }

    /** @return array{label: string, text: string} */
    private function mark(CutMark $mark): array
    {
        return ['label' => $mark->label, 'text' => match ($mark->kind) {
            MarkKind::Bend => sprintf(
                'outer %s, centre %s, inner %s',
                $this->length($mark->outerMm),
                $this->length($mark->centreMm),
                $this->length($mark->innerMm),
            ),
            MarkKind::Straight => "{$this->length($mark->centreMm)} all round",
            MarkKind::Opening => '0',
            default => '',
        }];
    }

    private function length(float $mm): string
    {
        return Quantity::Length->read($mm, $this->units);
    }
}
