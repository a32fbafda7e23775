<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

/** Goes on in time by steps as long as they may be. */
final class Course
{
    private const FIRST_S = 0.2;

    private const LONGEST_S = 40.0;

    /** A step may be off by so much (K), and by so much of what it is above the coldest. */
    private const OFF_K = 0.25;

    private const OFF_SHARE = 0.012;

    /** A step grows and shrinks by no more than this at once. */
    private const GROWS = 2.5;

    private const SHRINKS = 0.3;

    private const CAREFUL = 0.85;

    /** Nothing changes any more (K/s). */
    private const SETTLED_KS = 2e-6;

    /** No seam takes longer than this to settle (s). */
    private const MOST_S = 48 * 3600.0;

    private float $stepS = self::FIRST_S;

    private float $powerW = 0.0;

    /** @param  float  $care  what a step may be off is so much more */
    public function __construct(
        private readonly Fin $fin,
        private readonly Gauges $gauges,
        private readonly float $care = 1.0,
    ) {}

    /** So many seconds, with so much heat going in. */
    public function go(float $seconds, float $powerW): void
    {
        if ($powerW !== $this->powerW) {
            $this->stepS = min($this->stepS, self::FIRST_S);
            $this->powerW = $powerW;
        }
        while ($seconds > 1e-9) {
            $count = max(1, (int) ceil($seconds / $this->stepS));
            $seconds -= $this->once($count === 1 ? $seconds : ($count === 2 ? $seconds / 2 : $this->stepS));
        }
    }

    /** Until all that was asked for is known, or nothing changes any more. */
    public function untilSettled(): void
    {
        $this->powerW = 0.0;
        for ($gone = 0.0; $gone < self::MOST_S && ! $this->gauges->isDone();) {
            $before = $this->fin->celsius;
            $seconds = $this->once($this->stepS, self::MOST_S);
            $gone += $seconds;
            $changed = 0.0;
            foreach ($this->fin->celsius as $i => $celsius) {
                $changed = max($changed, abs($celsius - $before[$i]));
            }
            if ($changed < self::SETTLED_KS * $seconds) {
                return;
            }
        }
    }

    /** @return float how long the step was that could be taken */
    private function once(float $seconds, float $longestS = self::LONGEST_S): float
    {
        $longestS = min($longestS, $this->gauges->longestS());
        $seconds = min($seconds, $longestS);
        while (true) {
            $allowed = $this->care * (self::OFF_K + self::OFF_SHARE * $this->fin->spreadK());
            $share = $allowed / max(1e-9, $this->fin->step($seconds, $this->powerW));
            $next = $seconds * max(self::SHRINKS, min(self::GROWS, self::CAREFUL * sqrt($share)));
            if ($share >= 1.0 || $seconds < 1e-3) {
                $this->fin->accept();
                $this->gauges->read($seconds, $this->powerW > 0.0);
                // A step that was cut short says little of how long it might have been.
                $isShort = $seconds < 0.99 * $this->stepS && $next >= 0.99 * self::GROWS * $seconds;
                $this->stepS = min($longestS, $isShort ? max($this->stepS, $next) : $next);

                return $seconds;
            }
            $seconds = $next;
        }
    }
}
