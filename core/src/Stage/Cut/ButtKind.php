<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Shop\Practice\ShopRules;

/**
 * Seams that pull their two sides together as they cool; how much is a rule of its own for each, as shops measure them.
 */
enum ButtKind: string
{
    case Tubes = 'weld.shrink';
    case Ring = 'weld.shrink_ring';
    case Wedges = 'weld.shrink_wedge';

    public function rule(ShopRules $rules): Rule
    {
        return $rules->get($this->value);
    }

    /** By how much the two sides come nearer to each other, on tube of a wall; mm. */
    public function shrinkMm(ShopRules $rules, float $wallMm): float
    {
        return $this->rule($rules)->value / 100 * $rules->value('weld.bead_to_wall') * $wallMm;
    }

    /**
     * @param  list<self>  $kinds
     * @return list<Input> what their shrink is worked out from
     */
    public static function inputs(array $kinds, ShopRules $rules, float $wallMm): array
    {
        return [
            Input::of('Wall', Quantity::Wall, $wallMm),
            $rules->get('weld.bead_to_wall')->asInput(),
            ...array_map(
                static fn (self $kind): Input => $kind->rule($rules)->asInput(),
                array_unique($kinds, SORT_REGULAR),
            ),
        ];
    }
}
