<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/**
 * Readings of ends whose place and direction are known, each by a formula of its own in the axes of a job (rearward,
 * right, up), so that the sheet's way of counting is checked by another.
 *
 * @phpstan-type Point array{float, float, float}
 */
final class SomeReadings
{
    /** @var list<array<string, mixed>> */
    public array $all = [];

    /** @param  array<string, mixed>  $more */
    private function add(string $kind, string $tool, string $of, array $more): void
    {
        $this->all[] = ['id' => 'r'.(count($this->all) + 1), 'kind' => $kind, 'tool' => $tool, 'of' => $of, ...$more];
    }

    /** @param  Point  $at */
    public function place(string $of, array $at): void
    {
        $this->add('offset', 'tape', $of, ['with' => ['datum'], 'value' => $at]);
    }

    public function offset(string $of, string $way, float $value): void
    {
        $this->add('offset', 'tape', $of, ['with' => ['datum'], 'way' => $way, 'value' => $value]);
    }

    /**
     * @param  Point  $one
     * @param  Point  $other
     */
    public function tape(string $of, string $to, array $one, array $other, float $wrong = 0.0): void
    {
        $far = sqrt(($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2);
        $this->add('tape', 'tape', $of, ['with' => [$to], 'value' => $far + $wrong]);
    }

    /** @param  Point  $out  of length 1 */
    public function dip(string $of, array $out): void
    {
        $this->add('dip', 'finder', $of, ['toward' => 'down', 'value' => rad2deg(asin(-$out[2]))]);
    }

    /** @param  Point  $out */
    public function bearing(string $of, array $out, string $from, string $to): void
    {
        $part = static fn (string $way): float => match ($way) {
            'rearward' => $out[0], 'forward' => -$out[0], 'right' => $out[1], default => -$out[1],
        };
        $this->add('bearing', 'finder', $of, [
            'way' => $from, 'toward' => $to, 'value' => rad2deg(atan2($part($to), $part($from))),
        ]);
    }

    /** @param  Point  $out */
    public function lean(string $of, array $out, string $way, string $toward): void
    {
        $part = match ($way) {
            'rearward' => $out[0], 'forward' => -$out[0], 'right' => $out[1], default => -$out[1],
        };
        $along = $toward === 'down' ? -$out[2] : $out[2];
        $this->add('lean', 'finder', $of, [
            'way' => $way, 'toward' => $toward, 'value' => rad2deg(atan($part / $along)),
        ]);
    }

    /**
     * @param  Point  $at
     * @param  Point  $out
     */
    public function rod(string $of, array $at, array $out, float $first = 20.0, float $last = 220.0): void
    {
        $point = static fn (float $far): array => [
            $at[0] + $far * $out[0], $at[1] + $far * $out[1], $at[2] + $far * $out[2],
        ];
        $this->add('rod', 'rod', $of, ['points' => [$point($first), $point($last)]]);
    }
}
