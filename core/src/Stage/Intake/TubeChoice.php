<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/** One size to choose from, with what speaks for it: what lies on the shelf, and what it is usual for. */
final readonly class TubeChoice
{
    /** Walls and diameters within this (in) are taken as the size they are sold by. */
    private const SLACK_IN = 0.002;

    /**
     * Usual sizes by purpose, common practice: least and greatest outside diameter and wall, in inches. A manifold's
     * heavy wall is pipe of schedule 10 as well as tube; a road system is thinner, but not below 16 gauge where it
     * carries itself.
     */
    private const USUAL = [
        'header' => [1.5, 2.125, 0.049, 0.065],
        'turbo-manifold' => [1.315, 2.375, 0.083, 0.12],
        'turbo-downpipe' => [2.5, 4.0, 0.049, 0.065],
        'collector' => [1.5, 3.5, 0.065, 0.083],
        'system' => [2.0, 4.0, 0.049, 0.065],
    ];

    /**
     * @param  int  $onShelf  lengths of it and bends made from it
     * @param  list<Purpose>  $usualFor
     * @param  list<array{clrMm: float, upToDeg: float}>  $radii  that its bends are bought on, the tightest first
     */
    private function __construct(
        public TubeSize $tube,
        public int $onShelf,
        public array $usualFor,
        public array $radii,
    ) {}

    /** @return list<self> in the order of the catalogue */
    public static function all(Shop $shop): array
    {
        $onShelf = self::onShelf($shop);

        return array_map(static fn (TubeSize $tube): self => new self(
            $tube,
            $onShelf[$tube->id] ?? 0,
            array_values(array_filter(Purpose::cases(), static fn (Purpose $one): bool => self::isUsual($tube, $one))),
            self::radii($shop->catalogue->bendsFor($tube->id)),
        ), array_values($shop->catalogue->tubes));
    }

    /**
     * @param  list<BendStock>  $bends  smallest radius and angle first
     * @return list<array{clrMm: float, upToDeg: float}>
     */
    private static function radii(array $bends): array
    {
        $radii = [];
        foreach ($bends as $one) {
            $radii[(string) $one->clrMm] = ['clrMm' => $one->clrMm, 'upToDeg' => $one->angleDeg];
        }

        return array_values($radii);
    }

    /** @return array<string, int> by tube, lengths of it and bends made from it */
    public static function onShelf(Shop $shop): array
    {
        $counts = [];
        foreach ($shop->shelf as $id => $count) {
            $isTube = isset($shop->catalogue->tubes[$id]);
            $tubeId = $isTube ? (string) $id : $shop->catalogue->bend((string) $id)?->tubeId;
            if ($tubeId !== null) {
                $counts[$tubeId] = ($counts[$tubeId] ?? 0) + $count;
            }
        }

        return $counts;
    }

    public static function isUsual(TubeSize $tube, Purpose $purpose): bool
    {
        [$leastOd, $mostOd, $leastWall, $mostWall] = self::USUAL[$purpose->value] ?? [INF, 0.0, 0.0, 0.0];
        [$od, $wall] = [$tube->odMm / Length::MM_PER_INCH, $tube->wallMm / Length::MM_PER_INCH];

        return $od > $leastOd - self::SLACK_IN && $od < $mostOd + self::SLACK_IN
            && $wall > $leastWall - self::SLACK_IN && $wall < $mostWall + self::SLACK_IN;
    }
}
