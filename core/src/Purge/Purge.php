<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Overrides;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Reason\Source;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;

/** The sums of filling a tube with argon. */
final readonly class Purge
{
    /** Oxygen in air (ppm by volume). */
    public const AIR_PPM = 209_500.0;

    /** Density of argon at 20 °C and 101.3 kPa (kg/m³), ideal gas. */
    private const ARGON_KG_M3 = 1.661;

    private const DISCHARGE = 0.61;

    /** Below this share of oxygen in the air a room is unsafe (% by volume). */
    public const SAFE_PERCENT = 19.5;

    /** Volume changes until well-mixed air is down to a target: ln(209 500/target). */
    public static function changes(float $targetPpm): float
    {
        return log(self::AIR_PPM / $targetPpm);
    }

    /** What is left after a number of changes of a well-mixed volume (ppm). */
    public static function leftPpm(float $changes): float
    {
        return self::AIR_PPM * exp(-$changes);
    }

    /** Seconds to pass a number of volume changes through a volume (L) at a flow (L/min). */
    public static function fillSeconds(float $volumeL, float $changes, float $flowLMin): float
    {
        return (60 * $changes * $volumeL) / $flowLMin;
    }

    /** Least vent diameter in mm that passes a flow (L/min) at no more than a pressure (Pa): Δp = ½ρ(Q/(Cd·A))². */
    public static function ventMm(float $flowLMin, float $pressurePa): float
    {
        $areaM2 = $flowLMin / 60_000 / (self::DISCHARGE * sqrt((2 * $pressurePa) / self::ARGON_KG_M3));

        return 1000 * sqrt((4 * $areaM2) / M_PI);
    }

    /** Pressure in Pa held back by a vent of a diameter (mm) at a flow (L/min). */
    public static function ventPressurePa(float $flowLMin, float $ventMm): float
    {
        $areaM2 = (M_PI / 4) * ($ventMm / 1000) ** 2;

        return (self::ARGON_KG_M3 / 2) * ($flowLMin / 60_000 / (self::DISCHARGE * $areaM2)) ** 2;
    }

    /** The closed room, in L, that this much argon (L) would take below 19.5 % oxygen if it mixed. */
    public static function roomL(float $argonL): float
    {
        return ($argonL * 20.95) / (20.95 - self::SAFE_PERCENT);
    }

    /**
     * Plans the purge of one joint.
     *
     * @param  float  $volumeL  what is enclosed
     * @param  float  $holdSeconds  welding, stops, and cooling until the root may see air
     */
    public static function plan(
        string $jointId,
        float $volumeL,
        float $holdSeconds,
        bool $upstreamOfTurbine,
        PurgePose $pose,
        ShopRules $rules,
        Overrides $overrides,
    ): PurgePlan {
        $key = "purge.$jointId";
        $targetRule = $rules->get($upstreamOfTurbine ? 'purge.target_hot' : 'purge.target');
        $target = $overrides->on(
            Figure::of(
                "$key.target",
                'Oxygen at most',
                Quantity::Oxygen,
                $targetRule->value,
                new Reason(
                    $upstreamOfTurbine
                        ? 'Upstream of a turbine: a crumb of burnt root would be swallowed.'
                        : 'Downstream of the turbine or engine, the shop’s general target.',
                    [$targetRule->asInput()],
                    $targetRule->source,
                    'The job’s purpose, or a written procedure. Above '.
                        number_format($rules->value('purge.stop')).
                        ' ppm stop welding.',
                ),
            ),
        );
        $changes = Figure::of(
            "$key.changes",
            'Volume changes',
            Quantity::Ratio,
            self::changes($target->value),
            new Reason(
                'Well mixed, oxygen falls as 209 500·e^(−n) ppm after n volume changes, so n = ln(209 500/target). Filling from below does better; dead ends do worse.',
                [Input::of('Oxygen at most', Quantity::Oxygen, $target->value)],
                Source::published('ideal mixing'),
            ),
        );
        $flowRule = $rules->get('purge.flow');
        $flow = $overrides->on(
            Figure::of(
                "$key.flow",
                'Fill flow',
                Quantity::Flow,
                $flowRule->value,
                new Reason('The shop’s fill flow; 10–20 CFH is usual.', [$flowRule->asInput()], $flowRule->source),
            ),
        );
        $volume = Figure::of(
            "$key.volume",
            'Enclosed',
            Quantity::Volume,
            $volumeL,
            new Reason(
                'The bore of what is closed in by the dams.',
                [],
                Source::geometry(),
                'Moving the dams closer to the joint.',
            ),
        );
        $fill = $overrides->on(
            Figure::of(
                "$key.fill",
                'Purge for',
                Quantity::Duration,
                self::fillSeconds($volumeL, $changes->value, $flow->value),
                new Reason(
                    'Volume changes × enclosed volume ÷ flow. Only a hint without an oxygen meter: wait for the reading.',
                    [
                        Input::of('Volume changes', Quantity::Ratio, $changes->value),
                        Input::of('Enclosed', Quantity::Volume, $volumeL),
                        Input::of('Fill flow', Quantity::Flow, $flow->value),
                    ],
                    Source::geometry(),
                    'More flow, a smaller dammed volume, or a meter that reads below the target sooner.',
                ),
            ),
        );
        $hold = $overrides->on(
            Figure::of(
                "$key.hold",
                'Hold flow',
                Quantity::Flow,
                $rules->value('purge.hold_flow'),
                new Reason(
                    'Turned down before the arc, and before the last tie-in above all, so that pressure does not blow the puddle out.',
                    [$rules->get('purge.hold_flow')->asInput()],
                    $rules->get('purge.hold_flow')->source,
                ),
            ),
        );

        return new PurgePlan(
            [
                'target' => $target,
                'volume' => $volume,
                'changes' => $changes,
                'flow' => $flow,
                'fill' => $fill,
                'vent' => self::vent($key, $flow->value, $rules),
                'hold' => $hold,
                'argon' => Figure::of(
                    "$key.argon",
                    'Purge argon',
                    Quantity::Volume,
                    ($flow->value * $fill->value) / 60 + ($hold->value * $holdSeconds) / 60,
                    new Reason(
                        'Fill flow for the purge, then hold flow while welding and until the root has cooled.',
                        [
                            Input::of('Fill', Quantity::Duration, $fill->value),
                            Input::of('Hold', Quantity::Duration, $holdSeconds),
                            $rules->get('purge.keep_until')->asInput(),
                        ],
                        Source::geometry(),
                    ),
                ),
            ],
            $pose,
        );
    }

    private static function vent(string $key, float $flowLMin, ShopRules $rules): Figure
    {
        $pressurePa = $rules->value('purge.vent_pressure');

        return Figure::of(
            "$key.vent",
            'Vent at least',
            Quantity::Length,
            self::ventMm($flowLMin, $pressurePa),
            new Reason(
                'Wide enough that the flow holds back no more than '.$pressurePa.' Pa: Δp = ½ρ(Q/(0.61·A))².',
                [Input::of('Fill flow', Quantity::Flow, $flowLMin)],
                Source::published('orifice equation, discharge coefficient 0.61'),
                'Less flow.',
            ),
        );
    }
}
