<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\OClock;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Solve\Run\ClosingPiece;
use UpsweptBead\Core\Solve\Run\StandingGap;

/** Writes the piece that closes a gap: what it is, how it is marked, how sure that is. */
final readonly class ClosingWriter
{
    /** Less off square than this is cut square, degrees. */
    private const SQUARE_DEG = 0.2;

    public function __construct(private FigureWriter $figures) {}

    /** @return array<string, mixed> */
    public function toArray(ClosingPiece $piece): array
    {
        return [
            'isBend' => $piece->donor !== null,
            'length' => $this->figures->length($piece->lengthMm()),
            'lines' => $piece->donor === null ? $this->straight($piece) : $this->bend($piece),
            'skin' => $piece->donor !== null ? [] : array_map(fn (array $one): array => [
                'hour' => OClock::of($one['deg']),
                'length' => $this->figures->length($one['mm']),
            ], $piece->skin()),
            'sure' => sprintf(
                'As it was read: ± %s in length, ± %s of the tilt.',
                $this->mm($piece->gap->lengthSdMm()),
                $this->deg($piece->gap->tiltSdDeg()),
            ),
            'quarrel' => $this->quarrel($piece->gap),
        ];
    }

    /** That one of the four readings must be wrong; '' where they agree. */
    public function quarrel(StandingGap $gap): string
    {
        return $gap->isAtOdds() ? sprintf(
            'The readings at 12 and 6 do not go with those at 3 and 9: %s apart in the middle. Take all four again.',
            $this->mm($gap->quarrelMm()),
        ) : '';
    }

    /** @return list<string> */
    private function straight(ClosingPiece $piece): array
    {
        $lines = ['A straight piece, '.$this->mm($piece->lengthMm()).' on its centreline.'];
        foreach (['Near' => $piece->nearMitreDeg(), 'Far' => $piece->farMitreDeg()] as $end => $deg) {
            $lines[] = $deg < self::SQUARE_DEG
                ? "$end end square."
                : "$end end {$this->deg($deg)} off square, {$this->mm($piece->gap->odMm * tan(deg2rad($deg)))} from side to side.";
        }

        return [...$lines, 'Mark the lengths below along its skin, join them round it, cut to the line.'];
    }

    /** @return list<string> */
    private function bend(ClosingPiece $piece): array
    {
        $donor = $piece->donor ?? throw new \LogicException('It is straight.');
        $lines = [
            sprintf(
                '%s out of a bend of %s on %s.',
                $this->deg($piece->gap->tiltDeg()),
                $this->deg($donor->angleDeg),
                $this->mm($donor->clrMm),
            ),
            sprintf(
                'Its inside %s clockwise from 12 looking with the flow, near %s o’clock.',
                $this->deg($piece->insideDeg()),
                OClock::of($piece->insideDeg()),
            ),
            "Straight before it {$this->mm($piece->beforeMm)}, behind it {$this->mm($piece->afterMm)}.",
        ];
        if (max($piece->beforeMm, $piece->afterMm) > $donor->longestLegMm()) {
            $lines[] = "The bend comes with a leg of {$this->mm($donor->longestLegMm())} at most: the rest is a straight piece of its own.";
        }

        return $lines;
    }

    private function mm(float $mm): string
    {
        return Quantity::Length->read($mm, $this->figures->units);
    }

    private function deg(float $deg): string
    {
        return Quantity::Angle->show($deg, $this->figures->units);
    }
}
