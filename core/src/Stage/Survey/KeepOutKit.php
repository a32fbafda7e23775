<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
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
    /** Points nearer than this to one place, line or plane span nothing. */
    private const APART_MM = 1.0;

    private function __construct(private Job $job) {}

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

    /**
     * A solid by the points that were touched on it: two are the ends of a bar, three lie in a plane that everything
     * is behind, seen from the ports, four or more are held by a level box along the first two.
     *
     * @param  list<Vector>  $points
     * @param  float  $diameterMm  of a bar
     * @param  float  $growMm  by how much it may really be nearer
     *
     * @throws \DomainException if they are too few, or lie in one point or line
     */
    public static function touched(
        Job $job,
        KeepOutKind $kind,
        array $points,
        float $diameterMm,
        float $growMm = 0.0,
    ): KeepOutSpec {
        $kit = new self($job);

        return match (true) {
            count($points) < 2 => throw new \DomainException(
                'Touch two points for a bar, three for a plane, four or more for a box.',
            ),
            count($points) === 2 => $kit->touchedBar($kind, $points, $diameterMm, $growMm),
            count($points) === 3 => $kit->touchedPlane($kind, $points, $growMm),
            default => $kit->touchedBox($kind, $points, $growMm),
        };
    }

    /** @param  list<Vector>  $points */
    private function touchedBar(KeepOutKind $kind, array $points, float $diameterMm, float $growMm): KeepOutSpec
    {
        if ($points[0]->distanceTo($points[1]) < self::APART_MM || $diameterMm <= 0.0) {
            throw new \DomainException('A bar needs two points apart, and a diameter.');
        }

        $radiusMm = $diameterMm / 2 + $growMm;

        return $this->spec($kind, KeepOutShape::Capsule, $points[0], to: $points[1], radiusMm: $radiusMm);
    }

    /** @param  list<Vector>  $points */
    private function touchedPlane(KeepOutKind $kind, array $points, float $growMm): KeepOutSpec
    {
        $across = $points[1]->minus($points[0])->cross($points[2]->minus($points[0]));
        if ($across->length() < self::APART_MM ** 2) {
            throw new \DomainException('These three points lie in one line; a plane needs three that do not.');
        }
        $ports = $this->middle(
            array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, $this->job->runs),
        );
        $out = $across->unit();
        $out = $out->dot($ports->minus($points[0])) < 0.0 ? $out->times(-1.0) : $out;

        return $this->spec($kind, KeepOutShape::HalfSpace, $points[0]->plus($out->times($growMm)), direction: $out);
    }

    /** @param  non-empty-list<Vector>  $points */
    private function touchedBox(KeepOutKind $kind, array $points, float $growMm): KeepOutSpec
    {
        $along = $points[1]->minus($points[0]);
        $along = new Vector($along->x, $along->y, 0.0);
        $along = $along->length() < self::APART_MM ? new Vector(1.0, 0.0, 0.0) : $along->unit();
        $axes = [$along, new Vector(-$along->y, $along->x, 0.0), new Vector(0.0, 0.0, 1.0)];
        $at = new Vector(0.0, 0.0, 0.0);
        $size = [];
        foreach ($axes as $axis) {
            $stations = array_map(static fn (Vector $one): float => $axis->dot($one), $points);
            [$least, $most] = [min($stations) - $growMm, max($stations) + $growMm];
            if ($most - $least < self::APART_MM) {
                throw new \DomainException('These points lie in one plane; a box needs one that stands out of it.');
            }
            $at = $at->plus($axis->times(($least + $most) / 2));
            $size[] = $most - $least;
        }

        return $this->spec($kind, KeepOutShape::Box, $at, direction: $along, sizeMm: [$size[0], $size[1], $size[2]]);
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
        $near = $this->middle(
            array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, $this->job->runs),
        );

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
                KitField::direction('out', 'The socket comes off along', $this->outward()),
                KitField::length('flats', 'Across the flats', 13),
                KitField::length('straight', 'Straight room', 60),
            ],
            KeepOutKind::PlugAndSocket => [
                KitField::point('at', 'Seat of the plug', $near),
                KitField::direction('out', 'The plug comes out along', $this->outward()),
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
                $deepest = $this->outward();
                $points = array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, $this->job->runs);
                usort($points, static fn (Vector $a, Vector $b): int => $b->dot($deepest) <=> $a->dot($deepest));

                return $this->spec(
                    $kind,
                    KeepOutShape::HalfSpace,
                    $points[0] ?? new Vector(0, 0, 0),
                    direction: $deepest,
                );
            case KeepOutKind::Ground:
                return $this->spec(
                    $kind,
                    KeepOutShape::HalfSpace,
                    new Vector(0, 0, $answers->length('level')),
                    direction: new Vector(0, 0, 1),
                );
            case KeepOutKind::Collector:
                [$at, $axis, $radius] = $this->inlets();

                return $this->spec(
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

                return $this->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers
                        ->point('at')
                        ->plus($answers->direction('out')->times($answers->positive('straight'))),
                    radiusMm: $radius,
                );
            case KeepOutKind::PlugAndSocket:
                return $this->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers
                        ->point('at')
                        ->plus($answers->direction('out')->times($answers->positive('straight'))),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            case KeepOutKind::OilDrain:
                return $this->spec(
                    $kind,
                    KeepOutShape::Cylinder,
                    $answers->point('at'),
                    to: $answers->point('at')->plus(new Vector(0, 0, -$answers->positive('length'))),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            case KeepOutKind::Steering:
            case KeepOutKind::Line:
            case KeepOutKind::Starter:
                return $this->spec(
                    $kind,
                    $kind === KeepOutKind::Starter ? KeepOutShape::Cylinder : KeepOutShape::Capsule,
                    $answers->point('at'),
                    to: $answers->other('to', 'at'),
                    radiusMm: $answers->positive('diameter') / 2,
                );
            default:
                return $this->spec(
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

        return $this->spec(
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

    /** @param  array{float, float, float}  $sizeMm */
    private function spec(
        KeepOutKind $kind,
        KeepOutShape $shape,
        Vector $at,
        ?Vector $direction = null,
        ?Vector $to = null,
        float $radiusMm = 1.0,
        array $sizeMm = [1.0, 1.0, 1.0],
        string $note = '',
    ): KeepOutSpec {
        return new KeepOutSpec(
            $this->freeName($kind),
            $kind,
            $shape,
            self::lengths($at),
            $direction ?? new Vector(1, 0, 0),
            self::lengths($to ?? $at),
            [Length::ofMm($sizeMm[0]), Length::ofMm($sizeMm[1]), Length::ofMm($sizeMm[2])],
            Length::ofMm($radiusMm),
            null,
            $note,
        );
    }

    private function freeName(KeepOutKind $kind): string
    {
        $taken = array_map(static fn (KeepOutSpec $one): string => $one->name, $this->job->set->keepOuts);
        $name = $kind->label();
        for ($n = 2; in_array($name, $taken, true); $n++) {
            $name = "{$kind->label()} $n";
        }

        return $name;
    }

    /** Out of the engine, by what the ports say. */
    private function outward(): Vector
    {
        $sum = new Vector(0, 0, 0);
        foreach ($this->job->runs as $run) {
            $sum = $sum->plus($run->start->direction->unit());
        }

        return $sum->length() < 0.1 ? new Vector(0, 1, 0) : $sum->unit();
    }

    /** @return array{Vector, Vector, float} the middle of the inlets, the way the gas goes on, the radius round them all */
    private function inlets(): array
    {
        $letters = array_merge(...array_map(static fn ($one): array => $one->runs, $this->job->set->collectors));
        $ends = array_filter(
            $this->job->runs,
            static fn (RunSpec $run): bool => $letters === [] || in_array($run->letter, $letters, true),
        );
        $middle = $this->middle(
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

    /** @param  list<Vector>  $points */
    private function middle(array $points): Vector
    {
        $sum = new Vector(0, 0, 0);
        foreach ($points as $point) {
            $sum = $sum->plus($point);
        }

        return $sum->times(1 / max(1, count($points)));
    }

    private function show(float $mm): string
    {
        return Quantity::Length->show($mm, $this->job->units);
    }

    /** @return array{Length, Length, Length} */
    private static function lengths(Vector $at): array
    {
        return [Length::ofMm(round($at->x, 2)), Length::ofMm(round($at->y, 2)), Length::ofMm(round($at->z, 2))];
    }
}
