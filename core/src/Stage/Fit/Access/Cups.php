<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\GasCup;
use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\Search\StagedSeam;
use UpsweptBead\Core\Solve\Reach\Search\Tools;
use UpsweptBead\Core\Solve\Reach\Torch;

/** The torch, the cups and the wire of a shop, tried on seams: the one it likes best first, then ever smaller ones. */
final readonly class Cups
{
    /** Places looked at round a seam: every five degrees will do for a hand. */
    private const PLACES = 48;

    /** Behind the number of a cup whose tungsten stands out far. */
    private const LONG = ' long';

    /** Shares of a seam this near to each other are the same. */
    public const SAME = 0.005;

    /** Angles are tried in steps of this. */
    private const STEP_DEG = 10.0;

    /** Wire is fed at these angles over the seam, straight ahead and to either side (degrees). */
    private const RISE_DEG = [15.0, 30.0, 50.0];

    private const SIDE_DEG = [0.0, -40.0, 40.0];

    private Tools $tools;

    /** @var non-empty-list<Cup> largest first, each also with its tungsten far out */
    private array $cups;

    public function __construct(Shop $shop)
    {
        $rules = $shop->rules;
        $torch = new Torch(
            $rules->value('torch.head'),
            $rules->value('torch.length'),
            $rules->value('torch.gap'),
            [1, -1],
            self::angles(-$rules->value('torch.lean'), $rules->value('torch.lean')),
            self::angles(0.0, $rules->value('torch.back')),
        );
        $rod = new FillerRod(
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
        $this->tools = new Tools($torch, $rod, $cups);
    }

    /** How far anything can be from a seam and still be in the way, mm. */
    public function reachMm(): float
    {
        return $this->tools->reachMm();
    }

    /**
     * @param  array<string, list<InTheWay>>  $groups  what stands there, by name
     * @param  list<list<string>>  $stages  names of the groups that come new with each
     */
    public function on(SeamShape $shape, array $groups, array $stages): StagedSeam
    {
        return new StagedSeam($this->tools, $shape->seam, $groups, $stages, self::PLACES);
    }

    /**
     * The largest cup that gets to all of a seam; where none does, that which gets farthest. Only if the smallest does
     * are those between looked at.
     */
    public function best(SeamShape $shape, StagedSeam $seam, int $stage): CupFit
    {
        $with = fn (Cup $cup): CupFit => self::with($cup, $shape, $seam, $stage);
        $best = $with($this->cups[0]);
        if ($best->isWhole()) {
            return $best;
        }
        $smallest = $with($this->cups[count($this->cups) - 1]);
        if (! $smallest->isWhole()) {
            $long = $with($this->cups[1]);
            $best = $long->share > $best->share + self::SAME ? $long : $best;

            return $smallest->share > $best->share + self::SAME ? $smallest : $best;
        }
        foreach (array_slice($this->cups, 1, -1) as $cup) {
            $fit = $with($cup);
            if ($fit->isWhole()) {
                return $fit;
            }
        }

        return $smallest;
    }

    /** Whether a group alone closes some of what one cup gets to at first and does not at a stage. */
    public function isClosedBy(string $group, CupFit $fit, StagedSeam $seam, int $stage): bool
    {
        return $seam->isClosedBy($group, $fit->cup.($fit->isLong ? self::LONG : ''), $stage);
    }

    private static function with(Cup $cup, SeamShape $shape, StagedSeam $seam, int $stage): CupFit
    {
        [$arcs, $share] = $seam->reached($cup->id, $stage);

        return new CupFit((int) $cup->id, str_ends_with($cup->id, self::LONG), $shape->arcs($arcs), $share);
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
