<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Money;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Stock\Catalogue;

/** Reads a shop document: rules the shop has set, what lies on the shelf, bottles. */
final readonly class ShopReader
{
    public const FORMAT = 'upswept-bead/shop';

    public const VERSION = 1;

    /**
     * Reads a decoded document; what is wrong is noted and left at the shipped value.
     *
     * @throws UnusableDocument if it is no shop document
     */
    public static function read(mixed $document, Faults $faults): Shop
    {
        $root = Node::wrap($document, self::FORMAT, self::VERSION, $faults)->only([
            'name',
            'rules',
            'schools',
            'shelf',
            'bottles',
            'currency',
        ]);
        $rules = ShopRules::shipped();
        $own = $root->at('rules');
        foreach ($own->isMissing() ? [] : $own->entries(count($rules->rules)) as $key => $node) {
            try {
                $rules = $rules->with((string) $key, $node->required(), UnitSystem::Metric);
            } catch (\OutOfBoundsException|UnreadableQuantity $error) {
                $node->complain('bad-rule', $error->getMessage());
            }
        }
        $catalogue = Catalogue::shipped();
        $shelf = [];
        foreach ($root->at('shelf')->isMissing() ? [] : $root->at('shelf')->entries(2000) as $id => $node) {
            if (! isset($catalogue->tubes[$id]) && $catalogue->bend((string) $id) === null) {
                $node->complain('unknown-stock', 'is in no catalogue');
            }
            $shelf[$id] = self::count($node);
        }
        $bottles = array_map(
            self::bottle(...),
            $root->at('bottles')->isMissing() ? [] : $root->at('bottles')->items(20),
        );

        $practices = $root->at('schools')->isMissing()
            ? new Practices
            : self::practices($root->at('schools')->only(['root', 'cool', 'saw']));

        return new Shop(
            $root->at('name')->required(), $rules, $catalogue, $shelf, $bottles, practices: $practices,
            money: new Money($root->at('currency')->text('', Money::LONGEST)),
        );
    }

    private static function practices(Node $node): Practices
    {
        return new Practices(
            $node->at('root')->choice(RootPractice::class, RootPractice::Argon),
            $node->at('cool')->choice(CoolPractice::class, CoolPractice::Touch),
            $node->at('saw')->choice(Saw::class, Saw::Band),
        );
    }

    private static function count(Node $node): int
    {
        $number = $node->number(10_000);
        if ($number < 0 || floor($number) !== $number) {
            $node->complain('not-a-count', 'must be a whole number, 0 or more');

            return 0;
        }

        return (int) $number;
    }

    private static function bottle(Node $node): Bottle
    {
        $node->only(['name', 'use', 'capacity', 'full', 'gauge', 'read']);
        $units = UnitSystem::Metric;

        return new Bottle(
            $node->at('name')->required(),
            $node->at('use')->choice(BottleUse::class, BottleUse::Torch),
            $node->at('capacity')->quantity(Quantity::Volume, $units),
            $node->at('full')->quantity(Quantity::Pressure, $units),
            $node->at('gauge')->quantity(Quantity::Pressure, $units),
            readAt: self::moment($node->at('read')),
        );
    }

    private static function moment(Node $node): ?\DateTimeImmutable
    {
        if ($node->isMissing()) {
            return null;
        }
        $text = $node->required();
        $moment = \DateTimeImmutable::createFromFormat(DATE_ATOM, $text);
        if ($moment === false) {
            $node->complain('not-a-time', "\"$text\" is no time; one looks like 2026-03-02T08:15:00+00:00");
        }

        return $moment === false ? null : $moment;
    }
}
