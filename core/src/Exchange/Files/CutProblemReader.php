<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Solve\Nest\Problem\Chain;
use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Problem\CutRun;
use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Problem\StockKind;

/** Reads the open cut problem format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class CutProblemReader
{
    public const FORMAT = 'cut-problem/1';

    private const MOST_RUNS = 2000;

    private const MOST_ELEMENTS = 64;

    private const MOST_STOCK = 400;

    private const MOST_PIECES = 10_000;

    /**
     * @return CutProblem|list<Fault> the problem, or what is wrong with the file
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): CutProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        $tubes = array_map(strval(...), array_keys($root->at('tubes')->entries(200)));
        $rules = $root->at('rules');
        $trimMm = self::least($rules->at('end_trim'));
        $stock = array_map(
            static fn (Node $node): StockItem => self::item($node, $tubes, $trimMm),
            $root->at('stock')->items(self::MOST_STOCK),
        );
        $endMm = self::least($rules->at('long_by')->at('end'));
        $runs = array_map(
            static fn (Node $node): CutRun => self::run($node, $tubes, $endMm),
            $root->at('runs')->items(self::MOST_RUNS),
        );
        self::once($root->at('stock'), array_map(static fn (StockItem $one): string => $one->id, $stock));
        self::once($root->at('runs'), array_map(static fn (CutRun $one): string => $one->id, $runs));
        $problem = new CutProblem($root->at('name')->text('', 200), $stock, self::rules($rules), $runs);
        $wrong = $faults->all();

        return $wrong === [] ? $problem : $wrong;
    }

    private static function rules(Node $node): CutRules
    {
        $longMm = self::least($node->at('long_by')->at('joint'));

        return new CutRules(
            self::least($node->at('kerf')),
            self::least($node->at('hold')),
            self::least($node->at('least_piece')),
            self::least($node->at('joint_spacing')),
            $longMm,
            $longMm,
            self::least($node->at('joint_cost'), 1e9),
            self::least($node->at('cut_cost'), 1e9),
        );
    }

    /** @param  list<string>  $tubes */
    private static function item(Node $node, array $tubes, float $trimMm): StockItem
    {
        $kind = $node->at('kind')->isMissing() ? null : $node->at('kind')->choice(StockKind::class, StockKind::Stick);
        if ($kind === null) {
            $node->at('kind')->complain('missing', 'is missing');
        }
        $kind ??= StockKind::Stick;
        $links = match ($kind) {
            StockKind::Stick, StockKind::Offcut => [Link::straight(self::more($node->at('length')))],
            StockKind::Bend => self::bend($node),
            StockKind::Elbow => [self::arc($node, 'angle')],
            StockKind::Donut => [Link::bend(360.0, self::more($node->at('clr')))],
        };

        return new StockItem(
            $node->at('id')->required(),
            self::tube($node->at('tube'), $tubes),
            $kind,
            Chain::of($links),
            $kind === StockKind::Stick ? $trimMm : 0.0,
            self::count($node->at('count')),
            $node->at('cost')->isMissing() ? 0.0 : self::least($node->at('cost'), 1e9),
        );
    }

    /** @return list<Link> clamp leg, arc, pull leg */
    private static function bend(Node $node): array
    {
        $legs = array_map(self::least(...), $node->at('legs')->items(2));
        if (count($legs) !== 2) {
            $node->at('legs')->complain('not-two', 'must be two lengths, the clamp leg first; either may be 0');
            $legs = [0.0, 0.0];
        }

        return [Link::straight($legs[0]), self::arc($node, 'angle'), Link::straight($legs[1])];
    }

    private static function arc(Node $node, string $angle, int $element = 0): Link
    {
        $degrees = self::more($node->at($angle));
        if ($degrees > 360.0) {
            $node->at($angle)->complain('too-much', 'must be at most 360 degrees');
        }

        return Link::bend($degrees, self::more($node->at('clr')), $element);
    }

    /** @param  list<string>  $tubes */
    private static function run(Node $node, array $tubes, float $endMm): CutRun
    {
        $links = [];
        foreach ($node->at('elements')->items(self::MOST_ELEMENTS) as $i => $element) {
            if ($element->at('bend')->isMissing() === $element->at('straight')->isMissing()) {
                $element->complain('not-one', 'must be a straight or a bend');

                continue;
            }
            $links[] = $element->at('bend')->isMissing()
                ? Link::straight(self::least($element->at('straight')), $i)
                : self::arc($element, 'bend', $i);
        }
        $chain = Chain::of($links);
        if ($chain->lengthMm === 0.0) {
            $node->at('elements')->complain('no-length', 'must have a straight or a bend');
        }
        $joints = $node->at('joints')->isMissing() ? [] : $node->at('joints')->items(self::MOST_ELEMENTS);

        return new CutRun(
            $node->at('id')->required(),
            self::tube($node->at('tube'), $tubes),
            $chain,
            self::zones($node->at('no_joint')),
            array_map(self::least(...), $joints),
            self::atEnd($node->at('ends')->at('first'), $endMm),
            self::atEnd($node->at('ends')->at('last'), $endMm),
        );
    }

    private static function atEnd(Node $end, float $usualMm): float
    {
        return $end->at('long_by')->isMissing() ? $usualMm : self::least($end->at('long_by'));
    }

    /** @return list<array{float, float}> */
    private static function zones(Node $node): array
    {
        $zones = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MOST_ELEMENTS) as $zone) {
            $ends = array_map(self::least(...), $zone->items(2));
            if (count($ends) !== 2 || $ends[1] < $ends[0]) {
                $zone->complain('no-range', 'must be two stations, the lesser first');

                continue;
            }
            $zones[] = [$ends[0], $ends[1]];
        }

        return $zones;
    }

    /** @param  list<string>  $tubes */
    private static function tube(Node $node, array $tubes): string
    {
        $tube = $node->required();
        if ($tube !== '' && ! in_array($tube, $tubes, true)) {
            $node->complain('unknown-tube', "\"$tube\" is none of the tubes of this problem");
        }

        return $tube;
    }

    private static function count(Node $node): ?int
    {
        if ($node->isMissing()) {
            return null;
        }
        $count = self::least($node, self::MOST_PIECES);
        if ($count !== floor($count)) {
            $node->complain('not-whole', 'must be a whole number of pieces, or null for as many as wanted');
        }

        return (int) $count;
    }

    private static function least(Node $node, float $most = 1e6): float
    {
        if ($node->isMissing()) {
            $node->complain('missing', 'is missing');

            return 0.0;
        }
        $number = $node->number($most);
        if ($number < 0.0) {
            $node->complain('negative', "is $number, but must be 0 or more");
        }

        return max(0.0, $number);
    }

    private static function more(Node $node): float
    {
        $number = self::least($node);
        if ($number === 0.0 && ! $node->isMissing()) {
            $node->complain('zero', 'must be more than 0');
        }

        return $number;
    }

    /** @param  list<string>  $ids */
    private static function once(Node $list, array $ids): void
    {
        $seen = [];
        foreach ($ids === [] ? [] : $list->items(self::MOST_STOCK) as $i => $node) {
            if ($ids[$i] !== '' && isset($seen[$ids[$i]])) {
                $node->at('id')->complain('twice', "\"{$ids[$i]}\" is there already");
            }
            $seen[$ids[$i]] = true;
        }
    }
}
