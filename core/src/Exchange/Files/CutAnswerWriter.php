<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Solve\Nest\Search\CutAnswer;
use UpsweptBead\Core\Solve\Nest\Search\CutPiece;
use UpsweptBead\Core\Solve\Nest\Search\CutStatus;

/** Writes answers to the open cut problem format. */
final readonly class CutAnswerWriter
{
    public const FORMAT = 'cut-answer/1';

    /** @return array<string, mixed> */
    public static function toArray(string $case, CutAnswer $answer): array
    {
        $head = ['format' => self::FORMAT, 'case' => $case, 'status' => $answer->status->value];
        if ($answer->status !== CutStatus::Solved) {
            return $head;
        }

        return [
            ...$head,
            'pieces' => array_map(static fn (CutPiece $piece): array => [
                'run' => $piece->run,
                'from' => self::rounded($piece->fromMm),
                'to' => self::rounded($piece->toMm),
                'donor' => [
                    'item' => $piece->item,
                    'copy' => $piece->copy,
                    'at' => [self::rounded($piece->atMm), self::rounded($piece->untilMm)],
                    'reversed' => $piece->reversed,
                ],
            ], $answer->pieces),
            'totals' => [
                'joints' => $answer->joints,
                'cuts' => $answer->cuts,
                'opened' => (object) $answer->opened,
                'cost' => round($answer->cost, 6),
            ],
            'lower_bound' => $answer->lowerBound === null ? null : round($answer->lowerBound, 6),
        ];
    }

    /**
     * @param  list<Refusal>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return [
            'format' => self::FORMAT,
            'case' => $case,
            'status' => 'refused',
            'reasons' => array_map(static fn (Refusal $one): array => $one->toArray(), $reasons),
        ];
    }

    private static function rounded(float $mm): float
    {
        return round($mm, 6);
    }
}
