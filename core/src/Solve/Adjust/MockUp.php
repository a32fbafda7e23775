<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** A mock-up of modular blocks, read off as a run. */
final readonly class MockUp
{
    /** @param  Chain  $chain  as it is built up */
    private function __construct(public Chain $chain) {}

    /**
     * @param  list<array{straight?: int, clicks?: int, bend?: float}>  $blocks  in the order of flow
     * @param  float  $pitchMm  of one straight block
     * @param  float  $clickDeg  of one click
     */
    public static function of(array $blocks, float $pitchMm, float $clickDeg, float $clrMm): self
    {
        $bends = [];
        [$length, $turn] = [0.0, 0.0];
        foreach ($blocks as $block) {
            $length += ($block['straight'] ?? 0) * $pitchMm;
            $turn += ($block['clicks'] ?? 0) * $clickDeg;
            if (! isset($block['bend'])) {
                continue;
            }
            $last = count($bends) - 1;
            $rotation = Xyz::wrapped($turn);
            if ($last >= 0 && $length === 0.0 && abs($rotation) < 1e-9) {
                $bends[$last] = [...$bends[$last], 'angle' => $bends[$last]['angle'] + $block['bend']];
            } else {
                $bends[] = ['length' => $length, 'rotation' => $rotation, 'angle' => $block['bend'], 'clr' => $clrMm];
            }
            [$length, $turn] = [0.0, 0.0];
        }

        return new self(new Chain($bends, $length));
    }
}
