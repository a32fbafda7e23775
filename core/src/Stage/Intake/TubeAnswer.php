<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/** Which tube to begin with: the bore by the sums where there are any, else by the port; the wall by what it carries. */
final readonly class TubeAnswer
{
    /** Thinner than this (mm) a manifold that carries a turbo cracks: schedule 10, or .109 and more. Common practice. */
    private const MANIFOLD_WALL_MM = 2.7;

    /** Thicker than this (mm) is weight for nothing on anything but a manifold; our own figure. */
    private const LIGHT_WALL_MM = 1.8;

    /** Outside diameter (in) where neither sums nor a port say anything; common sizes. */
    private const USUAL_IN = [
        'header' => 1.75,
        'turbo-manifold' => 1.66,
        'turbo-downpipe' => 3.0,
        'collector' => 1.75,
        'system' => 2.5,
        'repair' => 2.5,
    ];

    /** Two bores nearer than this (mm) serve alike: then the one on the shelf goes first. Our own figure. */
    private const ALIKE_MM = 1.0;

    /** @param  Figure|Choice|null  $bore  by the sums of a naturally aspirated header */
    public static function of(Job $job, Shop $shop, Figure|Choice|null $bore): Choice
    {
        $usual = self::usual($job->purpose, $shop);
        $port = $job->purpose === Purpose::System ? null : self::portMm($job);
        [$wantedMm, $rule] = match (true) {
            $bore instanceof Figure => [$bore->value, 'The bore nearest to the sum among the usual tubes.'],
            $port !== null => [$port, 'The bore nearest to the port among the usual tubes: a step at the port costs more than a size up or down.'],
            default => [null, 'What is usual for this; no sum gives it. Match it to the port, the turbine’s outlet or the tube that it meets.'],
        };
        $tube = $wantedMm === null
            ? self::nearest(
                $job,
                $shop,
                $usual,
                static fn (TubeSize $one): float => $one->odMm,
                self::USUAL_IN[$job->purpose->value] * Length::MM_PER_INCH,
            )
            : self::nearest($job, $shop, $usual, static fn (TubeSize $one): float => $one->idMm(), $wantedMm);

        return $job->overrides->onChoice(Choice::of(
            'intake.tube',
            'Tube',
            $tube->name ?? 'none in the catalogue',
            new Reason(
                $rule.($job->purpose === Purpose::TurboManifold
                    ? ' Heavy wall: it is the hottest part, and it holds the turbo between its brackets.'
                    : ' Not below 16 gauge (.065 in, 1.5 mm) on the road: thinner tube dents by hand and splits when it is splashed hot.'),
                [
                    ...$wantedMm === null ? [] : [Input::of('bore wanted', Quantity::Length, $wantedMm)],
                    ...$tube === null ? [] : [
                        Input::of('its bore', Quantity::Length, $tube->idMm()),
                        Input::word('on the shelf', self::onShelf($tube, $shop)),
                    ],
                ],
                Source::trade(),
                $job->purpose === Purpose::Header
                    ? 'In a racing class .049 saves a quarter of the weight, where the tube is good and nothing hangs on it.'
                    : '',
            ),
            array_map(static fn (TubeSize $one): Option => new Option($one->name), $usual),
        ));
    }

    /** The tube that a choice names; null where the catalogue has none of that name. */
    public static function named(Choice $choice, Shop $shop): ?TubeSize
    {
        foreach ($shop->catalogue->tubes as $tube) {
            if (in_array($choice->value, [$tube->name, $tube->id], true)) {
                return $tube;
            }
        }

        return null;
    }

    /** @return list<TubeSize> usual for it, and of a wall that serves */
    private static function usual(Purpose $purpose, Shop $shop): array
    {
        $isManifold = $purpose === Purpose::TurboManifold;
        $like = $purpose === Purpose::Repair ? Purpose::System : $purpose;
        $serves = static fn (TubeSize $one): bool => TubeChoice::isUsual($one, $like)
            && ($isManifold
                ? $one->wallMm >= self::MANIFOLD_WALL_MM
                : $one->wallMm >= ThinWall::ROAD_MM
                    && ($like === Purpose::Collector || $one->wallMm <= self::LIGHT_WALL_MM));

        return array_values(array_filter($shop->catalogue->tubes, $serves));
    }

    /**
     * @param  list<TubeSize>  $tubes
     * @param  \Closure(TubeSize): float  $size
     */
    private static function nearest(Job $job, Shop $shop, array $tubes, \Closure $size, float $wantedMm): ?TubeSize
    {
        if ($tubes === []) {
            return null;
        }
        $off = static fn (TubeSize $one): float => abs($size($one) - $wantedMm);
        $leastMm = min(array_map($off, $tubes));
        $alike = array_values(array_filter(
            $tubes,
            static fn (TubeSize $one): bool => $off($one) < $leastMm + self::ALIKE_MM,
        ));
        $onShelf = TubeChoice::onShelf($shop);
        $rank = static fn (TubeSize $one): array => [
            -($onShelf[$one->id] ?? 0),
            $job->units === UnitSystem::Inch && ! self::isSoldByInches($one) ? 1 : 0,
            $off($one),
        ];
        usort($alike, static fn (TubeSize $a, TubeSize $b): int => $rank($a) <=> $rank($b));

        return $alike[0] ?? null;
    }

    /** Whether it is pipe, or its diameter is a whole number of sixteenths. */
    private static function isSoldByInches(TubeSize $tube): bool
    {
        $sixteenths = 16 * $tube->odMm / Length::MM_PER_INCH;

        return $tube->isPipe || abs($sixteenths - round($sixteenths)) < 0.01;
    }

    private static function onShelf(TubeSize $tube, Shop $shop): string
    {
        $count = TubeChoice::onShelf($shop)[$tube->id] ?? 0;

        return $count === 0 ? 'nothing' : "$count ".($count === 1 ? 'length or bend' : 'lengths and bends');
    }

    /** How wide the first port is, where that was measured. */
    private static function portMm(Job $job): ?float
    {
        foreach ($job->runs as $run) {
            if ($run->start->bore !== null) {
                return $run->start->bore->width->mm;
            }
        }

        return null;
    }
}
