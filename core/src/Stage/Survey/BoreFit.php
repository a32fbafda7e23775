<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/** How a run's tube fits the opening of its port: the gas should meet no edge. */
final readonly class BoreFit
{
    /** A tube this much shorter round than the port is still opened over it by hand. */
    private const STRETCH = 0.01;

    /** @return array<string, Figure> nothing without the port's opening */
    public static function figures(RunSpec $run, ?TubeSize $tube): array
    {
        $bore = $run->start->bore;
        if ($bore === null || $tube === null) {
            return [];
        }

        return [
            'round' => Figure::of(
                "$run->letter.bore.round",
                'Tube bore that forms to it',
                Quantity::Length,
                $bore->roundMm(),
                new Reason(
                    'The way round the opening ÷ π: the bore of a round tube that can be formed to it without stretching.',
                    [
                        Input::of('way round', Quantity::Length, $bore->aroundMm()),
                        Input::of('this tube’s bore', Quantity::Length, $tube->idMm()),
                    ],
                    Source::geometry(),
                    'A tube as large or a little larger leaves no edge in the gas; a smaller one has to be flared.',
                ),
            ),
            'share' => Figure::of(
                "$run->letter.bore.share",
                'Tube’s area to the port’s',
                Quantity::Percent,
                (100 * $tube->boreAreaMm2()) / $bore->areaMm2(),
                new Reason(
                    'Area of the tube’s bore ÷ area of the opening.',
                    [
                        Input::word('shape', $bore->shape->label()),
                        Input::of('width', Quantity::Length, $bore->width->mm),
                        Input::of('height', Quantity::Length, $bore->height->mm),
                    ],
                    Source::geometry(),
                    'Near 100 % the gas keeps its speed; some leave a step outwards on purpose.',
                ),
            ),
        ];
    }

    /**
     * By how much the way round the opening is longer than round the inside of the tube, mm; 0 where the tube can be
     * formed to it.
     */
    public static function shortMm(RunSpec $run, TubeSize $tube): float
    {
        $short = ($run->start->bore?->aroundMm() ?? 0.0) - M_PI * $tube->idMm();

        return $short > self::STRETCH * M_PI * $tube->idMm() ? $short : 0.0;
    }
}
