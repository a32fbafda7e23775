<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Access;

use UpsweptBead\Core\Reach\Cup;
use UpsweptBead\Core\Reach\FillerRod;
use UpsweptBead\Core\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Reach\Reach;
use UpsweptBead\Core\Reach\RoundSeam;
use UpsweptBead\Core\Reach\Torch;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Stock\GasCup;

/** The torch, the cups and the wire of a shop, tried on seams: the one it likes best first, then ever smaller ones. */
final readonly class Cups
{
    /** Places looked at round a seam: every five degrees will do for a hand. */
    private const PLACES = 72;

    /** Behind the number of a cup whose tungsten stands out far. */
    private const LONG = ' long';

    /** Shares of a seam this near to each other are the same. */
    public const SAME = 0.005;

    /** Angles are tried in steps of this. */
    private const STEP_DEG = 10.0;

    /** Wire is fed at these angles over the seam, straight ahead and to either side (degrees). */
    private const RISE_DEG = [15.0, 30.0, 50.0];

    private const SIDE_DEG = [0.0, -40.0, 40.0];

    private Torch $torch;

    private FillerRod $rod;

    /** @var non-empty-list<Cup> largest first, each also with its tungsten far out */
    private array $cups;

    public function __construct(Shop $shop)
    {
        $rules = $shop->rules;
        $this->torch = new Torch(
            $rules->value('torch.head'),
            $rules->value('torch.length'),
            $rules->value('torch.gap'),
            [1, -1],
            self::angles(-$rules->value('torch.lean'), $rules->value('torch.lean')),
            self::angles(0.0, $rules->value('torch.back')),
        );
        $this->rod = new FillerRod(
            $rules->value('rod.fingers'),
            $rules->value('rod.hand'),
            2 * $rules->value('rod.fingers'),
            $rules->value('torch.gap'),
            array_map(deg2rad(...), self::RISE_DEG),
            array_map(deg2rad(...), self::SIDE_DEG),
        );
        $most = min($rules->value('weld.cup'), $rules->value('torch.large_cup'));
        $least = $rules->value('torch.small_cup');
        $usable = array_filter(
            $shop->catalogue->cups,
            static fn (GasCup $cup): bool => $cup->number <= $most && $cup->number >= $least,
        );
        $usable = $usable === [] ? [$shop->catalogue->cup($most)] : $usable;
        $cups = [];
        foreach (array_reverse($usable) as $cup) {
            foreach (['' => $cup->stickOutMm, self::LONG => $cup->longMm] as $long => $stickOutMm) {
                $cups[] = new Cup($cup->number.$long, $cup->outsideMm / 2, $cup->lengthMm, $stickOutMm);
            }
        }
        $this->cups = $cups;
    }

    /** How far anything can be from a seam and still be in the way, mm. */
    public function reachMm(): float
    {
        $longest = max(array_map(static fn (Cup $cup): float => $cup->endMm(), $this->cups));

        return max(
            $longest + $this->torch->bodyLengthMm + $this->torch->bodyRadiusMm,
            $this->rod->startMm + $this->rod->lengthMm + $this->rod->radiusMm,
        );
    }

    /**
     * The largest cup that gets to all of a seam; where none does, that which gets farthest. Only if the smallest does
     * are those between looked at.
     *
     * @param  list<Obstacle>  $obstacles
     */
    public function best(SeamShape $shape, array $obstacles): CupFit
    {
        $best = $this->with($this->cups[0], $shape, $obstacles);
        if ($best->isWhole()) {
            return $best;
        }
        $smallest = $this->with($this->cups[count($this->cups) - 1], $shape, $obstacles);
        if (! $smallest->isWhole()) {
            $long = $this->with($this->cups[1], $shape, $obstacles);
            $best = $long->share > $best->share + self::SAME ? $long : $best;

            return $smallest->share > $best->share + self::SAME ? $smallest : $best;
        }
        foreach (array_slice($this->cups, 1, -1) as $cup) {
            $fit = $this->with($cup, $shape, $obstacles);
            if ($fit->isWhole()) {
                return $fit;
            }
        }

        return $smallest;
    }

    /**
     * With the cup that did best elsewhere.
     *
     * @param  list<Obstacle>  $obstacles
     */
    public function again(CupFit $fit, SeamShape $shape, array $obstacles): CupFit
    {
        foreach ($this->cups as $cup) {
            if ($cup->id === $fit->cup.($fit->isLong ? self::LONG : '')) {
                return $this->with($cup, $shape, $obstacles);
            }
        }

        return $this->best($shape, $obstacles);
    }

    /**
     * @param  list<Obstacle>  $obstacles
     */
    private function with(Cup $cup, SeamShape $shape, array $obstacles): CupFit
    {
        $reach = new Reach($this->torch, $this->rod, $obstacles, self::PLACES);
        $seam = $shape->seam;
        [$found] = $seam instanceof RoundSeam ? $reach->round($seam, [$cup]) : $reach->places($seam, [$cup]);

        return new CupFit(
            (int) $cup->id,
            str_ends_with($cup->id, self::LONG),
            $shape->arcs($found->rodArcs ?? $found->arcs),
            $found->share,
        );
    }

    /** @return non-empty-list<float> in radians, both ends among them */
    private static function angles(float $fromDeg, float $toDeg): array
    {
        $steps = max(1, (int) ceil(($toDeg - $fromDeg) / self::STEP_DEG));

        return array_map(
            static fn (int $i): float => deg2rad($fromDeg + ($toDeg - $fromDeg) * $i / $steps),
            range(0, $steps),
        );
    }
}
