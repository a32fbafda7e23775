<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Reads routes as they stand in a job: bend by bend. */
final readonly class RouteReader
{
    private const MOST_BENDS = 12;

    private const MOST_JOINTS = 40;

    public function __construct(private UnitSystem $units) {}

    public function read(Node $node): RouteChoice
    {
        $node->only(['bends', 'endStraight', 'endLocked', 'cuts']);

        return new RouteChoice(
            array_map($this->row(...), $node->at('bends')->items(self::MOST_BENDS)),
            $this->notNegative($node->at('endStraight')),
            ! $node->at('endLocked')->isMissing() && $node->at('endLocked')->boolean(),
            $node->at('cuts')->isMissing() ? null : $this->cuts($node->at('cuts')),
        );
    }

    private function cuts(Node $node): CutChoice
    {
        $node->only(['joints', 'stock']);
        $joints = $this->joints($node->at('joints'));
        $stock = array_map(
            static fn (Node $item): string => $item->required(80),
            $node->at('stock')->isMissing() ? [] : $node->at('stock')->items(self::MOST_JOINTS + 1),
        );
        if ($stock !== [] && count($stock) !== count($joints) + 1) {
            $node->at('stock')->complain('not-each', 'must name the stock of every piece, one more than there are joints');
            $stock = [];
        }

        return new CutChoice($joints, $stock);
    }

    /** @return list<Length> stations in order */
    private function joints(Node $node): array
    {
        $joints = [];
        foreach ($node->items(self::MOST_JOINTS) as $item) {
            $at = $this->notNegative($item);
            if ($joints !== [] && $at->mm <= $joints[count($joints) - 1]->mm) {
                $item->complain('not-in-order', 'must be farther along the run than the joint before it');
            }
            $joints[] = $at;
        }

        return $joints;
    }

    private function row(Node $node): RouteRow
    {
        $node->only(['straight', 'rotation', 'angle', 'clr', 'locked', 'pie']);
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
            $node->at('pie')->isMissing() ? 0 : self::pie($node->at('pie')),
        );
    }

    private static function pie(Node $node): int
    {
        $welds = $node->number(RouteRow::MOST_PIE_WELDS);
        if ($welds < 1 || floor($welds) !== $welds) {
            $node->complain('out-of-range', 'must be a whole number of welds from 1 to '.RouteRow::MOST_PIE_WELDS);
        }

        return max(1, (int) $welds);
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
