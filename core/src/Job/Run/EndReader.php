<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\SaddleSpec;
use UpsweptBead\Core\Job\Collector\SlantSpec;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Solve\Merge\Flange\Path;
use UpsweptBead\Core\Solve\Merge\Seat;

/** Reads where runs start and end, and what they meet there. */
final readonly class EndReader
{
    private RouteReader $routes;

    public function __construct(private UnitSystem $units)
    {
        $this->routes = new RouteReader($units);
    }

    public function start(Node $node): RunEnd
    {
        $start = $this->end($node);
        if ($start->kind->slipsIn()) {
            $node->at('kind')->complain('not-at-a-start', 'must be v-band, flange or open: only the end of a run slips into a part');
        }

        if ($start->isFree) {
            $node->at('free')->complain('not-at-a-start', 'must be left out: a run grows from its start');
        }

        return $start;
    }

    public function end(Node $node): RunEnd
    {
        $node->only([
            'kind', 'name', 'at', 'direction', 'up', 'metal', 'wall', 'bolts', 'bore', 'saddle', 'plate', 'slant',
            'free',
        ]);
        $kind = $node->at('kind')->choice(EndKind::class, EndKind::Open);
        if ($kind === EndKind::Saddle && $node->at('saddle')->isMissing()) {
            $node->at('saddle')->complain('missing', 'is missing: where the end stands on another run');
        }
        $wall = $node->at('wall')->length($this->units);
        if ($wall->mm <= 0) {
            $node->at('wall')->complain('not-positive', 'must be more than 0');
        }

        return new RunEnd(
            $kind,
            $node->at('name')->text('', 100),
            Points::read($node->at('at'), $this->units),
            $node->at('direction')->direction(),
            $node->at('up')->isMissing() ? null : $node->at('up')->direction(),
            $node->at('metal')->required(40),
            $wall,
            $node->at('bolts')->isMissing() ? null : $this->bolts($node->at('bolts')),
            $node->at('bore')->isMissing() ? null : $this->bore($node->at('bore')),
            $kind === EndKind::Saddle && ! $node->at('saddle')->isMissing() ? $this->saddle($node->at('saddle')) : null,
            $node->at('plate')->isMissing() ? null : $this->plate($node->at('plate')),
            $node->at('slant')->isMissing() ? null : $this->slant($node->at('slant'), $kind),
            $this->isFree($node->at('free'), $kind),
        );
    }

    private function isFree(Node $node, EndKind $kind): bool
    {
        $isFree = ! $node->isMissing() && $node->boolean();
        if ($isFree && $kind === EndKind::Saddle) {
            $node->complain('not-free', 'must be left out: where it stands is on the side of another run');
        }

        return $isFree;
    }

    private function bolts(Node $node): FlangeBolts
    {
        $node->only(['count', 'circle', 'turn', 'flats']);
        $count = (int) $node->at('count')->number(12);
        if ($count < 2) {
            $node->at('count')->complain('out-of-range', 'must be 2 studs at least and 12 at most');
        }

        return new FlangeBolts(
            max(2, $count),
            $this->positive($node->at('circle')),
            $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
            $this->positive($node->at('flats')),
        );
    }

    private function bore(Node $node): Bore
    {
        $node->only(['shape', 'width', 'height', 'corner', 'turn']);
        $shape = $node->at('shape')->choice(BoreShape::class, BoreShape::Round);
        $width = $this->positive($node->at('width'));
        $height =
            $node->at('height')->isMissing() || $shape === BoreShape::Round
                ? $width
                : $this->positive($node->at('height'));
        $corner =
            $node->at('corner')->isMissing() || $shape !== BoreShape::Rectangle
                ? Length::ofMm(0)
                : $this->routes->notNegative($node->at('corner'));
        if ($shape === BoreShape::D && $height->mm < $width->mm / 2) {
            $node
                ->at('height')
                ->complain(
                    'out-of-range',
                    'must be half the width at least: the half circle of a D is as wide as its foot',
                );
        }
        if (2 * $corner->mm > min($width->mm, $height->mm)) {
            $node->at('corner')->complain('out-of-range', 'must be no more than half of the shorter side');
        }

        return new Bore(
            $shape,
            $width,
            $height,
            $corner,
            $node->at('turn')->isMissing() ? 0.0 : $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
        );
    }

    private function plate(Node $node): ?PlateSpec
    {
        $node->only(['outline', 'openings']);
        $outline = $this->outline($node->at('outline'));
        $openings = array_values(array_filter(array_map(
            $this->outline(...),
            $node->at('openings')->items(PlateSpec::MOST_OPENINGS),
        )));
        if ($openings === []) {
            $node->at('openings')->complain('missing', 'must have the opening that the gas goes through at least');
        }

        return $outline === null || $openings === [] ? null : new PlateSpec($outline, $openings);
    }

    private function slant(Node $node, EndKind $kind): SlantSpec
    {
        $node->only(['angle', 'turn']);
        $angleDeg = $node->at('angle')->quantity(Quantity::Angle, $this->units, 180);
        if ($angleDeg <= 0.0 || $angleDeg > SlantSpec::MOST_DEG) {
            $node->at('angle')->complain('out-of-range', 'must be above 0 and at most 70 degrees to the square cut');
        }
        if ($kind !== EndKind::Open) {
            $node->complain('not-open', 'is for an open end only; this one meets a part');
        }

        return new SlantSpec(
            $angleDeg,
            $node->at('turn')->isMissing() ? 0.0 : $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
        );
    }

    private function outline(Node $node): ?Path
    {
        $vertices = array_map(static function (Node $one): array {
            $parts = array_map(static fn (Node $part): float => $part->number(2000), $one->items(3));

            return [$parts[0] ?? 0.0, $parts[1] ?? 0.0, $parts[2] ?? 0.0];
        }, $node->items(PlateSpec::MOST_POINTS));
        if (count($vertices) < 2) {
            $node->complain('too-few', 'must be a closed line of two points at least: right, up and bulge');

            return null;
        }

        return new Path($vertices);
    }

    private function saddle(Node $node): SaddleSpec
    {
        $node->only(['on', 'station', 'fromTop', 'angle', 'offset', 'seat', 'stub']);
        $angleDeg = $node->at('angle')->isMissing() ? 90.0 : $node->at('angle')->quantity(
            Quantity::Angle,
            $this->units,
            180,
        );
        if ($angleDeg <= 0.0 || $angleDeg >= 180.0) {
            $node->at('angle')->complain('out-of-range', 'must be more than 0 and less than 180 degrees between the flows');
        }

        return new SaddleSpec(
            $node->at('on')->required(2),
            $this->routes->notNegative($node->at('station')),
            $node->at('fromTop')->isMissing()
                ? 0.0
                : $node->at('fromTop')->quantity(Quantity::Angle, $this->units, 360),
            $angleDeg,
            $node->at('offset')->isMissing() ? Length::ofMm(0) : $node->at('offset')->length($this->units),
            $node->at('seat')->choice(Seat::class, Seat::SetOn),
            $node->at('stub')->isMissing() ? null : $this->positive($node->at('stub')),
        );
    }

    private function positive(Node $node): Length
    {
        $length = $node->length($this->units);
        if ($length->mm <= 0) {
            $node->complain('not-positive', 'must be more than 0');

            return Length::ofMm(1);
        }

        return $length;
    }
}
