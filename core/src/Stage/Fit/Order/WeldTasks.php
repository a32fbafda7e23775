<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * When each seam of the runs is welded, common practice: the inside of a donut's piece before it is closed in; fittings
 * once they were tried, while their piece is open; the butts on the bench, every other one so that neighbours cool,
 * first those that no torch reaches later; at last what ties the runs to flanges and collectors, a flange inside before
 * outside, hopping between ports.
 */
final readonly class WeldTasks
{
    private const INSIDE = 1.0;

    private const DRILLED = 4.0;

    private const ALONE = 6.0;

    private const BENCH = 6.5;

    /** Tabs behind the butts of their run. */
    private const TAB = 100.0;

    private const AT_PARTS_RANK = 8.0;

    /** What ties a run to a part, in the order it is done. */
    private const AT_PARTS = [
        JointType::VBandButt,
        JointType::FlangeSeal,
        JointType::FlangeFillet,
        JointType::InletButt,
        JointType::SlipFillet,
        JointType::Saddle,
    ];

    /**
     * @param  list<string>  $letters  as they go in
     * @param  list<string>  $stubs  letters of those that begin with a stub, whose flange is welded before
     * @param  list<string>  $collected  letters of those that go into a collector
     */
    public function __construct(
        private Graph $graph,
        private JointList $joints,
        private array $letters,
        private Access $access,
        private array $stubs,
        private array $collected,
    ) {}

    public function add(): void
    {
        foreach ($this->letters as $number => $letter) {
            $this->beforeClosing($letter, $number);
            $this->butts($letter, $number);
        }
        $this->atParts();
    }

    /** The insides of donuts, and fittings on the side. */
    private function beforeClosing(string $letter, int $number): void
    {
        foreach ($this->joints->ofRun($letter) as $i => $joint) {
            if ($joint->type === JointType::DonutSeam) {
                $this->weld($joint, Phase::Open, 'Before its piece is closed in.', [self::INSIDE, $number, $i]);
                foreach ($this->beside($joint->between->name, $letter) as $butt) {
                    $this->graph->before(
                        StepKind::Weld->key($joint->id),
                        StepKind::Tack->key($butt->id),
                        'Both ends of the piece are still open.',
                        'The seam inside is closed in unwelded; it opens from within.',
                    );
                }
            }
            if ($joint->type === JointType::Bung) {
                $this->fitting($joint, $letter, [self::DRILLED, $number, $i]);
            }
            if ($joint->type === JointType::Tab) {
                $this->tab($joint, $letter, $number, $i);
            }
            if ($joint->type === JointType::Crack) {
                $this->crack($joint, $letter, $number, $i);
            }
        }
    }

    /** @param  list<float>  $rank */
    private function fitting(Joint $joint, string $letter, array $rank): void
    {
        $piece = $joint->between->name;
        $this->weld($joint, Phase::Drilled, "Tried with its sensor in place, and before $piece is closed in.", $rank);
        $this->graph->before(
            count($this->letters) > 1 ? StepKind::Trial->key(Task::ALL) : StepKind::Trial->key($letter),
            StepKind::Weld->key($joint->id),
            'The room for its sensor, lead and spanner was tried.',
            'The hole is drilled where the sensor does not go in, in a piece that fits.',
        );
        $this->graph->before(
            StepKind::Weld->key($joint->id),
            StepKind::FullTack->key($letter),
            "$piece is loose and open at both ends: the root is reached, dressed and looked at.",
            'Its root stays as it falls, and swarf stays in the tube.',
        );
    }

    /** A tab, a bracket, a hanger: it is placed by what it is bolted to, so that holes meet. */
    private function tab(Joint $joint, string $letter, int $number, int $i): void
    {
        $name = lcfirst($joint->and->name);
        $this->graph->add(new Task(
            StepKind::Tack, $joint->id, Phase::Trial, $letter, $joint, $joint->and->name, $joint->between->name,
            "Tack the $name to {$joint->between->name}",
            'Bolted where it goes with its own bolt, the body panels hung: three tacks at its edge, then the bolt comes out.',
            [self::DRILLED, $number, $i],
        ));
        $this->graph->before(
            count($this->letters) > 1 ? StepKind::Trial->key(Task::ALL) : StepKind::Trial->key($letter),
            StepKind::Tack->key($joint->id),
            'The run stands where it goes, with all round it.',
            'Its hole does not meet what it is bolted to.',
        );
        $this->weld(
            $joint,
            Phase::Bench,
            'On the bench, a short run at a time on opposite sides; the heat goes on the tab and is washed onto the tube.',
            [self::BENCH, $number, self::TAB + $i],
        );
        $this->graph->before(
            StepKind::Tack->key($joint->id),
            StepKind::Weld->key($joint->id),
            'Placed by its own bolt.',
            'It is welded where the drawing has it, and the vehicle has not.',
        );
        $this->graph->before(
            StepKind::Tack->key($joint->id),
            StepKind::FullTack->key($letter),
            'The run still stands on the vehicle.',
            'It has to go back onto the vehicle for it.',
        );
        $this->graph->before(
            StepKind::Weld->key($joint->id),
            StepKind::Refit->key(Task::ALL),
            'On the bench it can be turned to where it is welded best.',
            'It is welded overhead.',
        );
    }

    /** A crack is ground out to its end before anything is welded; common practice. */
    private function crack(Joint $joint, string $letter, int $number, int $i): void
    {
        $this->graph->add(new Task(
            StepKind::Tack, $joint->id, Phase::Trial, $letter, $joint, '', $joint->between->name,
            "Grind out the crack in {$joint->between->name}",
            'A crack runs on from under a bead: its ends are found with dye and stopped before it is welded.',
            [self::DRILLED, $number, $i],
        ));
        $this->weld(
            $joint,
            Phase::Bench,
            'From its stopped ends towards the middle, a short run at a time, so that it is not pulled open again.',
            [self::BENCH, $number, self::TAB + $i],
        );
        $this->graph->before(
            StepKind::Tack->key($joint->id),
            StepKind::Weld->key($joint->id),
            'Ground out, its ends found and stopped.',
            'It opens again beside the bead.',
        );
        $this->graph->before(
            StepKind::Tack->key($joint->id),
            StepKind::FullTack->key($letter),
            'The run still stands as it cracked: it is seen what pulled it.',
            'It cracks again for the same reason.',
        );
    }

    private function butts(string $letter, int $number): void
    {
        $butts = array_values(array_filter(
            $this->joints->ofRun($letter),
            static fn (Joint $joint): bool => $joint->type->isButt(),
        ));
        foreach (self::everyOther($butts) as $i => $joint) {
            $by = $this->access->joints[$joint->id]->by ?? [];
            $this->weld(
                $joint,
                $by === [] ? Phase::Bench : Phase::Alone,
                match (true) {
                    $by !== [] => 'Before '.self::named($by).' beside it: no torch gets all round it afterwards.',
                    count($butts) > 2 => 'On the bench, in reach all round: while one cools, another is welded.',
                    default => 'Welded on the bench, in reach all round.',
                },
                [$by === [] ? self::BENCH : self::ALONE, $number, $i],
            );
            $this->graph->before(
                StepKind::FullTack->key($letter),
                StepKind::Weld->key($joint->id),
                'Tacked all round.',
                'The first bead pulls the joint open on its other side.',
            );
            $lost = $this->lost($joint);
            [$reason, $otherwise] = $by === []
                ? ['On the bench it can be turned to where it is welded best.', 'It is welded overhead.']
                : ["It is closed in later: $lost.", ucfirst("$lost; the rest stays open.")];
            $this->graph->before(StepKind::Weld->key($joint->id), StepKind::Refit->key(Task::ALL), $reason, $otherwise);
        }
    }

    private function atParts(): void
    {
        foreach (self::AT_PARTS as $turn => $type) {
            $joints = [];
            foreach ($this->letters as $letter) {
                array_push($joints, ...array_filter(
                    $this->joints->ofRun($letter),
                    fn (Joint $joint): bool => $joint->type === $type
                        && ! StubTasks::isOfStub($joint, $this->stubs),
                ));
            }
            foreach (Hopping::over($joints) as $i => $joint) {
                $this->weld(
                    $joint,
                    Phase::Together,
                    $type === JointType::SlipFillet && ! in_array($joint->run, $this->collected, true)
                        ? 'Last: what the tube goes into is welded on once the run has been proved.'
                        : self::why($type, count($this->letters) > 1),
                    [self::AT_PARTS_RANK, $turn, $i],
                );
                $this->atPart($joint);
            }
        }
    }

    private function atPart(Joint $joint): void
    {
        $isSet = count($this->letters) > 1;
        $this->graph->before(
            $isSet ? StepKind::Refit->key(Task::ALL) : StepKind::FullTack->key($joint->run),
            StepKind::Weld->key($joint->id),
            $isSet ? 'Every run stands in its place again.' : 'The run was proved from end to end.',
            'It is tied before it is where it belongs, and cannot be moved.',
        );
        foreach ($this->joints->ofRun($joint->run) as $other) {
            if ($other->type->isButt()) {
                $this->graph->before(
                    StepKind::Weld->key($other->id),
                    StepKind::Weld->key($joint->id),
                    'What shortens in welding has done so.',
                    'Every butt pulls the run shorter between two ends that are fixed.',
                );
            }
            if ($other->type === JointType::FlangeSeal && $joint->type === JointType::FlangeFillet) {
                $isSame = ($other->seam->stationMm <= 0.0) === ($joint->seam->stationMm <= 0.0);
                if ($isSame) {
                    $this->graph->before(
                        StepKind::Weld->key($other->id),
                        StepKind::Weld->key($joint->id),
                        'The inside seal comes before the outside: little heat, no colour through.',
                        'The fillet’s heat burns the bare inside, and the seal is welded over scale.',
                    );
                }
            }
            $ties = in_array($joint->type, [JointType::InletButt, JointType::SlipFillet, JointType::Saddle], true);
            if ($ties && in_array($other->type, [JointType::FlangeFillet, JointType::VBandButt], true)) {
                $this->graph->before(
                    StepKind::Weld->key($other->id),
                    StepKind::Weld->key($joint->id),
                    'The flange is bolted down and welded first; the other end gives way meanwhile.',
                    'Tied at both ends, the run pulls the flange out of flat.',
                );
            }
        }
    }

    /** @param  list<float>  $rank */
    private function weld(Joint $joint, Phase $phase, string $why, array $rank): void
    {
        $what = $joint->type === JointType::Bung ? "Drill, weld $joint->id" : "Weld $joint->id";
        $this->graph->add(
            new Task(StepKind::Weld, $joint->id, $phase, $joint->run, $joint, '', '', $what, $why, $rank),
        );
    }

    /** @return list<Joint> that a piece meets others at */
    private function beside(string $mark, string $letter): array
    {
        return array_values(array_filter(
            $this->joints->ofRun($letter),
            static fn (Joint $joint): bool => $joint->type !== JointType::DonutSeam
                && in_array($mark, [$joint->between->name, $joint->and->name], true),
        ));
    }

    private function lost(Joint $joint): string
    {
        $access = $this->access->joints[$joint->id] ?? null;

        return sprintf(
            'with %s in place a torch gets round %.0f %% of it',
            self::named($access->by ?? []),
            100 * ($access->together->share ?? 0.0),
        );
    }

    /** @param  list<string>  $letters  of runs and collectors, names of parts */
    private static function named(array $letters): string
    {
        $parts = array_filter($letters, static fn (string $one): bool => strlen($one) > 2);
        $runs = array_diff($letters, $parts);

        return implode(' and ', array_filter([
            $runs === [] ? '' : (count($runs) === 1 ? 'run ' : 'runs ').implode(', ', $runs),
            implode(', ', $parts),
        ], static fn (string $one): bool => $one !== ''));
    }

    private static function why(JointType $type, bool $isSet): string
    {
        return match ($type) {
            JointType::VBandButt => 'After the run has been proved on the vehicle; clamped to its mate so the ring stays round.',
            JointType::FlangeSeal => 'The inside seal comes before the outside: little heat, no colour through.'
                .($isSet ? ' From port to port like a bolt pattern, bolted to the fixture.' : ''),
            JointType::InletButt, JointType::SlipFillet => 'Last of all: the collector ties the runs to one another.',
            JointType::Saddle => 'The branch is tacked into its own run first, its hole cut from it as fitted; the saddle is welded last.',
            default => 'Last: it ties the run to its length.',
        };
    }

    /**
     * @param  list<Joint>  $joints  along one run
     * @return list<Joint>
     */
    private static function everyOther(array $joints): array
    {
        $order = [];
        foreach ([0, 1] as $offset) {
            for ($i = $offset; $i < count($joints); $i += 2) {
                $order[] = $joints[$i];
            }
        }

        return $order;
    }
}
