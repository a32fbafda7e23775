<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Gas\Held;
use UpsweptBead\Core\Solve\Gas\Hold;
use UpsweptBead\Core\Solve\Gas\Inside;
use UpsweptBead\Core\Solve\Gas\Opening;
use UpsweptBead\Core\Solve\Gas\Pose;
use UpsweptBead\Core\Solve\Gas\Through;

/**
 * Which opening to feed, which to vent and which to dam, and how to hold the piece: argon is heavier than air (1.661
 * against 1.204 kg/m³ at 20 °C), so it fills from the lowest opening and drives the air out of the highest. Air that
 * would have to go down first stays; held as on the vehicle if little does, else the way a vise allows that leaves
 * least.
 */
final readonly class PurgePose
{
    /** So much air (mL) is not worth holding a piece another way for. */
    public const WORTH_ML = 5.0;

    /** Slices along the tube (mm); a plan can do with wide ones. */
    private const STEP_MM = 4.0;

    /** Where several tubes are filled at once there is more to go through. */
    private const WIDE_STEP_MM = 8.0;

    /** Any hole in the dam of an end will do to find the way. */
    private const HOLE_MM = 10.0;

    /** Two vents at most; a third is one more that leaks. */
    private const MOST_VENTS = 2;

    /**
     * @param  float  $volumeL  of all that is filled
     * @param  Vector  $up  which way up is, in the axes of the vehicle
     * @param  string  $hold  how it is held, in words; '' as on the vehicle
     * @param  list<Mouth>  $vents
     * @param  list<Mouth>  $dams
     * @param  list<array{float, Vector}>  $traps  mL of air that stays and a place in it, the largest first
     * @param  list<string>  $standing  what lies there: whole runs and collectors by letter, pieces by mark
     * @param  list<string>  $filled  what of it is filled
     * @param  string  $entry  by which vent the torch goes in; '' where it does not
     */
    private function __construct(
        public float $volumeL,
        public Vector $up,
        public string $hold,
        public Mouth $feed,
        public array $vents,
        public array $dams,
        public float $trappedMl,
        public array $traps,
        public array $standing,
        public array $filled,
        private string $entry,
    ) {}

    /** What is enclosed, to be held one way after the other. */
    public static function inside(Enclosure $enclosed): Inside
    {
        $openings = array_values(array_map(
            static fn (Mouth $one): Opening => new Opening($one->id, $one->tube, $one->isStart, true, [self::HOLE_MM]),
            $enclosed->inside->mouths,
        ));

        $stepMm = $enclosed->isOne() ? self::STEP_MM : self::WIDE_STEP_MM;

        return new Inside($enclosed->inside->assembly, $openings, [], $stepMm);
    }

    /**
     * @param  Inside  $inside  of the same, or of what is enclosed and open alike
     * @param  Hold  $hold  flow and holes while it is welded
     */
    public static function of(Enclosure $enclosed, Inside $inside, Hold $hold): self
    {
        $through = $enclosed->through === null ? null : new Through($enclosed->through, ! $enclosed->isEntered);
        // The torch's mouth stands wide open: a vent above it would draw air in, one below it let the argon run out.
        $mostVents = $enclosed->isEntered ? 1 : self::MOST_VENTS;
        $best = null;
        $bestHold = '';
        foreach ($enclosed->ways as $way => $up) {
            $held = $inside->best([new Pose($up)], $mostVents, $through, $hold);
            // Of ways that leave about the same the first: standing before clamped.
            if ($held !== null && ($best === null || $held->trappedMl < $best->trappedMl - self::WORTH_ML)) {
                [$best, $bestHold] = [$held, "$way"];
            }
            if ($best !== null && $best->trappedMl <= self::WORTH_ML) {
                break;
            }
        }
        if ($best === null) {
            throw new \LogicException('What is filled has no two openings.');
        }
        $volumeL = $enclosed->isOne()
            ? array_sum(array_map(
                static fn ($tube): float => M_PI * $tube->radiusMm ** 2 * $tube->lengthMm * 1e-6,
                $enclosed->inside->assembly->tubes,
            ))
            : ($inside->volumeMl() + $enclosed->inside->moreMl) / 1000;

        return self::told($enclosed, $best, $bestHold, $volumeL);
    }

    /**
     * How it is held, and what goes where, in words.
     *
     * @param  \Closure(float): string  $length  shows a length in mm
     * @param  float  $ventMm  its least diameter
     * @return list<string>
     */
    public function lines(\Closure $length, float $ventMm): array
    {
        return [...$this->hold === '' ? [] : [$this->hold], ...$this->ends($length, $ventMm)];
    }

    /**
     * What goes where, in words.
     *
     * @param  \Closure(float): string  $length  shows a length in mm
     * @return list<string>
     */
    public function ends(\Closure $length, float $ventMm): array
    {
        $dams = array_map(
            static fn (Mouth $one): string => "$one->name ({$length($one->boreMm)})",
            $this->dams,
        );

        return [
            "Feed at {$this->feed->name}. {$this->wayOut($length($ventMm))}",
            ...$dams === [] ? [] : ['Dam '.implode(', ', $dams).'.'],
            ...$this->trappedMl < self::WORTH_ML ? [] : [sprintf(
                '△ About %.0f mL of air stay above the vent, however long it is filled: give it another vent at its highest place.',
                $this->trappedMl,
            )],
        ];
    }

    /** The same for whatever is held, fed and vented alike. */
    public function key(): string
    {
        $ids = array_map(static fn (Mouth $one): string => $one->id, [$this->feed, ...$this->vents]);

        return implode('+', [...$this->filled, $this->hold, ...$ids]);
    }

    /** Whether the torch goes in by a vent, so that the seam itself is not taped. */
    public function isEntered(): bool
    {
        return $this->entry !== '';
    }

    private function wayOut(string $atLeast): string
    {
        $names = array_map(static fn (Mouth $one): string => $one->name, $this->vents);
        if ($this->entry === '') {
            return sprintf('Vent at %s, %s at least.', implode(' and ', $names), $atLeast);
        }

        return "Leave $this->entry open: the torch goes in there, and the argon comes out. No other vent: one above it would draw air in.";
    }

    private static function told(Enclosure $enclosed, Held $held, string $hold, float $volumeL): self
    {
        $mouths = $enclosed->inside->mouths;
        $vents = array_map(static fn (Opening $one): Mouth => $mouths[$one->id], $held->vents);
        $feed = $mouths[$held->feed->id];

        return new self(
            $volumeL,
            $held->pose->up,
            $hold,
            $feed,
            $vents,
            array_values(array_filter(
                $mouths,
                static fn (Mouth $one): bool => $one !== $feed && ! in_array($one, $vents, true),
            )),
            $held->trappedMl,
            array_map(static fn (array $one): array => [$one[0], new Vector(...$one[1])], $held->traps),
            $enclosed->standing,
            $enclosed->inside->names,
            $enclosed->isEntered ? $mouths[$enclosed->through ?? '']->name ?? '' : '',
        );
    }
}
