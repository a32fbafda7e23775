<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointType;

/**
 * The order a single run is fitted and welded in.
 *
 * Fitted from the datum outwards, the closing piece last; fittings on the side first, while their inside is in reach.
 * Welded: bench joints between pieces first, every other one so that neighbours cool, then the ends, which wait for the
 * trial fit; a flange's inside seal before its outside fillet.
 */
final readonly class BuildOrder
{
    /**
     * @param  list<Joint>  $joints  in the order of flow
     * @return list<FitStep>
     */
    public static function fitting(array $joints): array
    {
        $steps = [];
        $bungs = array_filter($joints, static fn (Joint $joint): bool => $joint->type === JointType::Bung);
        $tube = array_filter($joints, static fn (Joint $joint): bool => $joint->type !== JointType::Bung && $joint->type !== JointType::FlangeFillet);
        $last = array_key_last($tube);
        foreach ($bungs as $joint) {
            $steps[] = new FitStep(count($steps) + 1, $joint->id, $joint->and, $joint->between, "Drilled and welded while $joint->between is still open at both ends: the root can be reached, dressed and looked at.");
        }
        foreach ($tube as $key => $joint) {
            $steps[] = new FitStep(count($steps) + 1, $joint->id, $joint->and, $joint->between, match (true) {
                $key === array_key_first($tube) && $joint->type === JointType::VBandButt => 'The datum: everything else is measured from it. The piece stays able to turn in the ring until the far end agrees.',
                $key === array_key_first($tube) => 'The datum: everything else is measured from it. Bevelled, faced and clean before it is fixed.',
                $key === $last => 'The closing joint: the last piece was cut long and is trimmed to meet the part here.',
                default => 'Built outwards from the datum, so that every error shows before the next piece is cut to its line.',
            });
        }

        return $steps;
    }

    /**
     * @param  list<Joint>  $joints  in the order of flow
     * @return list<array{joint: Joint, why: string}>
     */
    public static function welding(array $joints): array
    {
        $inner = array_values(array_filter($joints, static fn (Joint $joint): bool => $joint->type === JointType::Butt));
        $order = [];
        foreach ($joints as $joint) {
            if ($joint->type === JointType::Bung) {
                $order[] = ['joint' => $joint, 'why' => 'Before its piece is closed in.'];
            }
        }
        foreach ([0, 1] as $offset) {
            for ($i = $offset; $i < count($inner); $i += 2) {
                $order[] = ['joint' => $inner[$i], 'why' => count($inner) > 2 ? 'Every other joint, so that its neighbours can cool.' : 'Welded on the bench, in reach all round.'];
            }
        }
        foreach ([JointType::VBandButt, JointType::FlangeSeal, JointType::FlangeFillet] as $type) {
            foreach ($joints as $joint) {
                if ($joint->type === $type) {
                    $order[] = ['joint' => $joint, 'why' => match ($type) {
                        JointType::VBandButt => 'After the run has been proved on the vehicle; clamped to its mate so the ring stays round.',
                        JointType::FlangeSeal => 'The inside seal comes before the outside: little heat, no colour through.',
                        default => 'Last: it ties the run to its length.',
                    }];
                }
            }
        }

        return $order;
    }
}
