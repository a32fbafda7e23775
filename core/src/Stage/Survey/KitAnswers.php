<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * What a person answered to a kit's fields; what cannot be used is noted at its field and read as something harmless.
 */
final readonly class KitAnswers
{
    public function __construct(private Node $answers, private UnitSystem $units) {}

    /** A length in mm. */
    public function length(string $key): float
    {
        return $this->answers->at($key)->length($this->units)->mm;
    }

    /** A length in mm, above 0. */
    public function positive(string $key): float
    {
        $node = $this->answers->at($key);
        $mm = $node->length($this->units)->mm;
        if ($mm <= 0.0) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return max($mm, 0.1);
    }

    /** An angle in degrees. */
    public function angle(string $key): float
    {
        return $this->answers->at($key)->quantity(Quantity::Angle, $this->units, 360);
    }

    public function point(string $key): Vector
    {
        $node = $this->answers->at($key);
        $parts = array_map(fn (Node $item): Length => $item->length($this->units), $node->items(3));
        if (count($parts) !== 3) {
            $node->complain('not-a-point', 'must be three lengths: rearward, right and up');

            return new Vector(0, 0, 0);
        }

        return new Vector($parts[0]->mm, $parts[1]->mm, $parts[2]->mm);
    }

    /** A point that is not another one. */
    public function other(string $key, string $than): Vector
    {
        $point = $this->point($key);
        if ($point->distanceTo($this->point($than)) < 1e-3) {
            $this->answers->at($key)->complain('no-length', 'must be another point than the first end');
        }

        return $point;
    }

    public function direction(string $key): Vector
    {
        return $this->answers->at($key)->direction()->unit();
    }
}
