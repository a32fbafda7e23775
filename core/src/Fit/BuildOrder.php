<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Route\Insertion\Step;

/**
 * The order in which a whole job is fitted, common practice: collectors first, which are whole before a run goes on;
 * then fittings on the side, while their inside is in
 * reach; then run by run as they can go in, each from its datum outwards with the closing piece last.
 */
final readonly class BuildOrder
{
    /**
     * @param  list<string>  $letters  of the runs, as they go in
     * @param  array<string, TightSeam>  $tight  by joint
     */
    private function __construct(
        private JointList $joints,
        private array $letters,
        private ?Insertion $insertion,
        private array $tight,
    ) {}

    /**
     * @param  list<BuiltCollector>  $collectors
     * @param  list<string>  $letters  of the runs, as they go in
     * @param  list<TightSeam>  $tight
     * @return list<FitStep>
     */
    public static function of(
        JointList $joints,
        array $collectors,
        array $letters,
        ?Insertion $insertion,
        array $tight,
    ): array {
        // The tightest comes first and is the one to name.
        $order = new self($joints, $letters, $insertion, array_column(array_reverse($tight), null, 'joint'));
        $moves = [];
        foreach ($collectors as $collector) {
            array_push($moves, ...$order->collector($collector));
        }
        array_push($moves, ...$order->fittings());
        foreach ($letters as $letter) {
            array_push($moves, ...$order->run($letter));
        }

        return array_map(self::step(...), array_keys($moves), $moves);
    }

    /** @param  array{Joint, string}  $move */
    private static function step(int $i, array $move): FitStep
    {
        [$joint, $why] = $move;
        // A tube slides into its collector; everything else is brought to what stands there already.
        $slides = in_array($joint->type, [JointType::Slip, JointType::SlipFillet], true);
        [$brings, $to] = $slides ? [$joint->between, $joint->and] : [$joint->and, $joint->between];

        return new FitStep($i + 1, $joint->run, $joint->id, $brings->name, $to->name, $why);
    }

    /** @return list<array{Joint, string}> joint, and why now */
    private function collector(BuiltCollector $collector): array
    {
        $seams = $collector->seams();
        $moves = [];
        foreach ($this->joints->ofRun($collector->build->letter) as $i => $joint) {
            if ($joint->type === JointType::FlangeFillet) {
                continue;
            }
            if ($joint->type === JointType::MergeSeam && ! isset($seams[$i])) {
                $moves[] = [$joint, 'The middle is open at so wide an outlet: cut from the tube’s own wall, let in flush, once the tubes are whole.'];

                continue;
            }
            $moves[] = [$joint, isset($seams[$i])
                ? ($i === 0 ? 'The collector is whole before any run goes on: inside seams are out of reach afterwards. ' : '').$seams[$i]->why
                : 'Once its outlet is pressed round, and before any run goes on: it cannot be reached later.'];
        }

        return $moves;
    }

    /** @return list<array{Joint, string}> joint, and why now */
    private function fittings(): array
    {
        $moves = [];
        foreach ($this->letters as $letter) {
            foreach ($this->joints->ofRun($letter) as $joint) {
                if ($joint->type === JointType::Bung) {
                    $moves[] = [$joint, "Drilled and welded while {$joint->between->name} is still open at both ends: "
                        .'the root can be reached, dressed and looked at.'];
                }
            }
        }

        return $moves;
    }

    /** @return list<array{Joint, string}> */
    private function run(string $letter): array
    {
        // A flange is fitted once; its outside fillet is a second pass, not a second move.
        $joints = array_values(
            array_filter(
                $this->joints->ofRun($letter),
                static fn (Joint $joint): bool => $joint->type !== JointType::Bung &&
                    $joint->type !== JointType::FlangeFillet,
            ),
        );

        return array_map(
            fn (int $i): array => [
                $joints[$i],
                $this->goingIn($letter, $i).$this->why($joints[$i], $i, count($joints)).$this->room($joints[$i]),
            ],
            array_keys($joints),
        );
    }

    private function why(Joint $joint, int $i, int $count): string
    {
        return match (true) {
            $i === 0 && $joint->type === JointType::VBandButt => 'The datum: everything else is measured from it. '
                .'The piece stays able to turn in the ring until the far end agrees.',
            $joint->type === JointType::PieCut => 'Wedge by wedge, each turned half round from the way it lay in the stick; the angle is checked before the next goes on.',
            $joint->type === JointType::Saddle => 'Ground until it seats without a gap and marked on the fitted branch; only then is the hole cut. Root and edge of the hole are dressed while a hand still gets there.',
            $i === 0 => 'The datum: everything else is measured from it. Bevelled, faced and clean before it is fixed.',
            $joint->type === JointType::Slip => 'Slides in to its depth mark and turns to its line; it is not welded.',
            $joint->type === JointType::SlipFillet => 'Slides in to its depth mark; tacked there, it holds the run and its part together.',
            $i === $count - 1 => 'The closing joint: the last piece was cut long and is trimmed to meet the part here.',
            default => 'Built outwards from the datum, so that every error shows before the next piece is cut to its line.',
        };
    }

    /** How the run gets past those that are there already; said once, at its first joint. */
    private function goingIn(string $letter, int $i): string
    {
        if ($i > 0 || count($this->letters) < 2) {
            return '';
        }
        foreach ($this->insertion->order ?? [] as $place => $step) {
            if ($step->tube === $letter) {
                return sprintf('Run %s goes in %s, %s. ', $letter, $this->place($place), self::how($step));
            }
        }

        return '';
    }

    private function place(int $place): string
    {
        return match (true) {
            $place === 0 => 'first',
            $place === count($this->letters) - 1 => 'last',
            default => 'after '.implode(', ', array_slice($this->letters, 0, $place)),
        };
    }

    private static function how(Step $step): string
    {
        return $step->along->value.
            ($step->tip === null ? '' : sprintf(', tipped by %.0f° on the way', $step->tip->deg));
    }

    private function room(Joint $joint): string
    {
        $seam = $this->tight[$joint->id] ?? null;

        return $seam === null
            ? ''
            : " Weld it before run $seam->other stands beside it: no torch gets there afterwards.";
    }
}
