<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\SeamPlace;

/**
 * One place of a seam that more and more is put up round. What was closed stays closed; a pose that was free is only
 * asked of what came new, and only where that is in its way is another looked for.
 */
final class StagedPlace
{
    /** @var array<string, list<InTheWay>> by group, what a torch here may meet */
    private readonly array $besideTorch;

    /** @var array<string, list<InTheWay>> and the rod */
    private readonly array $besideRod;

    /** @var array<string, ?int> by cup, stage and sense: the number of a pose that is free */
    private array $torchPoses = [];

    /** @var array<string, ?int> by stage and sense */
    private array $rodPoses = [];

    /**
     * @param  array<string, list<InTheWay>>  $groups
     * @param  list<list<string>>  $stages  names of the groups that come new with each
     */
    public function __construct(
        private readonly Tools $tools,
        private readonly SeamPlace $place,
        array $groups,
        private readonly array $stages,
    ) {
        $this->besideTorch = $tools->besideTorch($place, $groups);
        $this->besideRod = $tools->besideRod($place, $groups);
    }

    /** Whether torch and rod get there in one sense of travel, with all that stands there at a stage. */
    public function isOpen(string $cup, int $stage): bool
    {
        foreach ($this->tools->torch->senses as $sense) {
            // The rod has fewer ways to be held, and is the same for every cup.
            if ($this->rod($stage, $sense) !== null && $this->torch($cup, $stage, $sense) !== null) {
                return true;
            }
        }

        return false;
    }

    /** Whether they do with what stands there at first, and one group more. */
    public function isOpenWith(string $cup, string $group): bool
    {
        foreach ($this->tools->torch->senses as $sense) {
            $rod = $this->rod(0, $sense);
            $torch = $rod === null ? null : $this->torch($cup, 0, $sense);
            if ($rod !== null && $torch !== null
                && $this->rodPast($rod, [$group], [...$this->stages[0], $group], $sense) !== null
                && $this->torchPast($cup, $torch, [$group], [...$this->stages[0], $group], $sense) !== null) {
                return true;
            }
        }

        return false;
    }

    private function torch(string $cup, int $stage, int $sense): ?int
    {
        $key = "$cup $stage $sense";
        if (! array_key_exists($key, $this->torchPoses)) {
            $before = $stage > 0 ? $this->torch($cup, $stage - 1, $sense) : null;
            $other = "$cup $stage ".-$sense;
            $isOtherClosed = array_key_exists($other, $this->torchPoses) && $this->torchPoses[$other] === null;
            $this->torchPoses[$key] = match (true) {
                $stage === 0 => $this->tools->torches[$cup]->find(
                    $this->place,
                    $sense,
                    self::of($this->besideTorch, $this->stages[0]),
                    $isOtherClosed,
                ),
                $before === null => null,
                default => $this->torchPast(
                    $cup, $before, $this->stages[$stage], $this->until($stage), $sense, $isOtherClosed,
                ),
            };
        }

        return $this->torchPoses[$key];
    }

    private function rod(int $stage, int $sense): ?int
    {
        $key = "$stage $sense";
        if (! array_key_exists($key, $this->rodPoses)) {
            $before = $stage > 0 ? $this->rod($stage - 1, $sense) : null;
            $this->rodPoses[$key] = match (true) {
                $stage === 0 => $this->tools->rod->find(
                    $this->place,
                    $sense,
                    self::of($this->besideRod, $this->stages[0]),
                ),
                $before === null => null,
                default => $this->rodPast($before, $this->stages[$stage], $this->until($stage), $sense),
            };
        }

        return $this->rodPoses[$key];
    }

    /**
     * @param  list<string>  $new  groups
     * @param  list<string>  $all
     */
    private function torchPast(
        string $cup,
        int $pose,
        array $new,
        array $all,
        int $sense,
        bool $isOtherClosed = false,
    ): ?int {
        $came = self::of($this->besideTorch, $new);
        $torch = $this->tools->torches[$cup];

        return $came === [] || $torch->isFree($this->place, $sense, $pose, $came)
            ? $pose
            : $torch->find($this->place, $sense, self::of($this->besideTorch, $all), $isOtherClosed);
    }

    /**
     * @param  list<string>  $new  groups
     * @param  list<string>  $all
     */
    private function rodPast(int $pose, array $new, array $all, int $sense): ?int
    {
        $came = self::of($this->besideRod, $new);

        return $came === [] || $this->tools->rod->isFree($this->place, $sense, $pose, $came)
            ? $pose
            : $this->tools->rod->find($this->place, $sense, self::of($this->besideRod, $all));
    }

    /** @return list<string> of all groups that stand there at a stage */
    private function until(int $stage): array
    {
        return array_merge(...array_slice($this->stages, 0, $stage + 1));
    }

    /**
     * @param  array<string, list<InTheWay>>  $beside
     * @param  list<string>  $groups  what came last first: it is the likeliest to be in the way
     * @return list<InTheWay>
     */
    private static function of(array $beside, array $groups): array
    {
        $some = [];
        foreach (array_reverse($groups) as $group) {
            if (isset($beside[$group])) {
                array_push($some, ...$beside[$group]);
            }
        }

        return $some;
    }
}
