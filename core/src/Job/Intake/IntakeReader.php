<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Reads what was asked when the job came in. */
final readonly class IntakeReader
{
    public const MOST_CYLINDERS = 12;

    private const MOST_BROUGHT = 20;

    private const MOST_OUTLETS = 4;

    /** Exhaust gas outside of this (°C) is a slip of the hand. */
    private const GAS_C = [100.0, 1250.0];

    /** More money than this is a slip of the hand; our own figure. */
    private const MOST_BUDGET = 1e6;

    public function __construct(private UnitSystem $units) {}

    public function read(Node $node): ?IntakeSpec
    {
        if ($node->isMissing()) {
            return null;
        }
        $node->only([
            'cylinders', 'firing', 'scrolls', 'ground', 'rules', 'load', 'gas', 'wet', 'room', 'sound', 'outlets',
            'catalyst', 'budget', 'brought',
        ]);
        $cylinders = self::count($node->at('cylinders'), self::MOST_CYLINDERS);

        return new IntakeSpec(
            $cylinders,
            self::firing($node->at('firing'), $cylinders),
            self::one($node->at('scrolls'), Scrolls::One),
            self::one($node->at('ground'), Ground::Road),
            $node->at('rules')->text('', 500),
            self::one($node->at('load'), Load::Pulls),
            $this->gasC($node->at('gas')),
            self::one($node->at('wet'), Wet::Dry),
            self::one($node->at('room'), Room::Some),
            self::one($node->at('sound'), Sound::Plain),
            self::count($node->at('outlets'), self::MOST_OUTLETS),
            $node->at('catalyst')->isMissing() ? null : $node->at('catalyst')->boolean(),
            self::budget($node->at('budget')),
            $node->at('brought')->isMissing()
                ? []
                : array_map(self::brought(...), $node->at('brought')->items(self::MOST_BROUGHT)),
            $node->at('gas')->isMissing() ? '' : $node->at('gas')->asWritten(),
        );
    }

    private static function count(Node $node, int $most): ?int
    {
        if ($node->isMissing()) {
            return null;
        }
        $count = $node->number();
        if ($count < 1.0 || $count > $most || floor($count) !== $count) {
            $node->complain('out-of-range', "must be a whole number from 1 to $most");

            return null;
        }

        return (int) $count;
    }

    /** @return list<int> as "1-3-4-2" says; every cylinder once */
    private static function firing(Node $node, ?int $cylinders): array
    {
        $text = $node->text('', 60);
        if (trim($text) === '') {
            return [];
        }
        preg_match_all('/\d+/', $text, $found);
        $order = array_map(intval(...), $found[0]);
        $sorted = $order;
        sort($sorted);
        $isAll = $order !== [] && $sorted === range(1, count($order));
        if (! $isAll || ($cylinders !== null && count($order) !== $cylinders)) {
            $node->complain('bad-order', sprintf(
                'must name every cylinder%s once, as in 1-3-4-2',
                $cylinders === null ? '' : " from 1 to $cylinders",
            ));

            return [];
        }

        return $order;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  T  $default
     * @return ?T
     */
    private static function one(Node $node, \BackedEnum $default): ?\BackedEnum
    {
        return $node->isMissing() ? null : $node->choice($default::class, $default);
    }

    private function gasC(Node $node): ?float
    {
        if ($node->isMissing() || $node->isBlank()) {
            return null;
        }
        $celsius = $node->quantity(Quantity::Temperature, $this->units, 1e4);
        [$least, $most] = self::GAS_C;
        if ($celsius < $least || $celsius > $most) {
            $node->complain('out-of-range', sprintf(
                'must lie between %s and %s',
                Quantity::Temperature->show($least, $this->units),
                Quantity::Temperature->show($most, $this->units),
            ));

            return null;
        }

        return $celsius;
    }

    private static function budget(Node $node): ?float
    {
        if ($node->isMissing()) {
            return null;
        }
        $budget = $node->number(self::MOST_BUDGET);
        if ($budget < 0.0) {
            $node->complain('negative', 'must not be negative');

            return null;
        }

        return $budget;
    }

    private static function brought(Node $node): BroughtPart
    {
        $node->only(['what', 'metal', 'used']);

        return new BroughtPart(
            $node->at('what')->choice(Brought::class, Brought::Tube),
            $node->at('metal')->isMissing() ? null : $node->at('metal')->required(40),
            ! $node->at('used')->isMissing() && $node->at('used')->boolean(),
        );
    }
}
