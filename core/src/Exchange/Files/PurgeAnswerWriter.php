<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Shop\Practice\Contents;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\BottleDraw;
use UpsweptBead\Core\Solve\Gas\DeadLeg;
use UpsweptBead\Core\Solve\Gas\Draught;
use UpsweptBead\Core\Solve\Gas\FarLeg;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Held;
use UpsweptBead\Core\Solve\Gas\Holes;
use UpsweptBead\Core\Solve\Gas\Inside;
use UpsweptBead\Core\Solve\Gas\Opening;
use UpsweptBead\Core\Solve\Gas\PurgeRules;
use UpsweptBead\Core\Solve\Gas\PurgeStep;

/** Answers a purge problem, and writes the answer in the open format. */
final readonly class PurgeAnswerWriter
{
    public const FORMAT = 'purge-answer/1';

    /** More air than this (mL) that stays is warned of. */
    private const TRAPPED_ML = 5.0;

    /** @return array<string, mixed> */
    public static function toArray(PurgeProblem $problem): array
    {
        $assembly = $problem->assembly->joinedTo($problem->sequence[0]->joint->tube);
        $openings = self::of($assembly, $problem->openings);
        $reasons = self::impossible($problem, $assembly, $openings);
        if ($reasons !== []) {
            return self::refused($problem->name, $reasons);
        }
        $unwelded = array_values(array_filter(
            self::of($assembly, $problem->joints),
            static fn (GasJoint $one): bool => ! $one->isWelded,
        ));
        $leaks = array_values(array_filter($unwelded, static fn (GasJoint $one): bool => $one->isOpen()));
        $inside = new Inside($assembly, $openings, $leaks);
        $held = $inside->best($problem->poses, $problem->rules->mostVents);
        if ($held === null) {
            return self::refused($problem->name, [self::noVent()]);
        }
        $leaksMm2 = array_sum(array_map(static fn (GasJoint $one): float => $one->gapMm2, $leaks));
        $sizes = array_map(static fn (Opening $one): array => $one->holesMm, $held->vents);
        $holes = Holes::of($sizes === [] ? [[]] : $sizes, $leaksMm2, $problem->rules);
        $legs = DeadLeg::all($assembly, $leaks, $held);
        $tape = array_map(
            static fn (GasJoint $one): string => $one->id,
            array_values(array_filter($unwelded, static fn (GasJoint $one): bool => $one->mayTape)),
        );
        $account = self::account($problem, $holes, $inside->volumeMl() / 1000);
        $sequence = array_map(static fn (PurgeStep $one): string => $one->joint->id, $problem->sequence);

        return [
            'format' => self::FORMAT,
            'case' => $problem->name,
            'status' => 'planned',
            ...$problem->hasVise ? ['pose' => ['turn' => $held->pose->turnDeg, 'tilt' => $held->pose->tiltDeg]] : [],
            'volume_ml' => self::rounded($inside->volumeMl()),
            'trapped_ml' => self::rounded($held->trappedMl),
            'traps' => array_map(static fn (array $one): array => [
                'ml' => self::rounded($one[0]),
                'at' => array_map(self::rounded(...), $one[1]),
            ], $held->traps),
            'feed' => $held->feed->id,
            'vents' => array_map(static fn (Opening $one, float $mm): array => [
                'opening' => $one->id,
                'hole' => $mm,
            ], $held->vents, $holes->mm),
            'dams' => self::dams($assembly, $openings, $held),
            'tape' => $tape,
            'peel' => array_values(array_intersect($sequence, $tape)),
            ...self::flows($problem, $holes),
            ...$account,
            'dead_legs' => array_map(static fn (DeadLeg $one): array => [
                'tube' => $one->tube,
                'from' => $one->from,
                'length' => self::rounded($one->lengthMm),
            ], $legs),
            ...$leaks === [] ? [] : ['far_legs' => self::farLegs($assembly, $leaks, $held, $holes, $problem->rules)],
            'warnings' => [
                ...self::warnings($problem, $holes, $held, $legs),
                ...self::leaks($problem, $inside, $holes, $held, $leaks),
                ...($account['enough'] ?? true) === false
                    ? [['what' => 'bottle', 'by' => $account['short_l'] ?? []]]
                    : [],
            ],
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

    /**
     * @template T of Opening|GasJoint
     *
     * @param  list<T>  $some
     * @return list<T> of one assembly
     */
    private static function of(Assembly $assembly, array $some): array
    {
        return array_values(array_filter(
            $some,
            static fn (Opening|GasJoint $one): bool => isset($assembly->tubes[$one->tube]),
        ));
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<WeldRefusal>
     */
    private static function impossible(PurgeProblem $problem, Assembly $assembly, array $openings): array
    {
        foreach ($problem->sequence as $k => $step) {
            if (! isset($assembly->tubes[$step->joint->tube])) {
                return [new WeldRefusal('not-connected', "sequence[$k].joint", $step->joint->id)];
            }
        }
        $feeds = static fn (Opening $one): bool => $one->mayFeed;
        if (array_filter($problem->openings, $feeds) === []) {
            return [new WeldRefusal('no-feed', 'openings', 'none may be fed')];
        }
        if (array_filter($openings, $feeds) === []) {
            return [new WeldRefusal('not-connected', 'sequence[0].joint', $problem->sequence[0]->joint->id)];
        }
        $vents = array_filter($openings, static fn (Opening $one): bool => $one->holesMm !== []);

        return $vents === [] ? [self::noVent()] : [];
    }

    private static function noVent(): WeldRefusal
    {
        return new WeldRefusal('no-vent', 'openings', 'none may be vented while another is fed');
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<array<string, mixed>>
     */
    private static function dams(Assembly $assembly, array $openings, Held $held): array
    {
        $closed = array_filter(
            $openings,
            static fn (Opening $one): bool => $one !== $held->feed && ! in_array($one, $held->vents, true),
        );

        return array_values(array_map(static fn (Opening $one): array => [
            'opening' => $one->id,
            'diameter' => self::rounded(2 * $assembly->tubes[$one->tube]->radiusMm),
        ], $closed));
    }

    /** @return array<string, float> */
    private static function flows(PurgeProblem $problem, Holes $holes): array
    {
        $rules = $problem->rules;

        return [
            'min_vent_diameter' => self::rounded(Filling::ventMm($rules->fillFlow, $rules->pressurePa)),
            'pressure_pa' => self::rounded($holes->pressurePa($rules->fillFlow)),
            'max_flow' => self::rounded($holes->mostFlow($rules->pressurePa)),
            'hold_flow' => self::rounded(self::holdFlow($problem, $holes)),
        ];
    }

    private static function holdFlow(PurgeProblem $problem, Holes $holes): float
    {
        return min($problem->rules->holdFlow, $holes->mostFlow($problem->rules->pressurePa));
    }

    /** @return array<string, mixed> steps, argon, room and bottles */
    private static function account(PurgeProblem $problem, Holes $holes, float $volumeL): array
    {
        $rules = $problem->rules;
        $hold = self::holdFlow($problem, $holes);
        $steps = $phases = [];
        $purgeL = $torchL = 0.0;
        foreach ($problem->sequence as $step) {
            $changes = $step->changes($rules->targetPpm);
            $fillMin = $changes * $volumeL / $rules->fillFlow;
            $weldMin = $step->weldMin();
            $coolMin = $step->coolS / 60;
            $purge = $changes * $volumeL + $hold * ($weldMin + $coolMin);
            $torch = $rules->torchFlow * $weldMin;
            $steps[] = [
                'joint' => $step->joint->id,
                'changes' => self::rounded($changes),
                'fill_l' => self::rounded($changes * $volumeL),
                'fill_min' => self::rounded($fillMin),
                'weld_min' => self::rounded($weldMin),
                'cool_min' => self::rounded($coolMin),
                'purge_l' => self::rounded($purge),
                'torch_l' => self::rounded($torch),
            ];
            $id = $step->joint->id;
            $phases[] = [$id, 'fill', $fillMin, ['purge' => $rules->fillFlow, 'torch' => 0.0]];
            $phases[] = [$id, 'weld', $weldMin, ['purge' => $hold, 'torch' => $rules->torchFlow]];
            $phases[] = [$id, 'cool', $coolMin, ['purge' => $hold, 'torch' => 0.0]];
            $purgeL += $purge;
            $torchL += $torch;
        }

        return [
            'steps' => $steps,
            'argon' => [
                'purge_l' => self::rounded($purgeL),
                'torch_l' => self::rounded($torchL),
                'total_l' => self::rounded($purgeL + $torchL),
            ],
            ...$problem->bottles === []
                ? ['bottles' => [], 'runs_out' => [], 'enough' => true, 'short_l' => ['purge' => 0, 'torch' => 0]]
                : self::bottles($problem, $phases),
            'room_m3' => self::rounded(Filling::roomL($purgeL + $torchL) / 1000),
        ];
    }

    /**
     * @param  list<array{string, string, float, array<string, float>}>  $phases
     * @return array<string, mixed>
     */
    private static function bottles(PurgeProblem $problem, array $phases): array
    {
        $drawn = BottleDraw::of($problem->bottles, $problem->lines, $phases);

        return [
            'bottles' => array_map(static fn (Contents $one): array => [
                'id' => $one->id,
                'usable_l' => self::rounded($one->usableL()),
                'used_l' => self::rounded($drawn->usedL[$one->id]),
                'runs_out' => isset($drawn->runsOut[$one->id]) ? [
                    'joint' => $drawn->runsOut[$one->id][0],
                    'phase' => $drawn->runsOut[$one->id][1],
                    'minute' => self::rounded($drawn->runsOut[$one->id][2]),
                ] : null,
            ], $problem->bottles),
            'runs_out' => array_map(strval(...), array_keys($drawn->runsOut)),
            'enough' => array_sum($drawn->shortL) < 1e-6,
            'short_l' => array_map(self::rounded(...), $drawn->shortL),
        ];
    }

    /**
     * @param  list<DeadLeg>  $legs
     * @return list<array{what: string, by: mixed}>
     */
    private static function warnings(PurgeProblem $problem, Holes $holes, Held $held, array $legs): array
    {
        $rules = $problem->rules;
        $pressurePa = $holes->pressurePa($rules->fillFlow);
        $warnings = [];
        if ($pressurePa > $rules->pressurePa * (1 + 1e-9)) {
            $warnings[] = ['what' => 'pressure', 'by' => self::rounded($pressurePa)];
        }
        if ($held->trappedMl > self::TRAPPED_ML) {
            $warnings[] = ['what' => 'trapped', 'by' => self::rounded($held->trappedMl)];
        }
        if ($legs !== []) {
            $tubes = array_map(static fn (DeadLeg $one): string => $one->tube, $legs);
            $warnings[] = ['what' => 'dead-leg', 'by' => $tubes];
        }
        foreach ($problem->sequence as $step) {
            if (array_filter($legs, static fn (DeadLeg $one): bool => $one->holds($step->joint)) !== []) {
                $warnings[] = ['what' => 'joint-in-dead-leg', 'by' => $step->joint->id];
            }
        }

        return $warnings;
    }

    /**
     * Open joints, and whatever draws air in while the joint is welded, with how much.
     *
     * @param  list<GasJoint>  $leaks
     * @return list<array<string, mixed>>
     */
    private static function leaks(PurgeProblem $problem, Inside $inside, Holes $holes, Held $held, array $leaks): array
    {
        $openings = [];
        foreach ($held->vents as $i => $vent) {
            $openings[$vent->id] = [$inside->topMm($vent, $held->pose), M_PI / 4 * $holes->mm[$i] ** 2];
        }
        foreach ($leaks as $leak) {
            $openings[$leak->id] = [$inside->jointTopMm($leak, $held->pose), $leak->gapMm2];
        }
        $flows = count($openings) < 2 ? [] : Draught::flows($openings, self::holdFlow($problem, $holes));
        $air = array_map(
            static fn (float $one): float => self::rounded(-$one),
            array_filter($flows, static fn (float $one): bool => $one < -Draught::NOTHING_L_MIN),
        );
        $open = array_map(static fn (GasJoint $one): string => $one->id, $leaks);
        $by = array_values(array_unique([...$open, ...array_map(strval(...), array_keys($air))]));

        return $by === [] ? [] : [['what' => 'leak', 'by' => $by, ...$air === [] ? [] : ['air_l_min' => $air]]];
    }

    /**
     * @param  list<GasJoint>  $leaks
     * @return list<array<string, mixed>>
     */
    private static function farLegs(
        Assembly $assembly,
        array $leaks,
        Held $held,
        Holes $holes,
        PurgeRules $rules,
    ): array {
        return array_map(static fn (FarLeg $one): array => [
            'joint' => $one->joint,
            'share' => self::rounded($one->share),
            'flow' => self::rounded($one->flowLMin),
            'volume_ml' => self::rounded($one->volumeMl),
            'fill_min' => $one->minutes === INF ? null : self::rounded($one->minutes),
        ], FarLeg::all($assembly, $leaks, $held, $holes, $rules));
    }

    private static function rounded(float $value): float
    {
        return round($value, 5);
    }
}
