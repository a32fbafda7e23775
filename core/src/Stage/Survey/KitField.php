<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;

/** One thing a kit asks for, with what it proposes: mm, degrees, a point in mm, or a direction. */
final readonly class KitField
{
    /** @param  list<float>  $proposed  one number, or three */
    private function __construct(
        public string $key,
        public string $label,
        public string $kind,
        public array $proposed,
    ) {}

    /** Asks for a length; what is proposed is in mm. */
    public static function length(string $key, string $label, float $mm): self
    {
        return new self($key, $label, 'length', [$mm]);
    }

    /** Asks for an angle; what is proposed is in degrees. */
    public static function angle(string $key, string $label, float $deg): self
    {
        return new self($key, $label, 'angle', [$deg]);
    }

    public static function point(string $key, string $label, Vector $mm): self
    {
        return new self($key, $label, 'point', [round($mm->x), round($mm->y), round($mm->z)]);
    }

    public static function direction(string $key, string $label, Vector $along): self
    {
        return new self($key, $label, 'direction', [round($along->x, 3), round($along->y, 3), round($along->z, 3)]);
    }
}
