<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Account\Learning\Evidence;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Cut\ButtKind;
use UpsweptBead\Core\Stage\Step\StepKind;

/** What the newest of the shop's own log says of its rules, for whoever decides whether to go by it. */
final readonly class Learned
{
    public function __construct(private LoggedCases $cases) {}

    /** @return array<string, Evidence> by rule */
    public function all(): array
    {
        $shipped = ShopRules::shipped();
        $cases = [
            ...array_fill_keys(['weld.pace', ...array_column(ButtKind::cases(), 'value')], []),
            ...$this->cases->ofPlanned(StepKind::Weld, 'seconds'),
            ...$this->cases->ofPlanned(StepKind::Cool, 'shrink'),
            'cool.pace' => $this->cases->coolings(),
            'purge.used' => $this->cases->argon(),
            'fit.gap_usual' => $this->cases->gaps(),
            ...$this->cases->minutes(),
        ];
        $all = [];
        foreach ($cases as $rule => $some) {
            $all[$rule] = Evidence::of($some, $shipped->value($rule));
        }

        return $all;
    }
}
