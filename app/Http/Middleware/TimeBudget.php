<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Symfony\Component\HttpFoundation\Response;

/** A bound on the processor's time that a request may take, while it holds something that others wait for. */
final class TimeBudget
{
    /**
     * @param  int  $mostS  of the processor's time; a request that takes more is ended
     * @param  Closure(): Response  $work
     * @param  Closure(): mixed  $giveBack  what was held; called once, whichever way the work ends
     */
    public static function within(int $mostS, Closure $work, Closure $giveBack): Response
    {
        $isHeld = true;
        // A second call would take it from whoever has it by then.
        $once = static function () use ($giveBack, &$isHeld): void {
            if ($isHeld) {
                $isHeld = false;
                $giveBack();
            }
        };
        // A request that runs out of time ends where it is: its finally blocks do not run.
        register_shutdown_function($once);
        $usual = (int) ini_get('max_execution_time');
        set_time_limit($mostS);
        try {
            return $work();
        } finally {
            set_time_limit($usual);
            $once();
        }
    }
}
