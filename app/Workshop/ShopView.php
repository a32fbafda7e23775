<?php

declare(strict_types=1);

namespace App\Workshop;

use BackedEnum;
use UpsweptBead\Core\Account\Learning\Evidence;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Shop\Practice\Saw;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;

/** What the shop works by, as its screen shows it: practices with their reasons, every rule beside common practice. */
final readonly class ShopView
{
    /** What rules are about, by how their keys begin. */
    private const GROUPS = [
        'Welding' => ['weld', 'torch', 'rod'],
        'Purge' => ['purge'],
        'Cooling and schedule' => ['cool', 'plate', 'schedule'],
        'Measuring at the vehicle' => ['measure'],
        'Fit and tacks' => ['fit', 'slip', 'bung', 'egt', 'finish', 'outlet'],
        'Cutting' => ['cut', 'saw', 'pie'],
        'Routes' => ['route', 'set', 'mock'],
        'Clearances' => ['clear'],
        'Collectors and flanges' => ['merge', 'flange', 'flat'],
        'Growth' => ['growth'],
        'Times and cost' => ['time', 'use', 'cost'],
    ];

    /**
     * @param  array<string, Evidence>  $learned  what the log says of rules
     * @param  bool  $withMoney  whether prices, rates and margins are shown
     * @return array<string, mixed>
     */
    public static function of(Shop $shop, UnitSystem $units, array $learned, bool $withMoney): array
    {
        $shipped = ShopRules::shipped();
        $groups = [];
        foreach (self::GROUPS as $name => $prefixes) {
            $rules = array_values(array_filter(
                $shop->rules->rules,
                static fn (Rule $rule): bool => in_array(strstr($rule->key, '.', true), $prefixes, true)
                    && ($withMoney || ! $rule->isMoney()),
            ));
            $groups[] = ['name' => $name, 'rules' => array_map(static fn (Rule $rule): array => [
                'key' => $rule->key,
                'label' => $rule->label,
                'text' => $rule->quantity->show($rule->value, $units),
                'shipped' => $shipped->get($rule->key)->quantity->show($shipped->value($rule->key), $units),
                'source' => self::source($shipped->get($rule->key)->source),
                'range' => $rule->range($units),
                'isOwn' => $rule->value !== $shipped->value($rule->key),
                'learned' => self::learned($rule, $learned[$rule->key] ?? null, $units),
            ], $rules)];
        }

        return [
            'schools' => [
                self::practice('root', 'What shields a root', $shop->practices->root, RootPractice::cases()),
                self::practice('cool', 'When the next seam is welded beside the last', $shop->practices->cool, CoolPractice::cases()),
                self::practice('saw', 'What tube is cut with', $shop->practices->saw, Saw::cases()),
            ],
            'groups' => $groups,
        ];
    }

    /** @return array{text: string, spread: string, cases: int, isEnough: bool, isTaken: bool}|null */
    private static function learned(Rule $rule, ?Evidence $evidence, UnitSystem $units): ?array
    {
        if ($evidence === null || $evidence->cases === 0) {
            return null;
        }
        $show = static fn (float $value): string => $rule->quantity->show($value, $units);

        return [
            'text' => $show($evidence->value),
            'spread' => "{$show($evidence->least)} – {$show($evidence->most)}",
            'cases' => $evidence->cases,
            'isEnough' => $evidence->isEnough(),
            'isTaken' => $show($evidence->value) === $show($rule->value),
        ];
    }

    /** Of what comes with the program, "this shop's" would be somebody else's. */
    private static function source(Source $source): string
    {
        return $source->kind === SourceKind::Shop ? 'our own figure' : $source->text();
    }

    /**
     * @param  list<RootPractice|CoolPractice|Saw>  $cases
     * @return array<string, mixed>
     */
    private static function practice(string $key, string $label, BackedEnum $chosen, array $cases): array
    {
        return [
            'key' => $key,
            'label' => $label,
            'value' => $chosen->value,
            'options' => array_map(static fn (RootPractice|CoolPractice|Saw $one): array => [
                'value' => $one->value,
                'label' => $one->label(),
                'why' => $one->why(),
                'isUsual' => in_array($one, [RootPractice::Argon, CoolPractice::Touch, Saw::Band], true),
            ], $cases),
        ];
    }
}
