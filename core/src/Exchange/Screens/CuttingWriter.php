<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Leftover;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\Rescue;
use UpsweptBead\Core\Stage\Cut\SawSetUp;
use UpsweptBead\Core\Stage\Cut\WrongLength;

/** Writes what is done at the saw: which stock is opened, in which order pieces are cut, what is left. */
final readonly class CuttingWriter
{
    private FigureWriter $figures;

    public function __construct(UnitSystem $units, private Shop $shop)
    {
        $this->figures = new FigureWriter($units);
    }

    /** @return list<array<string, mixed>> */
    public function setUps(CutPlan $cut): array
    {
        return array_map(fn (SawSetUp $one): array => [
            'tube' => $one->tubeId,
            'name' => $this->shop->catalogue->tube($one->tubeId)->name,
            'clr' => $one->clrMm > 0.0 ? $this->figures->length($one->clrMm) : null,
            'marks' => array_map(static fn (Piece $piece): string => $piece->mark, $one->pieces),
            'stops' => $one->stops,
        ], SawSetUp::all($cut));
    }

    /** @return array<string, mixed> */
    public function opened(OpenedStock $one): array
    {
        return [
            'key' => $one->key(),
            'stock' => $one->stockId,
            'marks' => array_map(static fn (Piece $piece): string => $piece->mark, $one->pieces),
            'cuts' => $one->cuts(),
            'left' => array_map(fn (Leftover $left): array => [
                'text' => $this->left($left),
                'kept' => $left->isWorthKeeping($this->shop->rules),
            ], $one->left),
        ];
    }

    /** A leftover in a few words: its straight, its bend, its straight. */
    public function left(Leftover $left): string
    {
        return self::shape($left->beforeMm, $left->angleDeg, $left->afterMm, $this->figures->units);
    }

    public static function shape(float $beforeMm, float $angleDeg, float $afterMm, UnitSystem $units): string
    {
        $parts = [];
        $links = [[$beforeMm, Quantity::Length], [$angleDeg, Quantity::Angle], [$afterMm, Quantity::Length]];
        foreach ($links as [$much, $of]) {
            if ($much > 0.05) {
                $parts[] = $of->show($much, $units);
            }
        }

        return implode(' + ', $parts);
    }

    /** @return array{mark: string, off: string, farEnd: string, rescues: list<string>} */
    public function wrong(WrongLength $wrong): array
    {
        $length = fn (float $mm): string => Quantity::Length->read($mm, $this->figures->units);
        [$short, $aside] = $wrong->farEndMm;
        $off = $length(abs($wrong->offMm)).($wrong->offMm > 0.0 ? ' too long' : ' too short');

        return [
            'mark' => $wrong->piece->mark,
            'off' => $off,
            'farEnd' => match (true) {
                $wrong->missingMm <= 0.0 && $wrong->offMm < 0.0 => sprintf(
                    'The far end stays where it is: %s of the extra length is left for the trial fit.',
                    $length($wrong->keptMm),
                ),
                $wrong->missingMm <= 0.0 => 'The far end stays where it is once that is sawn off.',
                default => sprintf(
                    'Welded as it is, the far end of run %s would lie %s %s along its axis and %s off it.',
                    $wrong->piece->run,
                    $length(abs($short)),
                    $short >= 0.0 ? 'short' : 'too far',
                    $length($aside),
                ),
            },
            'rescues' => array_map(fn (Rescue $one): string => $one->text($this->figures->units), $wrong->rescues),
        ];
    }
}
