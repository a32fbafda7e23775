<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

use UpsweptBead\Core\Base\Document\ShippedTable;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Stock\BendStock;

/** The shop's rules: common practice as shipped, with the shop's own values in place where it has set them. */
final readonly class ShopRules
{
    /** @param  array<string, Rule>  $rules */
    private function __construct(public array $rules) {}

    public static function shipped(): self
    {
        $rules = [];
        foreach (ShippedTable::rows(dirname(__DIR__, 3).'/data/rules.csv') as $row) {
            $quantity = Quantity::from($row['quantity']);
            $rules[$row['key']] = new Rule(
                $row['key'],
                $row['label'],
                $quantity,
                $quantity->parse($row['value'], UnitSystem::Metric),
                $quantity->parse($row['least'], UnitSystem::Metric),
                $quantity->parse($row['most'], UnitSystem::Metric),
                ShippedTable::source($row),
            );
        }

        return new self($rules);
    }

    /**
     * Puts the shop's own value in place of a shipped one.
     *
     * @throws \OutOfBoundsException if there is no such rule
     * @throws UnreadableQuantity if the text is not a value of the rule's kind, or lies beyond its bounds
     */
    public function with(string $key, string $text, UnitSystem $units): self
    {
        $rule = $this->get($key);
        $value = $rule->quantity->parse($text, $units);
        if (! $rule->takes($value)) {
            $range = "$rule->label takes {$rule->range($units)}";
            throw UnreadableQuantity::outOfRange($rule->quantity->value, $text, $range);
        }

        return new self([...$this->rules, $key => $rule->set($value, new Source(SourceKind::Shop))]);
    }

    /** @throws \OutOfBoundsException if there is no such rule */
    public function get(string $key): Rule
    {
        return $this->rules[$key] ?? throw new \OutOfBoundsException(sprintf('There is no shop rule "%s".', $key));
    }

    /** A rule in the base unit of its quantity (mm, °, A, s, L, kg). */
    public function value(string $key): float
    {
        return $this->get($key)->value;
    }

    /** What one bend, elbow or donut costs. */
    public function priceOf(BendStock $bend): float
    {
        return $this->value($bend->isRing() ? 'cost.donut' : 'cost.bend');
    }

    public function routing(): RoutingLimits
    {
        return new RoutingLimits(
            $this->value('route.first_straight'),
            $this->value('route.inner_straight'),
            $this->value('route.last_straight'),
            $this->value('route.least_angle'),
            new AngleGrid($this->value('route.angle_step'), $this->value('route.angle_window')),
        );
    }
}
