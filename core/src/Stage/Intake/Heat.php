<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Intake\Load;
use UpsweptBead\Core\Job\Intake\Wet;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Purpose;

/** How hot the metal gets, and which metal stands that. */
final readonly class Heat
{
    /** Above this, time and again, plain 304 scales and loses its strength; from memory. */
    public const HOT_C = 815.0;

    /**
     * What the metal gets to: driven easily, on a hard pull, at full load for minutes. By the turbine it is what the
     * trade claims (370–480 °C idle, 815–980 °C on a hard pull) and seldom measures; the rest is our own figure.
     */
    private const METAL_C = [
        'turbo-manifold' => [480.0, 820.0, 930.0],
        'turbo-downpipe' => [430.0, 700.0, 820.0],
        'header' => [450.0, 680.0, 780.0],
        'collector' => [450.0, 680.0, 780.0],
        'system' => [250.0, 400.0, 520.0],
        'repair' => [350.0, 550.0, 700.0],
    ];

    /** @var list<string> from which a person may choose */
    private const METALS = ['304L', '321', '347', '316L', '409'];

    public static function temperature(Job $job, IntakeSpec $intake): Figure
    {
        $load = $intake->load ?? Load::Pulls;
        $column = match ($load) {
            Load::Easy => 0,
            Load::Pulls => 1,
            Load::Long => 2,
        };
        $usualC = self::METAL_C[$job->purpose->value][$column];
        $givenC = $job->engine?->metalC;
        $inputs = [
            Input::word('what it is', $job->purpose->label()),
            Input::word('load', $load->label().($intake->load === null ? ', as nobody said' : '')),
            ...$intake->gasC === null ? [] : [Input::of('the gas', Quantity::Temperature, $intake->gasC)],
        ];
        $isTurbine = in_array($job->purpose, [Purpose::TurboManifold, Purpose::TurboDownpipe], true);

        return $job->overrides->on(Figure::of(
            'intake.temperature',
            'Hottest metal',
            Quantity::Temperature,
            // The metal gets no hotter than the gas in it.
            $givenC ?? min($usualC, $intake->gasC ?? INF),
            $givenC !== null
                ? new Reason('As it stands with the engine’s figures.', $inputs, Source::geometry())
                : new Reason(
                    'What is usual for such a part under such a load; never above the gas.',
                    $inputs,
                    $isTurbine ? Source::trade() : new Source(SourceKind::Shop),
                    'A reading: a thermocouple, or a stripe of temperature paint, on the part that was there before.',
                ),
        ));
    }

    public static function metal(Job $job, IntakeSpec $intake, float $metalC): Choice
    {
        $isHot = $metalC >= self::HOT_C;
        $isSalt = $intake->wet === Wet::Salt;
        $isBehind = in_array($job->purpose, [Purpose::System, Purpose::TurboDownpipe, Purpose::Repair], true);
        [$metal, $rule] = match (true) {
            $isHot => ['321', 'From about 815 °C (1500 °F), heated and cooled again and again, a stabilised grade: 304 scales and loses its strength, and its joints lose chromium to carbide. 347 does the same.'],
            $isSalt && $isBehind => ['316L', 'Salt and wet pit 304L; 316L stands them. It is no heat alloy, so only where the metal stays below the heat that asks for 321.'],
            default => ['304L', '304L serves below about 815 °C (1500 °F): low carbon keeps its joints from losing chromium to carbide.'],
        };

        return $job->overrides->onChoice(Choice::of(
            'intake.metal',
            'Metal',
            $metal,
            new Reason(
                $rule,
                [
                    Input::of('hottest the metal gets', Quantity::Temperature, $metalC),
                    Input::word('outside', ($intake->wet ?? Wet::Dry)->label()),
                    Input::word('the job has', $job->metal),
                ],
                Source::trade(),
                $isBehind && ! $isHot
                    ? '409 costs less and grows less; its surface rusts. Metal and gas are not equally hot.'
                    : 'Metal and gas are not equally hot, and what is claimed for turbo cars is seldom measured.',
            ),
            array_map(static fn (string $one): Option => new Option(
                $one,
                $isHot && in_array($one, ['316L', '409'], true) ? 'it is no metal for that heat.' : '',
            ), self::METALS),
        ));
    }
}
