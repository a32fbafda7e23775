<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/** Reads what was measured at the vehicle, docs/job-file.md. */
final readonly class MeasuredReader
{
    public const MOST_POINTS = 40;

    public const MOST_READINGS = 150;

    /** What it costs to adjust goes with the third power of the numbers to be found. */
    public const MOST_NUMBERS = 100;

    private const MOST_TOUCHED = 24;

    private const MOST_NAME = 40;

    private const MOST_SIGMA_MM = 100.0;

    private const MOST_SIGMA_DEG = 20.0;

    /** @param  list<string>  $letters  of the runs there are */
    public function __construct(private UnitSystem $units, private array $letters) {}

    public function read(Node $node): MeasuredSpec
    {
        if ($node->isMissing()) {
            return new MeasuredSpec;
        }
        $node->only(['points', 'ends', 'readings']);
        $list = static fn (string $key, int $most): array => $node->at($key)->isMissing()
            ? []
            : $node->at($key)->items($most);
        $points = array_map($this->point(...), $list('points', self::MOST_POINTS));
        $ends = array_map($this->end(...), $list('ends', 2 * count($this->letters)));
        $ofEnds = [];
        foreach ($this->letters as $letter) {
            $ofEnds[] = MeasuredEnd::nameOf($letter, true);
            $ofEnds[] = MeasuredEnd::nameOf($letter, false);
        }
        $names = [...$ofEnds, ...array_map(static fn (MeasuredPoint $one): string => $one->name, $points)];
        $readings = [];
        foreach ($list('readings', self::MOST_READINGS) as $one) {
            $readings[] = $this->reading($one, $names, $ofEnds);
        }
        $this->refuseTooMuch($node, $points, $ends);
        $this->refuseTwice($node->at('points'), $names);
        $this->refuseTwice($node->at('ends'), array_map(static fn (MeasuredEnd $one): string => $one->name(), $ends));
        $ids = array_map(static fn (ReadingSpec $one): string => $one->id, $readings);
        $this->refuseTwice($node->at('readings'), $ids);

        return new MeasuredSpec($points, $ends, $readings);
    }

    /**
     * @param  list<MeasuredPoint>  $points
     * @param  list<MeasuredEnd>  $ends
     */
    private function refuseTooMuch(Node $node, array $points, array $ends): void
    {
        $numbers = 0;
        foreach ($points as $one) {
            $numbers += $one->at === null ? 3 : 0;
        }
        foreach ($ends as $one) {
            $numbers += ($one->hasPlace ? 3 : 0) + ($one->hasDirection ? 2 : 0);
        }
        if ($numbers > self::MOST_NUMBERS) {
            $node->complain('too-many', sprintf(
                'asks for %d numbers, three for each place and two for each direction; at most %d are worked out. Type the places of some points or ends',
                $numbers,
                self::MOST_NUMBERS,
            ));
        }
    }

    private function point(Node $node): MeasuredPoint
    {
        $node->only(['name', 'at', 'side']);
        $name = $node->at('name')->required(self::MOST_NAME);
        if ($name === MeasuredSpec::DATUM || str_contains($name, '.')) {
            $node->at('name')->complain('bad-name', 'must be a name of its own without a dot; “datum” is where all is measured from');
        }

        return new MeasuredPoint(
            $name,
            $node->at('at')->isMissing() ? null : Points::read($node->at('at'), $this->units),
            $this->way($node->at('side')),
        );
    }

    private function end(Node $node): MeasuredEnd
    {
        $node->only(['run', 'isStart', 'place', 'direction', 'side', 'facing']);
        $letter = $node->at('run')->required(2);
        if (! in_array($letter, $this->letters, true)) {
            $node->at('run')->complain('bad-run', 'must be a run of this job');
        }

        return new MeasuredEnd(
            $letter,
            $node->at('isStart')->boolean(),
            $node->at('place')->boolean(),
            $node->at('direction')->boolean(),
            $this->way($node->at('side')),
            $this->way($node->at('facing')),
        );
    }

    private function way(Node $node): ?Way
    {
        return $node->isMissing() ? null : $node->choice(Way::class, Way::Rearward);
    }

    /**
     * @param  list<string>  $names  of places
     * @param  list<string>  $ends
     */
    private function reading(Node $node, array $names, array $ends): ReadingSpec
    {
        $node->only([
            'id', 'kind', 'tool', 'of', 'with', 'way', 'toward', 'isOther', 'value', 'points', 'tolerance', 'leftOut',
        ]);
        $kind = $node->at('kind')->choice(ReadingKind::class, ReadingKind::Offset);
        $isAngle = self::isAngle($kind);
        $tool = $node->at('tool')->choice(Tool::class, $isAngle ? Tool::Finder : Tool::Tape);
        if ($tool->readsAngles() !== $isAngle) {
            $what = $isAngle ? 'an angle' : 'a length';
            $node->at('tool')->complain('bad-tool', "must be one that reads $what");
        }
        $places = [MeasuredSpec::DATUM, ...$names];
        $isOfPlace = [ReadingKind::Offset, ReadingKind::Tape, ReadingKind::Midpoint, ReadingKind::OnLine];
        $isOfEnd = ! in_array($kind, $isOfPlace, true);
        $of = $this->named($node->at('of'), $isOfEnd ? $ends : $places);
        $isWithEnds = in_array($kind, [ReadingKind::SquareTo, ReadingKind::Angle], true);
        $with = array_map(
            fn (Node $one): string => $this->named($one, $isWithEnds ? $ends : $places),
            $node->at('with')->isMissing() ? [] : $node->at('with')->items(2),
        );
        $this->refuseCompany($node, $kind, $of, $with);

        $id = $node->at('id')->required(20);
        if (preg_match('/^[\w-]+$/', $id) !== 1) {
            $node->at('id')->complain('bad-name', 'must be of letters and digits only');
        }

        return new ReadingSpec(
            $id,
            $kind,
            $tool,
            $of,
            $with,
            $this->wayOf($node, $kind),
            $this->toward($node, $kind),
            ! $node->at('isOther')->isMissing() && $node->at('isOther')->boolean(),
            $this->lengths($node->at('value'), $kind, $node->at('way')->isMissing()),
            $this->touched($node->at('points'), $kind, $places),
            $isAngle && ! in_array($kind, [ReadingKind::Level, ReadingKind::SquareTo], true)
                ? $this->angle($node->at('value'), $kind)
                : null,
            $node->at('tolerance')->isMissing() ? null : $this->tolerance($node->at('tolerance'), $isAngle),
            ! $node->at('leftOut')->isMissing() && $node->at('leftOut')->boolean(),
        );
    }

    private static function isAngle(ReadingKind $kind): bool
    {
        return match ($kind) {
            ReadingKind::Dip, ReadingKind::Bearing, ReadingKind::Lean, ReadingKind::Level, ReadingKind::SquareTo,
            ReadingKind::Angle => true,
            default => false,
        };
    }

    /** @param  list<string>  $known */
    private function named(Node $node, array $known): string
    {
        $name = $node->required(self::MOST_NAME);
        if ($name !== '' && ! in_array($name, $known, true)) {
            $node->complain('unknown-place', 'must be the name of a point or an end that can be meant here');
        }

        return $name;
    }

    /** @param  list<string>  $with */
    private function refuseCompany(Node $node, ReadingKind $kind, string $of, array $with): void
    {
        $asked = match ($kind) {
            ReadingKind::Midpoint, ReadingKind::OnLine => 2,
            ReadingKind::Offset, ReadingKind::Tape, ReadingKind::SquareTo, ReadingKind::Angle => 1,
            default => 0,
        };
        if (count($with) !== $asked) {
            $node->at('with')->complain('bad-count', match ($asked) {
                0 => 'must be left out: this reading is about one end only',
                1 => 'must name one other',
                default => 'must name two others',
            });
        } elseif (count(array_unique([$of, ...$with])) !== $asked + 1) {
            $node->at('with')->complain('same', 'must name others than the reading is about');
        }
    }

    private function wayOf(Node $node, ReadingKind $kind): ?Way
    {
        $at = $node->at('way');
        $way = $this->way($at);
        $allowed = match ($kind) {
            ReadingKind::Offset => $way?->isAgainst() !== true,
            ReadingKind::Bearing, ReadingKind::Lean => $way !== null && $way->axis() < 2,
            default => $way === null,
        };
        if (! $allowed) {
            $at->complain('bad-way', match ($kind) {
                ReadingKind::Offset => 'must be rearward, right or up, or be left out where all three are given',
                ReadingKind::Bearing, ReadingKind::Lean => 'must be rearward, forward, right or left',
                default => 'must be left out here',
            });
        }

        return $way;
    }

    private function toward(Node $node, ReadingKind $kind): ?Way
    {
        $at = $node->at('toward');
        $toward = $this->way($at);
        $way = $this->way($node->at('way'));
        $allowed = match ($kind) {
            ReadingKind::Dip, ReadingKind::Lean => $toward?->axis() === 2,
            ReadingKind::Bearing => $toward !== null && $toward->axis() < 2 && $toward->axis() !== $way?->axis(),
            default => $toward === null,
        };
        if (! $allowed) {
            $at->complain('bad-way', match ($kind) {
                ReadingKind::Dip, ReadingKind::Lean => 'must be up or down',
                ReadingKind::Bearing => 'must be a side: right or left of rearward and forward, and the other way about',
                default => 'must be left out here',
            });
        }

        return $toward;
    }

    /** @return list<Length> */
    private function lengths(Node $node, ReadingKind $kind, bool $areThree): array
    {
        return match (true) {
            $kind === ReadingKind::Offset && $areThree => $this->three($node),
            $kind === ReadingKind::Offset => [$node->length($this->units)],
            $kind === ReadingKind::Tape => [$this->positive($node)],
            $kind === ReadingKind::BoltCircle && ! $node->isMissing() => [$this->positive($node)],
            default => [],
        };
    }

    /** @return list<Length> */
    private function three(Node $node): array
    {
        if (! $node->isList()) {
            $node->complain('not-a-point', 'must be three lengths: rearward; right; up');

            return [];
        }

        return Points::read($node, $this->units);
    }

    private function positive(Node $node): Length
    {
        $length = $node->length($this->units);
        if ($length->mm <= 0.0) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return $length;
    }

    private function angle(Node $node, ReadingKind $kind): float
    {
        $most = in_array($kind, [ReadingKind::Dip, ReadingKind::Lean], true) ? 90.0 : 180.0;
        $deg = $node->quantity(Quantity::Angle, $this->units, 360);
        if (abs($deg) > $most || $kind === ReadingKind::Angle && $deg < 0.0) {
            $least = $kind === ReadingKind::Angle ? '0' : sprintf('−%.0f', $most);
            $node->complain('out-of-range', sprintf('must be between %s and %.0f degrees', $least, $most));
        }

        return $deg;
    }

    /**
     * @param  list<string>  $places
     * @return list<array{Length, Length, Length}|string>
     */
    private function touched(Node $node, ReadingKind $kind, array $places): array
    {
        $least = match ($kind) {
            ReadingKind::Rod => 2,
            ReadingKind::Face, ReadingKind::BoltCircle => 3,
            default => 0,
        };
        if ($least === 0) {
            if (! $node->isMissing()) {
                $node->complain('unknown', 'is only of a rod, a face or bolts');
            }

            return [];
        }
        $points = array_map(
            fn (Node $one): array|string => $one->isList()
                ? Points::read($one, $this->units)
                : $this->touchedAt($one, $places),
            $node->items(self::MOST_TOUCHED),
        );
        if (count($points) < $least) {
            $node->complain('too-few', "must be $least at least");
        }

        return $points;
    }

    /** @param  list<string>  $places */
    private function touchedAt(Node $node, array $places): string
    {
        $name = $node->asWritten();
        if (! in_array($name, $places, true)) {
            $node->complain('not-a-point', 'must be three lengths, rearward; right; up, or the name of a point');
        }

        return $name;
    }

    private function tolerance(Node $node, bool $isAngle): Length|float
    {
        $one = $isAngle ? $node->quantity(Quantity::Angle, $this->units, 360) : $node->length($this->units);
        $sigma = $one instanceof Length ? $one->mm : $one;
        $most = $isAngle ? self::MOST_SIGMA_DEG : self::MOST_SIGMA_MM;
        if ($sigma <= 0.0 || $sigma > $most) {
            $unit = $isAngle ? 'degrees' : 'mm';
            $node->complain('out-of-range', sprintf('must be above 0 and at most %.0f %s', $most, $unit));
        }

        return $one;
    }

    /** @param  list<string>  $names */
    private function refuseTwice(Node $node, array $names): void
    {
        foreach (array_unique(array_diff_key($names, array_unique($names))) as $name) {
            $node->complain('double-name', "has two entries of one name, \"$name\"; each needs its own");
        }
    }
}
