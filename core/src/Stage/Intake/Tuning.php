<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\EngineSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/**
 * Where to start from: length and bore of the primaries, and the outlet. Rules of thumb, and they say so.
 */
final readonly class Tuning
{
    /** P = 850·ED/rpm and ID = 2.1·√(cc/(25·P)), in inches, ED in degrees and cc a cylinder. */
    private const BELL_LENGTH = 850;

    private const BELL_BORE = 2.1;

    private const BELL_VOLUME = 25;

    /** The usual outlet has so many times the area of one primary; handed down. */
    private const OUTLET_AREAS = 1.5;

    /** Walls near 16 gauge, mm. */
    private const WALLS_MM = [1.5, 1.8];

    /** The port that the formula counts on, in inches. */
    private const NOMINAL_PORT_IN = 3.0;

    /** @return array<string, Figure|Choice> nothing without the engine's figures */
    public static function of(Job $job, Shop $shop): array
    {
        $engine = $job->engine;
        if ($engine === null) {
            return [];
        }

        return $job->purpose === Purpose::Header ? self::sums($job, $engine, $shop) : [];
    }

    /**
     * ED = 180 + EVO; P = 850·ED/rpm − 3 in; ID = 2.1·√(cc / (25·(P + 3))) in [A. Graham Bell, Four-Stroke Performance
     * Tuning].
     *
     * @return array<string, Figure|Choice>
     */
    private static function sums(Job $job, EngineSpec $engine, Shop $shop): array
    {
        $source = Source::memory('A. Graham Bell, Four-Stroke Performance Tuning');
        $duration = 180 + $engine->exhaustOpensDeg;
        $fromValve = self::BELL_LENGTH * $duration / $engine->peakRpm;
        $length = max(0.0, Length::ofInches($fromValve)->mm - $engine->port->mm);
        $bore = Length::ofInches(self::BELL_BORE * sqrt($engine->cylinderCc / (self::BELL_VOLUME * $fromValve)))->mm;
        $given = [
            Input::of('exhaust opens before bottom dead centre', Quantity::Angle, $engine->exhaustOpensDeg),
            Input::of('rpm', Quantity::Count, $engine->peakRpm),
        ];
        $figures = [
            'length' => Figure::of(
                'set.tuning.length',
                'Primary length',
                Quantity::Length,
                $length,
                new Reason(
                    sprintf(
                        '850 × (180 + opening) ÷ rpm gives inches from the valve; the port itself is taken off. With the nominal %.0f in port it would be %s.',
                        self::NOMINAL_PORT_IN,
                        Quantity::Length->show(Length::ofInches($fromValve - self::NOMINAL_PORT_IN)->mm, $job->units),
                    ),
                    [...$given, Input::of('port', Quantity::Length, $engine->port->mm)],
                    $source,
                    'A rule of thumb: a starting point for the length all primaries are brought to. Higher speed asks for shorter tubes.',
                ),
            ),
            'bore' => Figure::of(
                'set.tuning.bore',
                'Primary bore',
                Quantity::Length,
                $bore,
                new Reason(
                    '2.1 × √(cylinder volume ÷ (25 × length from the valve)), in inches and cm³.',
                    [
                        Input::of('cylinder volume, cm³', Quantity::Count, $engine->cylinderCc),
                        Input::of('length from the valve', Quantity::Length, Length::ofInches($fromValve)->mm),
                    ],
                    $source,
                    'A rule of thumb; a larger bore moves the power up the rev range.',
                ),
            ),
        ];
        $figures = array_map(static fn (Figure $figure): Figure => $job->overrides->on($figure), $figures);
        $tube = self::nearest($shop, $figures['bore']->value);
        if ($tube === null) {
            return $figures;
        }

        return [
            ...$figures,
            'tube' => Choice::of(
                'set.tuning.tube',
                'Nearest tube with bends',
                $tube->name,
                new Reason(
                    'The bore nearest to the sum among tubes of 16 gauge or so that bends are stocked for.',
                    [Input::of('its bore', Quantity::Length, $tube->idMm())],
                    Source::geometry(),
                ),
            ),
            'outletLeast' => Figure::of(
                'set.tuning.outletLeast',
                'Collector outlet, for a choke',
                Quantity::Length,
                $tube->idMm(),
                new Reason(
                    'As wide as one primary.',
                    [],
                    Source::memory('handed down'),
                    'Peaky; measured on the dynamometer or left alone.',
                ),
            ),
            'outletMost' => Figure::of(
                'set.tuning.outletMost',
                'Collector outlet, usual',
                Quantity::Length,
                $tube->idMm() * sqrt(self::OUTLET_AREAS),
                new Reason(
                    'One and a half times the area of one primary.',
                    [],
                    Source::memory('handed down'),
                    'Wider when no choke is wanted; the straight behind the merge is twice the outlet or more.',
                ),
            ),
        ];
    }

    /** Gives the tube, with bends to be had and a wall near 16 gauge, whose bore is nearest; null where none is listed. */
    private static function nearest(Shop $shop, float $boreMm): ?TubeSize
    {
        $best = null;
        foreach ($shop->catalogue->tubes as $tube) {
            if (
                ! $tube->isPipe &&
                $tube->wallMm > self::WALLS_MM[0] &&
                $tube->wallMm < self::WALLS_MM[1] &&
                $shop->catalogue->bendsFor($tube->id) !== [] &&
                ($best === null || abs($tube->idMm() - $boreMm) < abs($best->idMm() - $boreMm))
            ) {
                $best = $tube;
            }
        }

        return $best;
    }
}
