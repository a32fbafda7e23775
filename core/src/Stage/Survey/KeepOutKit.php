<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Run\RunSpec;

/**
 * Ready shapes for the things that stand round an exhaust: from the few sizes a person measures on each kind to the
 * solid that no tube may come near. What can be told from the ports and inlets already surveyed is proposed from them.
 *
 * The sizes proposed are common practice; every one is asked for.
 */
final readonly class KeepOutKit
{
    private KeepOutMaker $maker;

    private function __construct(private Job $job)
    {
        $this->maker = new KeepOutMaker($job);
    }

    /**
     * The kinds there is a kit for, with what each asks.
     *
     * @return list<array{kind: KeepOutKind, says: string, fields: list<KitField>}>
     */
    public static function all(Job $job): array
    {
        $kit = new self($job);

        return array_map(
            static fn (KeepOutKind $kind): array => [
                'kind' => $kind,
                'says' => self::says($kind),
                'fields' => $kit->fields($kind),
            ],
            KeepOutKind::cases(),
        );
    }

    /** Makes the solid from what was asked; what is wrong is noted at the field. */
    public static function make(Job $job, KeepOutKind $kind, Node $answers): KeepOutSpec
    {
        $kit = new self($job);
        $answers->only(array_map(static fn (KitField $field): string => $field->key, $kit->fields($kind)));

        return $kit->solid($kind, new KitAnswers($answers, $job->units));
    }

    private static function says(KeepOutKind $kind): string
    {
        return match ($kind) {
            KeepOutKind::Block => 'Everything behind the face that the ports stand in.',
            KeepOutKind::Tyre => 'A box round the tyre at full lock each way, over its whole travel.',
            KeepOutKind::Ground => 'Everything below a level.',
            KeepOutKind::NutAndSocket => 'The nut and a socket on it, as far out as the socket needs to come straight off.',
            KeepOutKind::PlugAndSocket => 'The boot and the socket for the plug, along its axis.',
            KeepOutKind::OilDrain => 'The drain’s hose, straight down from the flange.',
            KeepOutKind::Collector => 'The body behind the inlets; tubes end in it, so their last stretch is not tested.',
            KeepOutKind::Steering, KeepOutKind::Line, KeepOutKind::Starter => 'A round bar from one end to the other.',
            default => 'A box by its middle and its edges.',
        };
    }

    /** @return list<KitField> */
    private function fields(KeepOutKind $kind): array
    {
        $near = $this->maker->ports();

        return match ($kind) {
            KeepOutKind::Block => [],
            KeepOutKind::Collector => [KitField::length('length', 'Length of the body', 150)],
            KeepOutKind::Ground => [
                KitField::length('level', 'Level of the ground, up from the datum', $near->z - 500),
            ],
            KeepOutKind::Tyre => [
                KitField::point(
                    'at',
                    'Middle of the wheel, straight ahead',
                    $near->plus(new Vector(-300, 300, -300)),
                ),
                KitField::length('diameter', 'Diameter of the tyre', 600),
                KitField::length('width', 'Width', 205),
                KitField::angle('lock', 'Lock each way', 35),
                KitField::length('bump', 'Travel up', 80),
                KitField::length('droop', 'Travel down', 80),
            ],
            KeepOutKind::NutAndSocket => [
                KitField::point('at', 'Face the nut sits on', $near),
                KitField::direction('out', 'The socket comes off along', $this->maker->outward()),
                KitField::length('flats', 'Across the flats', 13),
                KitField::length('straight', 'Straight room', 60),
            ],
            KeepOutKind::PlugAndSocket => [
                KitField::point('at', 'Seat of the plug', $near),
                KitField::direction('out', 'The plug comes out along', $this->maker->outward()),
                KitField::length('diameter', 'Over the boot or the socket', 25),
                KitField::length('straight', 'Straight room', 150),
            ],
            KeepOutKind::OilDrain => [
                KitField::point('at', 'Flange of the drain', $near),
                KitField::length('diameter', 'Over the hose', 25),
                KitField::length('length', 'Down to', 200),
            ],
            KeepOutKind::Steering, KeepOutKind::Line, KeepOutKind::Starter => [
                KitField::point('at', 'One end', $near->plus(new Vector(0, 200, -150))),
                KitField::point('to', 'Other end', $near->plus(new Vector(300, 200, -200))),
                KitField::length(
                    'diameter',
                    'Diameter',
                    match ($kind) {
                        KeepOutKind::Steering => 19.05,
                        KeepOutKind::Starter => 90,
                        default => 10,
                    },
                ),
            ],
            default => [
                KitField::point('at', 'Its middle', $near->plus(new Vector(150, 300, -250))),
                KitField::direction('along', 'Its length runs', new Vector(1, 0, 0)),
                KitField::length('length', 'Length', 600),
                KitField::length('across', 'Across', 60),
                KitField::length('high', 'High', 60),
            ],
        };
    }

    private function solid(KeepOutKind $kind, KitAnswers $answers): KeepOutSpec
    {
        switch ($kind) {
            case KeepOutKind::Block:
                $deepest = $this->maker->outward();
                $points = array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, $this->job->runs);
                usort($points, static fn (Vector $a, Vector $b): int => $b->dot($deepest) <=> $a->dot($deepest));

                return $this->maker->spec(
                    $kind,
                    KeepOutShape::HalfSpace,
                    $points[0] ?? new Vector(0, 0, 0),
                    direction: $deepest,
                );
            case KeepOutKind::Ground:
                return $this->maker->spec(
                    $kind,
                    KeepOutShape::HalfSpace,
                    new Vector(0, 0, $answers->length('level')),
                    direction: new Vector(0, 0, 1),
                );
            case KeepOutKind::Collector:
                [$at, $axis, $radius] = $this->inlets();

                return $this->maker->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $at,
                    to: $at->plus($axis->times($answers->positive('length'))),
                    radiusMm: $radius,
                );
            case KeepOutKind::Tyre:
                return $this->tyre($answers);
            case KeepOutKind::NutAndSocket:
                // Across the corners of a hexagon.
                $radius = $answers->positive('flats') / sqrt(3);

                return $this->maker->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers
                        ->point('at')
                        ->plus($answers->direction('out')->times($answers->positive('straight'))),
                    radiusMm: $radius,
                );
            case KeepOutKind::PlugAndSocket:
                return $this->maker->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers
                        ->point('at')
                        ->plus($answers->direction('out')->times($answers->positive('straight'))),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            case KeepOutKind::OilDrain:
                return $this->maker->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers->point('at')->plus(new Vector(0, 0, -$answers->positive('length'))),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            case KeepOutKind::Steering:
            case KeepOutKind::Line:
            case KeepOutKind::Starter:
                return $this->maker->spec(
                    $kind,
                    $kind === KeepOutKind::Starter ? KeepOutShape::Cylinder : KeepOutShape::Capsule,
                    $answers->point('at'),
                    to: $answers->other('to', 'at'),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            default:
                return $this->maker->spec(
                    $kind,
                    KeepOutShape::Box,
                    $answers->point('at'),
                    direction: $answers->direction('along'),
                    sizeMm: [$answers->positive('length'), $answers->positive('across'), $answers->positive('high')],
                );
        }
    }

    /**
     * A wheel turned to lock: its tread reaches half its diameter fore and aft at the most, half its width askew
     * included, and sideways by what a rectangle turned by the lock reaches. Box over the travel.
     */
    private function tyre(KitAnswers $answers): KeepOutSpec
    {
        $radius = $answers->positive('diameter') / 2;
        $half = $answers->positive('width') / 2;
        $lock = deg2rad(min(90.0, abs($answers->angle('lock'))));
        $up = abs($answers->length('bump'));
        $down = abs($answers->length('droop'));
        // A rectangle reaches furthest along when its diagonal does, if the lock goes that far.
        $along = $lock >= atan2($half, $radius) ? hypot($radius, $half) : $radius * cos($lock) + $half * sin($lock);
        $across = $lock >= atan2($radius, $half) ? hypot($radius, $half) : $radius * sin($lock) + $half * cos($lock);

        return $this->maker->spec(
            KeepOutKind::Tyre,
            KeepOutShape::Box,
            $answers->point('at')->plus(new Vector(0, 0, ($up - $down) / 2)),
            sizeMm: [2 * $along, 2 * $across, 2 * $radius + $up + $down],
            note: sprintf(
                'Tyre %s over %s wide, lock %.0f° each way, travel %s up and %s down.',
                $this->show(2 * $radius),
                $this->show(2 * $half),
                rad2deg($lock),
                $this->show($up),
                $this->show($down),
            ),
        );
    }

    /** @return array{Vector, Vector, float} the middle of the inlets, the way the gas goes on, the radius round them all */
    private function inlets(): array
    {
        $letters = array_merge(...array_map(static fn ($one): array => $one->runs, $this->job->set->collectors));
        $ends = array_filter(
            $this->job->runs,
            static fn (RunSpec $run): bool => $letters === [] || in_array($run->letter, $letters, true),
        );
        $middle = KeepOutMaker::middle(
            array_values(array_map(static fn (RunSpec $run): Vector => $run->end->frame()->at, $ends)),
        );
        $axis = new Vector(0, 0, 0);
        $radius = 0.0;
        foreach ($ends as $run) {
            $axis = $axis->plus($run->end->direction->unit());
            $radius = max($radius, $run->end->frame()->at->distanceTo($middle));
        }

        return [$middle, $axis->length() < 0.1 ? new Vector(1, 0, 0) : $axis->unit(), $radius + 25.0];
    }

    private function show(float $mm): string
    {
        return Quantity::Length->show($mm, $this->job->units);
    }
}
