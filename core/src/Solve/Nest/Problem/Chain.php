<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/**
 * Straights and bends one after the other, as a run has them and as a piece of stock has them; places on it are
 * stations, in mm along its centreline. How bends are turned against each other says nothing about cutting.
 */
final readonly class Chain
{
    /** @param  list<Link>  $links */
    private function __construct(public array $links, public float $lengthMm) {}

    /** @param  list<Link>  $links  those without length are left out */
    public static function of(array $links): self
    {
        $links = array_values(array_filter($links, static fn (Link $link): bool => $link->lengthMm > 0.0));

        return new self($links, array_sum(array_map(static fn (Link $link): float => $link->lengthMm, $links)));
    }

    /** @return list<array{from: float, to: float, link: Link}> every bend with the stations of its tangents */
    public function bends(): array
    {
        $bends = [];
        $from = 0.0;
        foreach ($this->links as $link) {
            $to = $from + $link->lengthMm;
            if ($link->isBend()) {
                $bends[] = ['from' => $from, 'to' => $to, 'link' => $link];
            }
            $from = $to;
        }

        return $bends;
    }
}
