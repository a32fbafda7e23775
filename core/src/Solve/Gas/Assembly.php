<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** Tubes with what joins their insides; told by their names. */
final readonly class Assembly
{
    /**
     * @param  array<string, TubeInside>  $tubes
     * @param  list<Node>  $nodes
     * @param  list<TubeBranch>  $branches
     */
    public function __construct(public array $tubes, public array $nodes, public array $branches) {}

    /** Only what is joined to one tube. */
    public function joinedTo(string $tube): self
    {
        $in = [$tube => true];
        do {
            $count = count($in);
            foreach ($this->nodes as $node) {
                $names = array_column($node->ends, 0);
                if (array_filter($names, static fn (string $one): bool => isset($in[$one])) !== []) {
                    $in += array_fill_keys($names, true);
                }
            }
            foreach ($this->branches as $one) {
                if (isset($in[$one->on]) || isset($in[$one->tube])) {
                    $in += [$one->on => true, $one->tube => true];
                }
            }
        } while (count($in) > $count);

        return new self(
            array_intersect_key($this->tubes, $in),
            array_values(array_filter($this->nodes, static fn (Node $one): bool => isset($in[$one->ends[0][0] ?? '']))),
            array_values(array_filter($this->branches, static fn (TubeBranch $one): bool => isset($in[$one->on]))),
        );
    }
}
