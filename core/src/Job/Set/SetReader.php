<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorReader;
use UpsweptBead\Core\Job\Collector\OutletAxis;
use UpsweptBead\Core\Job\Collector\OutletLimit;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Part\PartReader;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\BendPlane;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RouteReader;
use UpsweptBead\Core\Job\Run\RoutingSpec;
use UpsweptBead\Core\Solve\Route\Problem\Preference;

/** Reads the part of a job that holds for its runs together: collectors, keep-outs, lengths. */
final readonly class SetReader
{
    private const MOST_KEEP_OUTS = 60;

    private const MOST_GROUPS = 16;

    private const MOST_DESIGNS = 12;

    private const MOST_PARTS = 32;

    private CollectorReader $collectors;

    /** @param  list<string>  $letters  of the runs there are */
    public function __construct(private UnitSystem $units, private array $letters)
    {
        $this->collectors = new CollectorReader($units, $letters);
    }

    public function read(Node $node): SetSpec
    {
        if ($node->isMissing()) {
            return new SetSpec;
        }
        $node->only([
            'collectors', 'keepOuts', 'lengths', 'designs', 'routing', 'outlets', 'parts', 'hangers', 'polished',
            'stubs',
        ]);
        $list = static fn (string $key, int $most): array => $node->at($key)->isMissing()
            ? []
            : $node->at($key)->items($most);
        $keepOuts = array_map($this->keepOut(...), $list('keepOuts', self::MOST_KEEP_OUTS));
        $names = array_map(static fn (KeepOutSpec $one): string => $one->name, $keepOuts);
        if (count(array_unique($names)) !== count($names)) {
            $node->at('keepOuts')->complain('double-name', 'has two entries of one name; each needs its own');
        }
        $collectors = $this->collectors->all($list('collectors', self::MOST_GROUPS), $node->at('collectors'));
        $lengths = array_map($this->lengths(...), $list('lengths', self::MOST_GROUPS));
        $this->refuseTwice(
            $node->at('lengths'),
            array_merge(...array_map(static fn (LengthSpec $one): array => $one->runs, $lengths)),
        );

        $designs = array_map($this->design(...), $list('designs', self::MOST_DESIGNS));
        $names = array_map(static fn (DesignSpec $one): string => $one->name, $designs);
        if (count(array_unique($names)) !== count($names)) {
            $node->at('designs')->complain('double-name', 'has two entries of one name; each needs its own');
        }

        $reader = new PartReader($this->units, $this->letters);
        $parts = array_map($reader->part(...), $list('parts', self::MOST_PARTS));
        $this->refuseTwice($node->at('parts'), array_map(static fn (PartSpec $one): string => $one->inlet, $parts));

        return new SetSpec(
            $collectors,
            $keepOuts,
            $lengths,
            $designs,
            $node->at('routing')->isMissing() ? new RoutingSpec() : $this->routing($node->at('routing')),
            array_map($this->outlet(...), $list('outlets', self::MOST_GROUPS)),
            $parts,
            array_map($reader->hanger(...), $list('hangers', self::MOST_PARTS)),
            array_values(array_unique(array_map($reader->letter(...), $list('polished', self::MOST_PARTS)))),
            array_values(array_unique(array_map($reader->letter(...), $list('stubs', self::MOST_PARTS)))),
        );
    }

    private function outlet(Node $node): OutletLimit
    {
        $node->only(['name', 'axis', 'least', 'most']);
        $length = fn (string $key): ?Length => $node->at($key)->isMissing()
            ? null
            : $node->at($key)->length($this->units);
        [$least, $most] = [$length('least'), $length('most')];
        if ($least === null && $most === null) {
            $node->at('least')->complain('missing', 'is missing, and so is the most; one of them must be given');
        } elseif ($least !== null && $most !== null && $least->mm > $most->mm) {
            $node->at('most')->complain('out-of-range', 'must be no less than the least');
        }

        return new OutletLimit(
            $node->at('name')->required(100),
            $node->at('axis')->choice(OutletAxis::class, OutletAxis::Rearward),
            $least,
            $most,
        );
    }

    private function routing(Node $node): RoutingSpec
    {
        $node->only([
            'firstStraight',
            'innerStraight',
            'lastStraight',
            'gap',
            'maxBends',
            'prefer',
            'planes',
            'evenGaps',
            'mirrored',
        ]);
        $lengths = new RouteReader($this->units);
        $length = static fn (string $key): ?Length => $node->at($key)->isMissing()
            ? null
            : $lengths->notNegative($node->at($key));
        $bends = $node->at('maxBends')->isMissing() ? null : (int) $node->at('maxBends')->number(12);
        if ($bends !== null && ($bends < 1 || $bends > 4)) {
            $node->at('maxBends')->complain('out-of-range', 'must be 1 to 4; more are for routes by hand');
        }

        $planes = $node->at('planes')->isMissing()
            ? []
            : array_map(
                static fn (Node $one): BendPlane => $one->choice(BendPlane::class, BendPlane::Level),
                $node->at('planes')->items(3),
            );
        $isAsked = static fn (string $key): bool => ! $node->at($key)->isMissing() && $node->at($key)->boolean();

        return new RoutingSpec(
            $length('firstStraight'), $length('innerStraight'), $length('lastStraight'), $length('gap'), $bends,
            $node->at('prefer')->choice(Preference::class, Preference::FewBends),
            array_values(array_unique($planes, SORT_REGULAR)), $isAsked('evenGaps'), $isAsked('mirrored'),
        );
    }

    public function design(Node $node): DesignSpec
    {
        $node->only(['name', 'note', 'runs']);
        $runs = array_map($this->designRun(...), $node->at('runs')->items(count($this->letters) + 16));
        $letters = array_map(static fn (DesignRun $run): string => $run->letter, $runs);
        $this->refuseTwice($node->at('runs'), $letters);

        return new DesignSpec($node->at('name')->required(60), $node->at('note')->text('', 300), $runs);
    }

    private function designRun(Node $node): DesignRun
    {
        $node->only(['letter', 'at', 'direction', 'route']);

        return new DesignRun(
            $node->at('letter')->required(2),
            Points::read($node->at('at'), $this->units),
            $node->at('direction')->direction(),
            (new RouteReader($this->units))->read($node->at('route')),
        );
    }

    private function keepOut(Node $node): KeepOutSpec
    {
        $node->only(['name', 'kind', 'shape', 'at', 'direction', 'to', 'size', 'radius', 'mesh', 'clearance', 'note']);
        $shape = $node->at('shape')->choice(KeepOutShape::class, KeepOutShape::Box);
        $at = Points::read($node->at('at'), $this->units);
        $bar = $shape->isBar();
        $to = $bar ? Points::read($node->at('to'), $this->units) : $at;
        if ($bar && hypot(hypot($to[0]->mm - $at[0]->mm, $to[1]->mm - $at[1]->mm), $to[2]->mm - $at[2]->mm) < 1e-3) {
            $node->at('to')->complain('no-length', 'must be another point than the first end');
        }
        $size =
            $shape === KeepOutShape::Box
                ? Points::read($node->at('size'), $this->units)
                : [Length::ofMm(1), Length::ofMm(1), Length::ofMm(1)];
        foreach ($size as $i => $edge) {
            if ($edge->mm <= 0) {
                $node->at('size')->complain('not-positive', 'must be three edges above 0');
            }
        }
        $radius = $bar ? $node->at('radius')->length($this->units) : Length::ofMm(1);
        if ($radius->mm <= 0) {
            $node->at('radius')->complain('not-positive', 'must be more than 0');
        }
        $mesh = $shape === KeepOutShape::Mesh ? $node->at('mesh')->required(32) : null;
        if ($mesh !== null && preg_match(MeshStore::NAME, $mesh) !== 1) {
            $node->at('mesh')->complain('bad-mesh', 'must be the fingerprint of an imported mesh, 32 of 0-9 and a-f');
        }
        $clearance = $node->at('clearance')->isMissing() ? null : $node->at('clearance')->length($this->units);
        if ($clearance !== null && $clearance->mm < 0) {
            $node->at('clearance')->complain('negative', 'must not be negative');
        }

        return new KeepOutSpec(
            $node->at('name')->required(60),
            $node->at('kind')->choice(KeepOutKind::class, KeepOutKind::Other),
            $shape,
            $at,
            $shape === KeepOutShape::HalfSpace || ! $node->at('direction')->isMissing()
                ? $node->at('direction')->direction()
                : new Vector(1, 0, 0),
            $to,
            $size,
            $radius,
            $clearance,
            $node->at('note')->text('', 300),
            $mesh,
        );
    }

    private function lengths(Node $node): LengthSpec
    {
        $node->only(['runs', 'target', 'tolerance']);
        $target = $node->at('target')->isMissing() ? null : $node->at('target')->length($this->units);
        if ($target !== null && $target->mm <= 0) {
            $node->at('target')->complain('not-positive', 'must be more than 0');
        }
        $tolerance = $node->at('tolerance')->isMissing() ? 1.0 : $node->at('tolerance')->number(100);
        if ($tolerance < 0.05) {
            $node->at('tolerance')->complain('out-of-range', 'must lie between 0.05 and 100 per cent');
        }

        return new LengthSpec($this->collectors->runs($node->at('runs')), $target, max($tolerance, 0.05));
    }

    /** @param  list<string>  $letters */
    private function refuseTwice(Node $node, array $letters): void
    {
        foreach (array_diff_key($letters, array_unique($letters)) as $letter) {
            $node->complain('twice', "names the run $letter twice");
        }
    }
}
