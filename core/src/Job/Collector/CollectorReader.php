<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;

/** Reads the collectors of a job: which runs meet there, and how each is made. */
final readonly class CollectorReader
{
    /** @param  list<string>  $letters  of the runs there are */
    public function __construct(private UnitSystem $units, private array $letters) {}

    /**
     * @param  list<Node>  $nodes
     * @return list<CollectorSpec>
     */
    public function all(array $nodes, Node $list): array
    {
        $collectors = array_map($this->collector(...), $nodes);
        $this->refuseTwice($list, array_merge(...array_map(
            static fn (CollectorSpec $one): array => $one->runs,
            $collectors,
        )), 'names the run %s twice');
        $builds = array_values(array_filter(array_map(
            static fn (CollectorSpec $one): ?CollectorBuild => $one->build,
            $collectors,
        )));
        $this->refuseTwice(
            $list,
            [...$this->letters, ...array_map(static fn (CollectorBuild $one): string => $one->letter, $builds)],
            'gives the letter %s twice; runs and collectors each need their own',
        );
        $into = array_filter(
            array_map(static fn (CollectorBuild $one): ?string => $one->into, $builds),
            is_string(...),
        );
        $this->refuseTwice($list, array_values($into), 'lets run %s begin at two outlets');

        return $collectors;
    }

    private function collector(Node $node): CollectorSpec
    {
        $node->only(['name', 'runs', 'assignment', 'firing', 'entry', 'build']);
        $mode = $node->at('assignment')->choice(AssignmentMode::class, AssignmentMode::Fixed);
        $runs = $this->runs($node->at('runs'));
        $firing = $node->at('firing')->isMissing() ? [] : $this->runs($node->at('firing'));
        if ($mode === AssignmentMode::Cyclic && array_diff($runs, $firing) !== array_diff($firing, $runs)) {
            $node
                ->at('firing')
                ->complain('bad-order', 'must name each run of the collector once: '.implode(', ', $runs));
        }

        return new CollectorSpec(
            $node->at('name')->required(60),
            $runs,
            $mode,
            $firing,
            $node->at('entry')->choice(CollectorEntry::class, CollectorEntry::Welded),
            $node->at('build')->isMissing() ? null : $this->build($node->at('build'), $runs),
        );
    }

    /** @param  list<string>  $runs */
    private function build(Node $node, array $runs): CollectorBuild
    {
        $node->only([
            'letter', 'make', 'inlets', 'tube', 'at', 'axis', 'turn', 'bend', 'outlet', 'poses', 'into', 'part',
        ]);
        $inlets = (int) $node->at('inlets')->number(CollectorBuild::MOST_INLETS);
        if ($inlets < 2 || (float) $inlets !== $node->at('inlets')->number(CollectorBuild::MOST_INLETS)) {
            $node->at('inlets')->complain('out-of-range', 'must be a whole number from 2 to 6');
        }
        if (count($runs) > $inlets) {
            $node
                ->at('inlets')
                ->complain('too-few', sprintf('must be %d at least: so many runs end here', count($runs)));
        }
        $make = $node->at('make')->choice(CollectorMake::class, CollectorMake::Straight);
        $poses = $node->at('poses')->isMissing() ? [] : array_map($this->pose(...), $node->at('poses')->items(
            CollectorBuild::MOST_INLETS,
        ));
        if ($poses !== [] && ($make->isMade() || count($poses) !== $inlets)) {
            $node->at('poses')->complain('bad-poses', 'are for a bought collector, one for each of its inlets');
        }
        $into = $this->optional($node->at('into'), 2);
        if ($into !== null && (! in_array($into, $this->letters, true) || in_array($into, $runs, true))) {
            $node->at('into')->complain('bad-run', 'must be a run of this job that does not end in this collector');
        }

        return new CollectorBuild(
            $node->at('letter')->required(2),
            $make,
            max(2, $inlets),
            $node->at('tube')->required(40),
            Points::read($node->at('at'), $this->units),
            $node->at('axis')->direction(),
            $node->at('turn')->isMissing() ? 0.0 : $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
            $this->optional($node->at('bend'), 60),
            $this->optional($node->at('outlet'), 40),
            $poses,
            $into,
            $node->at('part')->isMissing() ? null : $this->part($node->at('part')),
        );
    }

    private function optional(Node $node, int $most): ?string
    {
        return $node->isMissing() ? null : $node->required($most);
    }

    private function pose(Node $node): InletPose
    {
        $node->only(['at', 'direction']);

        return new InletPose(Points::read($node->at('at'), $this->units), $node->at('direction')->direction());
    }

    private function part(Node $node): OutletPart
    {
        $node->only(['kind', 'name', 'metal', 'wall']);
        $kind = $node->at('kind')->choice(EndKind::class, EndKind::VBand);
        if ($kind !== EndKind::VBand && $kind !== EndKind::Flange) {
            $node->at('kind')->complain('bad-kind', 'must be v-band or flange: what is welded to an outlet');
        }
        $wall = $node->at('wall')->length($this->units);
        if ($wall->mm <= 0) {
            $node->at('wall')->complain('not-positive', 'must be more than 0');
        }

        return new OutletPart(
            $kind,
            $node->at('name')->required(100),
            $node->at('metal')->required(40),
            $wall->mm > 0 ? $wall : Length::ofMm(1),
        );
    }

    /** @return list<string> */
    public function runs(Node $node): array
    {
        $runs = [];
        foreach ($node->items(count($this->letters) + 16) as $item) {
            $letter = $item->required(2);
            if (! in_array($letter, $this->letters, true) || in_array($letter, $runs, true)) {
                $item->complain('bad-run', 'must be a run of this job, each once: '.implode(', ', $this->letters));
            }
            $runs[] = $letter;
        }

        return $runs;
    }

    /** @param  list<string>  $letters */
    private function refuseTwice(Node $node, array $letters, string $said): void
    {
        foreach (array_unique(array_diff_key($letters, array_unique($letters))) as $letter) {
            $node->complain('twice', sprintf($said, $letter));
        }
    }
}
