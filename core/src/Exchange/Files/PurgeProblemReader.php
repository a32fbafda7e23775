<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Practice\Contents;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Pose;
use UpsweptBead\Core\Solve\Gas\PurgeRules;
use UpsweptBead\Core\Solve\Gas\PurgeStep;

/** Reads the open purge format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class PurgeProblemReader
{
    public const FORMAT = 'purge-problem/1';

    private const MOST = 1e7;

    private const MOST_LISTED = 60;

    private const MOST_VENTS = 4;

    private const MOST_POSES = 2000;

    /** Lists whose entries are told by their ids. */
    private const BY_ID = ['tubes', 'nodes', 'saddles', 'openings', 'joints', 'bottles'];

    /**
     * @return PurgeProblem|non-empty-list<WeldRefusal> what is wrong with the file where it cannot be answered
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): PurgeProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        $parts = new PurgeParts($root);
        $assembly = $parts->assembly();
        $openings = $parts->openings();
        $joints = $parts->joints();
        $rules = self::rules($root);
        $sequence = array_map(
            static fn (Node $one): PurgeStep => self::step($one, $joints),
            $root->at('sequence')->items(self::MOST_LISTED),
        );
        if ($sequence === []) {
            $root->at('sequence')->complain('none', 'must have at least one joint');
        }
        $bottles = $root->at('bottles')->isMissing()
            ? []
            : array_map(self::bottle(...), $root->at('bottles')->items(self::MOST_LISTED));
        $lines = self::lines($root->at('lines'), array_map(static fn (Contents $one): string => $one->id, $bottles));
        $poses = self::poses($root);
        $wrong = $faults->onePerPlace();
        if ($wrong !== []) {
            return array_map(static fn (Fault $one): WeldRefusal => self::refusal($one, $json), $wrong);
        }
        assert($sequence !== []);

        return new PurgeProblem(
            $root->at('name')->text('', 200),
            $assembly,
            $openings,
            array_values($joints),
            $poses,
            ! $root->at('vise')->isMissing(),
            $rules,
            $sequence,
            $bottles,
            $lines,
        );
    }

    /** The format tells entries by their ids, not by their places. */
    private static function refusal(Fault $fault, string $json): WeldRefusal
    {
        $of = WeldRefusal::ofFault($fault);
        $document = json_decode($json, true);
        $path = $fault->path;
        $isListed = preg_match('/^(\w+)\[(\d+)\](.*)$/', $path, $found) === 1 && in_array($found[1], self::BY_ID, true);
        if (is_array($document) && $isListed) {
            $list = $document[$found[1]] ?? null;
            $entry = is_array($list) ? $list[(int) $found[2]] ?? null : null;
            $id = is_array($entry) ? $entry['id'] ?? null : null;
            $path = is_string($id) && $found[3] !== '.id' ? "$found[1].$id$found[3]" : $path;
        }

        $whole = (string) preg_replace('/(\.radii|\.points|\.vent|\.ends)\[.*$/', '$1', $path);

        return new WeldRefusal('invalid', $whole, $of->by);
    }

    private static function rules(Node $root): PurgeRules
    {
        [$rules, $gas] = [$root->at('rules'), $root->at('gas')];
        $vents = $rules->at('max_vents')->isMissing() ? 2.0 : $rules->at('max_vents')->number();
        if ($vents < 1.0 || $vents > self::MOST_VENTS || floor($vents) !== $vents) {
            $rules->at('max_vents')->complain('not-a-count', 'must be a whole number from 1 to '.self::MOST_VENTS);
        }

        return new PurgeRules(
            self::positive($rules->at('target_ppm')),
            self::positive($rules->at('pressure_limit')),
            max(1, min(self::MOST_VENTS, (int) $vents)),
            self::positive($gas->at('fill_flow')),
            self::positive($gas->at('hold_flow')),
            self::positive($gas->at('torch_flow')),
        );
    }

    /** @param  array<string, GasJoint>  $joints */
    private static function step(Node $node, array $joints): PurgeStep
    {
        $id = $node->at('joint')->required(100);
        if (! isset($joints[$id])) {
            $node->at('joint')->complain('unknown', 'must be one of the joints');
        }
        $starts = $node->at('starts')->number(self::MOST);
        if ($starts < 0.0 || floor($starts) !== $starts) {
            $node->at('starts')->complain('not-a-count', 'must be a whole number');
        }

        return new PurgeStep(
            $joints[$id] ?? new GasJoint($id, '', 0.0, 1.0, true, false),
            ProblemNumbers::within($node->at('arc_s'), 0, self::MOST),
            max(0, (int) $starts),
            ProblemNumbers::within($node->at('amps'), 0, self::MOST),
            ProblemNumbers::within($node->at('cool_s'), 0, self::MOST),
            $node->at('start_ppm')->isMissing() ? Filling::AIR_PPM : self::positive($node->at('start_ppm')),
        );
    }

    private static function bottle(Node $node): Contents
    {
        return new Contents(
            $node->at('id')->required(100),
            self::positive($node->at('capacity')),
            self::positive($node->at('full')),
            ProblemNumbers::within($node->at('gauge'), 0, self::MOST),
            ProblemNumbers::within($node->at('least'), 0, self::MOST),
        );
    }

    /**
     * @param  list<string>  $bottles
     * @return array<string, list<string>>
     */
    private static function lines(Node $node, array $bottles): array
    {
        $lines = [];
        foreach (['purge', 'torch'] as $line) {
            $lines[$line] = [];
            foreach ($node->at($line)->isMissing() ? [] : $node->at($line)->items(self::MOST_LISTED) as $one) {
                $id = $one->required(100);
                if (! in_array($id, $bottles, true)) {
                    $one->complain('unknown', 'must be one of the bottles');
                }
                $lines[$line][] = $id;
            }
        }

        return $lines;
    }

    /** @return non-empty-list<Pose> */
    private static function poses(Node $root): array
    {
        $up = new Vector(0, 0, 1);
        $vise = $root->at('vise');
        if ($vise->isMissing()) {
            $rotate = $root->at('pose')->at('rotate');
            $turns = $rotate->isMissing() ? [] : $rotate->items(self::MOST_LISTED);
            // Which way up is in the assembly's own axes: the turns undone, the last first.
            foreach (array_reverse($turns) as $one) {
                $axis = ProblemNumbers::direction($one->at('axis'));
                $up = $up->turnedAbout($axis, -$one->at('deg')->number(1e5));
            }

            return [new Pose($up)];
        }
        $axis = ProblemNumbers::direction($vise->at('axis'));
        $tiltAxis = $vise->at('tilt_axis')->isMissing()
            ? new Vector(0, 1, 0)
            : ProblemNumbers::direction($vise->at('tilt_axis'));
        $step = self::positive($vise->at('turn_step'));
        $listed = $vise->at('tilts')->isMissing() ? [] : $vise->at('tilts')->items(self::MOST_LISTED);
        $tilts = array_map(static fn (Node $one): float => $one->number(1e5), $listed);
        if (ceil(360 / $step) * max(1, count($tilts)) > self::MOST_POSES) {
            $vise->at('turn_step')->complain('too-small', 'makes more than '.self::MOST_POSES.' poses');
            $step = 360.0;
        }
        $poses = [];
        for ($k = 0; $k * $step < 360.0 - 1e-9; $k++) {
            foreach ($tilts === [] ? [0.0] : $tilts as $tilt) {
                $held = $up->turnedAbout($tiltAxis, -$tilt)->turnedAbout($axis, -$k * $step);
                $poses[] = new Pose($held, $k * $step, $tilt);
            }
        }

        return $poses === [] ? [new Pose($up)] : $poses;
    }

    private static function positive(Node $node): float
    {
        $value = $node->number(self::MOST);
        if ($node->isAbove(-INF) && $value <= 0.0) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return $value > 0.0 ? $value : 1.0;
    }
}
