<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Document\Node;
use UpsweptBead\Core\Units\Length;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Reads routes as they stand in a job: bend by bend. */
final readonly class RouteReader
{
    private const MOST_BENDS = 12;

    public function __construct(private UnitSystem $units) {}

    public function read(Node $node): RouteChoice
    {
        $node->only(['bends', 'endStraight', 'endLocked']);

        return new RouteChoice(
            array_map($this->row(...), $node->at('bends')->items(self::MOST_BENDS)),
            $this->notNegative($node->at('endStraight')),
            ! $node->at('endLocked')->isMissing() && $node->at('endLocked')->boolean(),
        );
    }

    private function row(Node $node): RouteRow
    {
        $node->only(['straight', 'rotation', 'angle', 'clr', 'locked']);
        $angleDeg = $node->at('angle')->quantity(Quantity::Angle, $this->units, 360);
        if ($angleDeg <= 0 || $angleDeg > 180) {
            $node->at('angle')->complain('bad-angle', 'must be above 0° and at most 180°');
        }
        $clr = $node->at('clr')->length($this->units);
        if ($clr->mm < RouteRow::LEAST_CLR_MM) {
            $node->at('clr')->complain('not-positive', 'must be a centreline radius of at least 1 mm');
        }

        return new RouteRow(
            $this->notNegative($node->at('straight')),
            $node->at('rotation')->quantity(Quantity::Angle, $this->units, 3600),
            $angleDeg,
            $clr,
            $node->at('locked')->isMissing() ? [] : self::locked($node->at('locked')),
        );
    }

    /** @return list<string> */
    private static function locked(Node $node): array
    {
        $keys = [];
        foreach ($node->items(3) as $item) {
            $key = $item->required(20);
            if (! in_array($key, RouteRow::LOCKABLE, true) || in_array($key, $keys, true)) {
                $item->complain('bad-lock', 'must be one of '.implode(', ', RouteRow::LOCKABLE).', each once');
            }
            $keys[] = $key;
        }

        return $keys;
    }

    public function notNegative(Node $node): Length
    {
        $length = $node->length($this->units);
        if ($length->mm < 0) {
            $node->complain('negative', 'must not be negative');
        }

        return $length;
    }
}
