<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * A tube, or part of one, as short straight lines about its centreline; with its stations, which exempt zones count
 * by.
 */
final readonly class Line
{
    /**
     * @param  list<float>  $points  x, y, z of one after the other
     * @param  list<float>  $stations  mm along the whole tube
     */
    private function __construct(
        public string $id,
        public float $odMm,
        public array $points,
        public array $stations,
        public float $lengthMm,
    ) {}

    /** A tube from one station to another. */
    public static function of(string $id, Chords $tube, float $fromMm = 0.0, float $toMm = INF): self
    {
        $points = $stations = [];
        $count = count($tube->stations);
        for ($i = 0; $i < $count; $i++) {
            $station = $tube->stations[$i];
            $next = $tube->stations[$i + 1] ?? $station;
            // Stretches begin anew at the point where the last ended.
            if ($i > 0 && $station - $tube->stations[$i - 1] < 1e-9) {
                continue;
            }
            if ($station >= $fromMm && $station <= $toMm) {
                $stations[] = $station;
                array_push($points, $tube->points[3 * $i], $tube->points[3 * $i + 1], $tube->points[3 * $i + 2]);
            }
            // A cut within this line.
            foreach ([$fromMm, $toMm] as $cut) {
                if ($station < $cut && $next > $cut) {
                    $share = ($cut - $station) / ($next - $station);
                    $stations[] = $cut;
                    for ($axis = 0; $axis < 3; $axis++) {
                        $points[] =
                            $tube->points[3 * $i + $axis] +
                            $share * ($tube->points[3 * $i + 3 + $axis] - $tube->points[3 * $i + $axis]);
                    }
                }
            }
        }

        return new self($id, $tube->odMm, $points, $stations, $tube->lengthMm);
    }

    /** Turned about an axis through a point, by degrees. */
    public function turned(Vector $about, Vector $axis, float $deg): self
    {
        $points = [];
        for ($i = 0, $end = count($this->points); $i < $end; $i += 3) {
            $from = new Vector(
                $this->points[$i] - $about->x,
                $this->points[$i + 1] - $about->y,
                $this->points[$i + 2] - $about->z,
            );
            array_push($points, ...$from->turnedAbout($axis, $deg)->plus($about)->toArray());
        }

        return new self($this->id, $this->odMm, $points, $this->stations, $this->lengthMm);
    }

    public function first(): Vector
    {
        return new Vector($this->points[0], $this->points[1], $this->points[2]);
    }

    public function last(): Vector
    {
        $end = count($this->points);

        return new Vector($this->points[$end - 3], $this->points[$end - 2], $this->points[$end - 1]);
    }
}
