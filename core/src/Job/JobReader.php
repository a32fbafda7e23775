<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Document\Faults;
use UpsweptBead\Core\Document\Node;
use UpsweptBead\Core\Document\UnusableDocument;
use UpsweptBead\Core\Reason\Override;
use UpsweptBead\Core\Reason\Overrides;
use UpsweptBead\Core\Units\Length;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Reads the open job format (docs/job-file.md). Hostile or broken input never gets further than a list of faults. */
final readonly class JobReader
{
    private const MOST_RUNS = 16;

    private const MOST_FITTINGS = 12;

    private const MOST_OVERRIDES = 500;

    private RouteReader $routes;

    private function __construct(private UnitSystem $units)
    {
        $this->routes = new RouteReader($units);
    }

    /** @throws UnusableDocument if the text is no job document at all */
    public static function fromJson(string $json): JobReading
    {
        $faults = new Faults;

        return self::read(Node::open($json, Job::FORMAT, Job::VERSION, $faults), $faults);
    }

    /** @throws UnusableDocument if the decoded value is no job document at all */
    public static function fromDecoded(mixed $document): JobReading
    {
        $faults = new Faults;

        return self::read(Node::wrap($document, Job::FORMAT, Job::VERSION, $faults), $faults);
    }

    private static function read(Node $root, Faults $faults): JobReading
    {
        $root->only(['job', 'engine', 'runs', 'set', 'overrides']);
        $head = $root->at('job')->only(['number', 'title', 'customer', 'vehicle', 'purpose', 'units', 'metal', 'note']);
        $units = $head->at('units')->choice(UnitSystem::class, UnitSystem::Inch);
        $reader = new self($units);
        $runs = array_map($reader->run(...), $root->at('runs')->items(self::MOST_RUNS));
        self::refuseDoubles($root->at('runs'), $runs);
        $overrides = $root->at('overrides')->isMissing() ? [] : $root->at('overrides')->items(self::MOST_OVERRIDES);
        $job = new Job(
            $head->at('number')->required(40),
            $head->at('title')->required(),
            $head->at('customer')->text('', 200),
            $head->at('vehicle')->text('', 200),
            $head->at('purpose')->choice(Purpose::class, Purpose::System),
            $units,
            $head->at('metal')->required(40),
            $head->at('note')->text(),
            $runs,
            new Overrides(array_map(self::override(...), $overrides), $units),
            (new SetReader($units, array_map(static fn (RunSpec $run): string => $run->letter, $runs)))->read(
                $root->at('set'),
            ),
            $root->at('engine')->isMissing() ? null : $reader->engine($root->at('engine')),
        );

        return new JobReading($faults->all() === [] ? $job : null, $faults->all());
    }

    private function run(Node $node): RunSpec
    {
        $node->only(['letter', 'name', 'tube', 'start', 'end', 'route', 'fittings']);
        $letter = $node->at('letter')->required(2);
        if (preg_match('/^[A-Z]{1,2}$/', $letter) !== 1) {
            $node->at('letter')->complain('bad-letter', 'must be one or two capital letters');
        }

        return new RunSpec(
            $letter,
            $node->at('name')->text('', 100),
            $node->at('tube')->required(60),
            $this->start($node->at('start')),
            $this->end($node->at('end')),
            $node->at('route')->isMissing() ? null : $this->routes->read($node->at('route')),
            array_map(
                $this->fitting(...),
                $node->at('fittings')->isMissing() ? [] : $node->at('fittings')->items(self::MOST_FITTINGS),
            ),
        );
    }

    private function start(Node $node): RunEnd
    {
        $start = $this->end($node);
        if ($start->kind->slipsIn()) {
            $node->at('kind')->complain('not-at-a-start', 'must be v-band, flange or open: only the end of a run slips into a part');
        }

        return $start;
    }

    private function end(Node $node): RunEnd
    {
        $node->only(['kind', 'name', 'at', 'direction', 'up', 'metal', 'wall', 'bolts', 'bore']);
        $at = array_map(fn (Node $item): Length => $item->length($this->units), $node->at('at')->items(3));
        if (count($at) !== 3) {
            $node->at('at')->complain('not-a-point', 'must be three lengths: rearward, right, up');
            $at = [Length::ofMm(0), Length::ofMm(0), Length::ofMm(0)];
        }
        $wall = $node->at('wall')->length($this->units);
        if ($wall->mm <= 0) {
            $node->at('wall')->complain('not-positive', 'must be more than 0');
        }

        return new RunEnd(
            $node->at('kind')->choice(EndKind::class, EndKind::Open),
            $node->at('name')->text('', 100),
            $at,
            $node->at('direction')->direction(),
            $node->at('up')->isMissing() ? null : $node->at('up')->direction(),
            $node->at('metal')->required(40),
            $wall,
            $node->at('bolts')->isMissing() ? null : $this->bolts($node->at('bolts')),
            $node->at('bore')->isMissing() ? null : $this->bore($node->at('bore')),
        );
    }

    private function bolts(Node $node): FlangeBolts
    {
        $node->only(['count', 'circle', 'turn', 'flats']);
        $count = (int) $node->at('count')->number(12);
        if ($count < 2) {
            $node->at('count')->complain('out-of-range', 'must be 2 studs at least and 12 at most');
        }

        return new FlangeBolts(
            max(2, $count),
            $this->positive($node->at('circle')),
            $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
            $this->positive($node->at('flats')),
        );
    }

    private function bore(Node $node): Bore
    {
        $node->only(['shape', 'width', 'height', 'corner', 'turn']);
        $shape = $node->at('shape')->choice(BoreShape::class, BoreShape::Round);
        $width = $this->positive($node->at('width'));
        $height =
            $node->at('height')->isMissing() || $shape === BoreShape::Round
                ? $width
                : $this->positive($node->at('height'));
        $corner =
            $node->at('corner')->isMissing() || $shape !== BoreShape::Rectangle
                ? Length::ofMm(0)
                : $this->routes->notNegative($node->at('corner'));
        if ($shape === BoreShape::D && $height->mm < $width->mm / 2) {
            $node
                ->at('height')
                ->complain(
                    'out-of-range',
                    'must be half the width at least: the half circle of a D is as wide as its foot',
                );
        }
        if (2 * $corner->mm > min($width->mm, $height->mm)) {
            $node->at('corner')->complain('out-of-range', 'must be no more than half of the shorter side');
        }

        return new Bore(
            $shape,
            $width,
            $height,
            $corner,
            $node->at('turn')->isMissing() ? 0.0 : $node->at('turn')->quantity(Quantity::Angle, $this->units, 360),
        );
    }

    private function engine(Node $node): EngineSpec
    {
        $node->only(['cylinderCc', 'exhaustOpens', 'peakRpm', 'port', 'metalC']);

        return new EngineSpec(
            $this->within($node->at('cylinderCc'), 20, 3000, 'cm³ of one cylinder'),
            $this->within($node->at('exhaustOpens'), 20, 120, '° before bottom dead centre'),
            $this->within($node->at('peakRpm'), 500, 20_000, 'turns a minute'),
            $this->routes->notNegative($node->at('port')),
            $node->at('metalC')->isMissing() ? null : $this->within($node->at('metalC'), 100, 1200, '°C of the metal'),
        );
    }

    private function within(Node $node, float $least, float $most, string $what): float
    {
        $value = $node->number();
        if ($value < $least || $value > $most) {
            $node->complain(
                'out-of-range',
                sprintf('must lie between %s and %s %s', number_format($least), number_format($most), $what),
            );

            return $least;
        }

        return $value;
    }

    private function positive(Node $node): Length
    {
        $length = $node->length($this->units);
        if ($length->mm <= 0) {
            $node->complain('not-positive', 'must be more than 0');

            return Length::ofMm(1);
        }

        return $length;
    }

    private function fitting(Node $node): Fitting
    {
        $node->only(['kind', 'station', 'fromTop']);

        return new Fitting(
            $node->at('kind')->choice(FittingKind::class, FittingKind::OxygenSensorBung),
            $this->routes->notNegative($node->at('station')),
            $node->at('fromTop')->quantity(Quantity::Angle, $this->units, 180),
        );
    }

    private static function override(Node $node): Override
    {
        $node->only(['figure', 'value', 'why']);

        return new Override(
            $node->at('figure')->required(100),
            $node->at('value')->required(60),
            $node->at('why')->text('', 300),
        );
    }

    /** @param  list<RunSpec>  $runs */
    private static function refuseDoubles(Node $node, array $runs): void
    {
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $runs);
        foreach (array_diff_key($letters, array_unique($letters)) as $letter) {
            $node->complain('double-letter', "has two runs with the letter $letter");
        }
    }
}
