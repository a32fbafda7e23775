<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Hand\Bounds;
use UpsweptBead\Core\Solve\Route\Hand\Closing;
use UpsweptBead\Core\Solve\Route\Hand\Vertices;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Merge\Placement;

/**
 * One run of a job, changed by hand with the core holding the far end where it can. Each change gives the route it
 * leads to.
 */
final readonly class ByHand
{
    private TubeRun $run;

    private Frame $target;

    private Bounds $bounds;

    private function __construct(
        private RouteChoice $route,
        Frame $start,
        Frame $target,
        private Job $job,
        private Shop $shop,
        private string $tubeId,
    ) {
        $this->run = $route->from($start);
        $this->target = $target;
        $this->bounds = $this->boundsOf($this->run);
    }

    /** @throws \DomainException if there is no such run, or it has no route yet */
    public static function of(Job $job, Shop $shop, string $letter): self
    {
        $job = Placement::in($job, $shop);
        $spec =
            $job->run($letter) ??
            throw new \DomainException(sprintf('The job has no run "%s".', mb_substr($letter, 0, 10)));
        $route = $spec->route ?? throw new \DomainException("Run $letter has no route to change yet.");

        return new self($route, $spec->start->frame(), $spec->end->frame(), $job, $shop, $spec->tubeId);
    }

    /** @throws \DomainException if there is no such vertex */
    public function moveVertex(int $vertex, Vector $to): RouteChoice
    {
        return $this->route->changedTo(Vertices::moved($this->run, $this->target, $this->bounds, $vertex, $to));
    }

    /**
     * Brings the far end to its place with what is not locked; as near as it gets if it cannot. What is made already
     * stays where that will do, then bends keep their angles, so that stock bends stay stock bends.
     *
     * @param  list<int>  $made  values that work already done holds, counted as locks are
     */
    public function close(array $made = []): RouteChoice
    {
        $locks = $this->route->locks();
        $angles = array_map(static fn (int $bend): int => 3 * $bend + 2, array_keys($this->run->bends));
        foreach ([[...$made, ...$angles], $made, $angles] as $held) {
            $closing = Closing::of($this->run, $this->target, $locks->with($held), $this->bounds);
            if ($closing->isClosed()) {
                return $this->route->changedTo($closing->run);
            }
        }

        return $this->route->changedTo(Closing::of($this->run, $this->target, $locks, $this->bounds)->run);
    }

    /**
     * Makes the run so long, as near as it gets, with the far end in place and what is locked left alone. Lengths in
     * mm.
     */
    public function bringToLength(float $mm): RouteChoice
    {
        $locks = $this->route->locks();
        $wished = Closing::of($this->run, $this->target, $locks, $this->bounds, $mm);
        // Where it cannot come so far, the wish leaves the far end a little open; it goes as far as it stays closed.
        $near = $wished->isClosed() ? $wished : Closing::of($wished->run, $this->target, $locks, $this->bounds);

        return $this->route->changedTo(($near->isClosed() ? $near : $wished)->run);
    }

    /** @throws \DomainException if that leg takes no bend */
    public function insertBend(int $leg): RouteChoice
    {
        $last = count($this->run->bends);
        if ($leg < 0 || $leg > $last) {
            throw new \DomainException(sprintf('The run has %d legs; there is no leg %d.', $last + 1, $leg + 1));
        }
        $like = $this->run->bends[max(0, $leg - 1)] ?? ($this->run->bends[0] ?? null);
        $clrMm =
            $like->clrMm ??
            ($this->shop->catalogue->bendsFor($this->tubeId)[0]->clrMm ??
                throw new \DomainException('There are no bends for this tube.'));

        return $this->route->changedTo(Vertices::inserted($this->run, $this->target, $this->bounds, $leg, $clrMm));
    }

    /**
     * Takes a bend out and lets the others make up for it.
     *
     * @throws \DomainException if there is no such bend
     */
    public function removeBend(int $bend): RouteChoice
    {
        if (! isset($this->run->bends[$bend])) {
            throw new \DomainException(
                sprintf('The run has %d bends; there is no bend %d.', count($this->run->bends), $bend + 1),
            );
        }
        $bends = $this->run->bends;
        array_splice($bends, $bend, 1);

        return $this->settled(new TubeRun($this->run->start, $bends, $this->run->endStraightMm));
    }

    /** @throws \DomainException if it has no neighbour behind it, or no single bend turns so */
    public function mergeBend(int $first): RouteChoice
    {
        if (! isset($this->run->bends[$first], $this->run->bends[$first + 1])) {
            throw new \DomainException(
                sprintf('The run has %d bends; none stands behind bend %d to be merged with it.', count($this->run->bends), $first + 1),
            );
        }

        return $this->settled(Vertices::merged($this->run, $first));
    }

    /**
     * Closed again by what is left, if that can be done; otherwise as it came, with the far end telling what it lacks.
     */
    private function settled(TubeRun $run): RouteChoice
    {
        $closing = Closing::of($run, $this->target, new Locks, $this->boundsOf($run));

        return $this->route->changedTo($closing->isClosed() ? $closing->run : $run);
    }

    private function boundsOf(TubeRun $run): Bounds
    {
        return Bounds::of(
            $run,
            $this->shop->catalogue->bendsFor($this->tubeId),
            $this->job->set->routing->on($this->shop->rules->routing()),
        );
    }
}
