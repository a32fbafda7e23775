<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Cool\WarmPlate;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/** What a flange is bolted to while it is welded and cools: it stays flat, and its heat goes somewhere. */
enum Backing: string
{
    case Block = 'aluminium block';
    case Plate = 'steel plate';
    case Free = 'nothing';

    /** @return ?array{Choice, self, string} with why what was wished for is not done; null where no flange is welded */
    public static function of(Joint $joint, ShopRules $rules, UnitSystem $units, Overrides $overrides): ?array
    {
        if (! self::isFor($joint->type)) {
            return null;
        }
        $choice = Choice::of("weld.$joint->id.backing", 'Bolted to', self::Block->value, new Reason(
            'A block thicker than the flange keeps it flat and takes its heat; the purge goes in or out through a hole in it. It warms, and counts as warm.',
            [Input::word('Block', self::Block->size($rules, $units))],
            Source::trade(),
            'What you bolt it to. Free, it bows, and cools for half an hour and more.',
        ), array_map(static fn (self $one): Option => new Option($one->value), self::cases()));
        $override = $overrides->of($choice->key);
        if ($override === null) {
            return [$choice, self::Block, ''];
        }
        $one = self::tryFrom(mb_strtolower(trim($override->value)));

        return $one === null
            ? [$choice, self::Block, sprintf(
                '"%s" is nothing a flange is bolted to: aluminium block, steel plate or nothing.',
                mb_substr($override->value, 0, 40),
            )]
            : [$choice->with($one->value, $override), $one, ''];
    }

    public static function isFor(JointType $type): bool
    {
        return $type === JointType::FlangeSeal || $type === JointType::FlangeFillet;
    }

    /** As it is called in a sentence. */
    public function withArticle(): string
    {
        return match ($this) {
            self::Block => 'an aluminium block',
            self::Plate => 'a steel plate',
            self::Free => 'nothing',
        };
    }

    /** Length by width by thickness, in words. */
    public function size(ShopRules $rules, UnitSystem $units): string
    {
        return implode(' × ', array_map(
            static fn (string $name): string => Quantity::Length->read($rules->value("plate.$name"), $units),
            ['length', 'width', 'thickness'],
        ));
    }

    /**
     * @param  float  $flangeMm2  of it that the flange covers
     */
    public function plate(ShopRules $rules, float $flangeMm2): ?WarmPlate
    {
        if ($this === self::Free) {
            return null;
        }
        [$length, $width, $thick] = array_map(
            static fn (string $name): float => $rules->value("plate.$name"),
            ['length', 'width', 'thickness'],
        );
        // It is no smaller than the flange.
        $face = max($length * $width, $flangeMm2);

        return new WarmPlate(
            $face * $thick * 1e-9 * $this->densityKgM3(),
            2 * $face - $flangeMm2 + 2 * ($length + $width) * $thick,
            $this->heatJKgK(),
        );
    }

    /** Common figures for either metal, from memory. */
    private function densityKgM3(): float
    {
        return $this === self::Block ? 2700.0 : 7850.0;
    }

    private function heatJKgK(): float
    {
        return $this === self::Block ? 900.0 : 490.0;
    }
}
