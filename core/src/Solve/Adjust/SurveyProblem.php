<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A whole survey as it was read, and what is asked of it.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class SurveyProblem
{
    /**
     * @param  list<string>  $points  names, in the order of the file
     * @param  array{place: float, direction: float}  $limits  above these standard deviations (mm, degrees) it is weak
     * @param  list<TouchedSolid>  $keepOuts
     * @param  array<string, array{from: string, to: string, chain: Chain}>  $runs  by id
     * @param  array{plane: int<0, 2>, at: float, shift: Triple, pairs: list<array{string, string}>}|null  $mirror
     * @param  array<string, array{from: string|null, mockUp: MockUp, stockClr: float|null}>  $mockUps  by id
     */
    public function __construct(
        public string $name,
        public Sheet $sheet,
        public array $points,
        public array $limits,
        public array $keepOuts,
        public array $runs,
        public ?array $mirror,
        public array $mockUps,
    ) {}
}
