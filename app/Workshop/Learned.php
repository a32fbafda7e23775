<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Learning\Evidence;
use UpsweptBead\Core\Shop\ShopRules;

/** What the newest of the shop's own log says of its rules, for whoever decides whether to go by it. */
final readonly class Learned
{
    public function __construct(private LoggedCases $cases) {}

    /** @return array<string, Evidence> by rule */
    public function all(): array
    {
        $shipped = ShopRules::shipped();
        $cases = [
            'weld.pace' => $this->cases->ofPlanned('weld', 'seconds', 'weld.pace'),
            'weld.shrink' => $this->cases->ofPlanned('cool', 'shrink', 'weld.shrink'),
            'cool.pace' => $this->cases->coolings(),
            'purge.used' => $this->cases->argon(),
            'fit.gap_usual' => $this->cases->gaps(),
            'cost.fit_minutes' => LoggedCases::fitMinutes(),
        ];
        $all = [];
        foreach ($cases as $rule => $some) {
            $all[$rule] = Evidence::of($some, $shipped->value($rule));
        }

        return $all;
    }
}
