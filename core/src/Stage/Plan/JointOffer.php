<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\MadeBends;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** A joint that somebody wants at a place, or wants to be without: the job with it, and its cuts before and after. */
final readonly class JointOffer
{
    /** Two stations are the same joint within this (mm). */
    private const SAME_MM = 0.01;

    private function __construct(public CutPlan $now, public Job $job, public CutPlan $found) {}

    /**
     * @param  string  $mark  of a piece
     * @param  float  $atMm  where it is split, from its upstream end along the centreline, as finished
     *
     * @throws \DomainException if there is no such piece or joint, or no stock for what would come of it
     */
    public static function of(Job $job, Shop $shop, string $mark, JointWish $wish, float $atMm = 0.0): self
    {
        $sketch = Planner::sketch($job, $shop);
        [$run, $pieces, $piece] = self::find($sketch, $mark);
        $joints = array_map(static fn (Piece $one): float => $one->span->toMm, array_slice($pieces, 0, -1));
        $wanted = match ($wish) {
            JointWish::WithoutBefore => self::without($joints, $piece->span->fromMm, $mark),
            JointWish::WithoutAfter => self::without($joints, $piece->span->toMm, $mark),
            JointWish::Split => self::split($joints, $piece, $atMm, $job),
            JointWish::FromDonut => self::atTangents($joints, $piece, $run->run->lengthMm()),
        };
        self::check($run, $shop, $wanted, $piece, $wish);
        $stock = $wish === JointWish::FromDonut ? DonutChoice::of($sketch->cut, $run, $wanted, $piece, $shop) : [];
        $route = $run->spec->route ?? throw new \DomainException("Run {$run->spec->letter} has no route.");
        $with = $job->routed($run->spec->letter, $route->cutAs(new CutChoice(
            array_map(static fn (float $one): Length => Length::ofMm(round($one, 3)), $wanted),
            $stock,
        )));

        return new self($sketch->cut, $with, Planner::sketch($with, $shop)->cut);
    }

    /**
     * @param  list<float>  $joints
     * @return list<float>
     *
     * @throws \DomainException if there is none at that place
     */
    private static function without(array $joints, float $goneMm, string $mark): array
    {
        $kept = array_values(array_filter(
            $joints,
            static fn (float $one): bool => abs($one - $goneMm) > self::SAME_MM,
        ));

        return count($kept) < count($joints)
            ? $kept
            : throw new \DomainException("At that end of $mark the run ends; there is no joint between pieces.");
    }

    /**
     * @param  list<float>  $joints
     * @return list<float>
     *
     * @throws \DomainException if the place is not in the piece
     */
    private static function split(array $joints, Piece $piece, float $atMm, Job $job): array
    {
        if ($atMm < self::SAME_MM || $atMm > $piece->span->lengthMm() - self::SAME_MM) {
            throw new \DomainException(sprintf(
                'A joint in %s lies between 0 and %s from its upstream end.',
                $piece->mark,
                Quantity::Length->show($piece->span->lengthMm(), $job->units),
            ));
        }

        return self::withJoints($joints, [$piece->span->fromMm + $atMm]);
    }

    /**
     * @param  list<float>  $joints
     * @return list<float> with joints where the bend of a piece begins and ends
     *
     * @throws \DomainException if it has no bend of its own
     */
    private static function atTangents(array $joints, Piece $piece, float $runMm): array
    {
        if (! $piece->isBend()) {
            throw new \DomainException("$piece->mark has no bend that could come out of a donut.");
        }
        $tangents = [$piece->span->fromMm + $piece->span->legBeforeMm, $piece->span->toMm - $piece->span->legAfterMm];

        return self::withJoints($joints, array_values(array_filter(
            $tangents,
            static fn (float $at): bool => $at > self::SAME_MM && $at < $runMm - self::SAME_MM,
        )));
    }

    /**
     * @param  list<float>  $joints
     * @param  list<float>  $new
     * @return list<float> in order
     */
    private static function withJoints(array $joints, array $new): array
    {
        foreach ($new as $at) {
            $isThere = array_filter($joints, static fn (float $one): bool => abs($one - $at) <= self::SAME_MM);
            if ($isThere === []) {
                $joints[] = $at;
            }
        }
        sort($joints);

        return $joints;
    }

    /**
     * @return array{RoutedRun, list<Piece>, Piece} the run, its pieces, and the one that is meant
     *
     * @throws \DomainException
     */
    private static function find(Sketch $sketch, string $mark): array
    {
        foreach ($sketch->layout->runs as $run) {
            $pieces = $sketch->cut->piecesOf($run->spec->letter);
            foreach ($pieces as $piece) {
                if ($piece->mark === $mark) {
                    return [$run, $pieces, $piece];
                }
            }
        }
        throw new \DomainException(sprintf('The job has no piece %s.', mb_substr($mark, 0, 20)));
    }

    /**
     * @param  list<float>  $joints
     *
     * @throws \DomainException if no stock can give the pieces
     */
    private static function check(RoutedRun $run, Shop $shop, array $joints, Piece $piece, JointWish $wish): void
    {
        if (Jointing::at($run->run, MadeBends::stock($run->run, $run->tube, $shop), $joints) !== null) {
            return;
        }
        throw new \DomainException(match ($wish) {
            JointWish::Split, JointWish::FromDonut => "A joint cannot lie in the bend of $piece->mark, and both parts need stock that has them.",
            default => "No stock has both bends, or legs long enough, to make $piece->mark and its neighbour in one.",
        });
    }
}
