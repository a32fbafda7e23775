<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

/**
 * The mark scribed across a joint so that its pieces only go together one way: long strokes worth five, then short
 * ones.
 *
 * Every joint of a run has its own, so a piece cannot be put back at the wrong joint either.
 */
final readonly class IndexMark
{
    private function __construct(public int $long, public int $short) {}

    public static function forJoint(int $number): self
    {
        return new self(intdiv($number, 5), $number % 5);
    }

    public function text(): string
    {
        $parts = [];
        foreach (['long' => $this->long, 'short' => $this->short] as $name => $count) {
            if ($count > 0) {
                $parts[] = sprintf('%d %s stroke%s', $count, $name, $count === 1 ? '' : 's');
            }
        }

        return implode(', ', $parts);
    }
}
