<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\CupReach;
use UpsweptBead\Core\Solve\Reach\Reach;
use UpsweptBead\Core\Solve\Reach\RoundSeam;

/** Answers a reach problem, and writes the answer in the open format. */
final readonly class ReachAnswerWriter
{
    public const FORMAT = 'reach-answer/1';

    /** A share of the seam this much short of what is needed is enough: rounding. */
    private const SHARE_SLACK = 1e-9;

    /** @return array<string, mixed> */
    public static function toArray(ReachProblem $problem): array
    {
        $reach = new Reach($problem->torch, $problem->rod, $problem->obstacles);
        $cups = $problem->seam instanceof RoundSeam
            ? $reach->round($problem->seam, $problem->cups)
            : $reach->places($problem->seam, $problem->cups);
        if (array_filter($cups, static fn (CupReach $one): bool => $one->arcs !== []) === []) {
            return self::refused($problem->name, [new WeldRefusal(
                'No cup gets to any of the seam. Without this neighbour one would.',
                'neighbours',
                $reach->blame($problem->seam, $problem->cups),
            )]);
        }
        $enough = $problem->needShare - self::SHARE_SLACK;
        $usable = array_map(
            static fn (CupReach $one): Cup => $one->cup,
            array_filter($cups, static fn (CupReach $one): bool => $one->share >= $enough),
        );
        usort($usable, static fn (Cup $a, Cup $b): int => $a->radiusMm <=> $b->radiusMm);

        return [
            'format' => self::FORMAT,
            'case' => $problem->name,
            'status' => 'solved',
            'cups' => array_map(self::cup(...), $cups),
            'smallest_usable' => ($usable[0] ?? null)?->id,
            'largest_usable' => ($usable[count($usable) - 1] ?? null)?->id,
        ];
    }

    /**
     * @param  list<WeldRefusal>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return WeldRefusal::answer(self::FORMAT, $case, $reasons);
    }

    /** @return array<string, mixed> */
    private static function cup(CupReach $cup): array
    {
        return [
            'id' => $cup->cup->id,
            'arcs' => self::rounded($cup->arcs),
            ...($cup->rodArcs === null ? [] : ['rod_arcs' => self::rounded($cup->rodArcs)]),
        ];
    }

    /**
     * @param  list<array{float, float}>  $arcs
     * @return list<array{float, float}>
     */
    private static function rounded(array $arcs): array
    {
        return array_map(static fn (array $arc): array => [round($arc[0], 4), round($arc[1], 4)], $arcs);
    }
}
