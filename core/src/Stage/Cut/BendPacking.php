<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\OpenCopy;
use UpsweptBead\Core\Solve\Nest\Search\Part;

/**
 * The bends that pieces with a bend are cut from: the widest angles first, each from a bend that is open already if it
 * has room, with its legs and its kerfs; then bends are given up whose pieces fit into the others.
 */
final class BendPacking
{
    /** Ways tried to cut chosen pieces from one bend: orders of many pieces have no end. */
    private const MOST_LOOKS = 2000;

    private int $looks = 0;

    /** @var array<int, OpenCopy> what is open */
    private array $open = [];

    /** @var array<int, array<string, array{Part, float, bool}>> by copy, and by the mark of the piece: where it begins, which way round */
    private array $placed = [];

    /** How many of the first that are open were chosen by a person: they stay as they are. */
    private int $chosen = 0;

    /** @var list<Piece> for which no bend is long enough */
    public array $without = [];

    /** @var list<Piece> from stock of which nothing is left that a saw could hold */
    public array $unheld = [];

    /** @var list<Donor> in the order in which they are opened: the least angle first */
    private readonly array $order;

    /** @var list<OpenCopy> one of each */
    private readonly array $unused;

    /**
     * @param  array<array-key, int>  $shelf  how many there are of each stock item
     * @param  bool  $isShelfFirst  whether something wider from the shelf is opened before something narrower is bought
     */
    private function __construct(
        private readonly Bends $bends,
        private readonly CutRules $rules,
        private readonly array $shelf,
        private readonly bool $isShelfFirst,
    ) {
        $order = $bends->donors;
        usort($order, static fn (Donor $a, Donor $b): int => [$a->arcToMm - $a->arcFromMm, $a->lengthMm()]
            <=> [$b->arcToMm - $b->arcFromMm, $b->lengthMm()]);
        $this->order = $order;
        $this->unused = array_map(OpenCopy::unused(...), $order);
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  array<array-key, int>  $shelf  how many there are of each stock item
     */
    public static function best(array $pieces, Bends $bends, CutRules $rules, array $shelf): self
    {
        $best = null;
        $onShelf = array_filter($bends->stock, static fn (BendStock $bend): bool => ($shelf[$bend->id] ?? 0) > 0);
        foreach ($onShelf !== [] ? [true, false] : [false] as $isShelfFirst) {
            $packing = new self($bends, $rules, $shelf, $isShelfFirst);
            $packing->pack($pieces);
            $best = $best === null || $packing->worth() < $best->worth() ? $packing : $best;
        }

        return $best;
    }

    /** @return array{int, int, float} how many have to be bought, how many are opened, how long they are together (mm) */
    private function worth(): array
    {
        $opened = [];
        $length = 0.0;
        foreach ($this->open as $copy) {
            $opened[$copy->donor->index] = ($opened[$copy->donor->index] ?? 0) + 1;
            $length += $copy->donor->lengthMm();
        }
        $toBuy = 0;
        foreach ($opened as $i => $count) {
            $toBuy += max(0, $count - ($this->shelf[$this->bends->stock[$i]->id] ?? 0));
        }

        return [$toBuy, count($this->open), $length];
    }

    /** @param  list<Piece>  $pieces */
    private function pack(array $pieces): void
    {
        $parts = [];
        foreach ($pieces as $id => $piece) {
            $allowances = $piece->allowances;
            $parts[$piece->mark] = Bends::part($id, $piece, $allowances->startMm, $allowances->endMm());
        }
        $pieces = $this->chosen($pieces, $parts);
        $this->chosen = count($this->open);
        usort($pieces, static fn (Piece $a, Piece $b): int => [$b->angleDeg, $b->cutLengthMm(), $a->mark]
            <=> [$a->angleDeg, $a->cutLengthMm(), $b->mark]);
        foreach ($pieces as $piece) {
            $part = $parts[$piece->mark];
            if (
                $this->intoOpen($piece->mark, $part, null)
                || $this->intoNew($piece->mark, $part, $this->unused, $this->rules)
            ) {
                continue;
            }
            $afresh = array_map(OpenCopy::unused(...), $this->order);
            if ($this->intoNew($piece->mark, $part, $afresh, $this->rules->holding(0.0))) {
                $this->unheld[] = $piece;
            } else {
                $this->without[] = $piece;
            }
        }
        $this->giveUp();
        $this->merge();
    }

    /**
     * Opens what pieces were chosen to come from, where it holds all of them that do.
     *
     * @param  list<Piece>  $pieces
     * @param  array<string, Part>  $parts  by the mark of the piece
     * @return list<Piece> the others; of them straight pieces are no matter of bends
     */
    private function chosen(array $pieces, array $parts): array
    {
        $groups = [];
        foreach ($pieces as $piece) {
            if (preg_match('/^(.*) \d+$/', $piece->wanted, $match) === 1) {
                $groups[$piece->wanted][0] = $match[1];
                $groups[$piece->wanted][1][$piece->mark] = $parts[$piece->mark];
            }
        }
        $placed = [];
        foreach ($groups as [$stock, $together]) {
            foreach ($this->unused as $copy) {
                $this->looks = self::MOST_LOOKS;
                $on = $this->bends->stock[$copy->donor->index]->id === $stock ? $this->all($copy, $together) : null;
                if ($on !== null) {
                    [$this->open[], $this->placed[]] = $on;
                    $placed += $together;
                }
            }
        }

        return array_values(array_filter(
            $pieces,
            static fn (Piece $piece): bool => $piece->isBend() && ! isset($placed[$piece->mark]),
        ));
    }

    /**
     * All of some parts on one piece of stock, whichever way they go; null if they do not, or not soon enough.
     *
     * @param  array<string, Part>  $parts  by the mark of the piece
     * @return array{OpenCopy, array<string, array{Part, float, bool}>}|null
     */
    private function all(OpenCopy $copy, array $parts): ?array
    {
        if ($parts === []) {
            return [$copy, []];
        }
        foreach ($parts as $mark => $part) {
            foreach ($copy->taking($part, $this->rules) as [$with, $atMm, $isReversed]) {
                if (--$this->looks < 0) {
                    return null;
                }
                $rest = $this->all($with, array_diff_key($parts, [$mark => true]));
                if ($rest !== null) {
                    return [$rest[0], [$mark => [$part, $atMm, $isReversed]] + $rest[1]];
                }
            }
        }

        return null;
    }

    /** @return array<string, StockPlace> by the mark of the piece */
    public function places(): array
    {
        $places = $numbers = [];
        foreach ($this->open as $i => $copy) {
            $donor = $copy->donor;
            $numbers[$donor->index] = ($numbers[$donor->index] ?? 0) + 1;
            foreach ($this->placed[$i] as $mark => [$part, $atMm, $isReversed]) {
                $places[$mark] = new StockPlace(
                    $this->bends->stock[$donor->index]->id,
                    $numbers[$donor->index],
                    $atMm,
                    $atMm + $part->cutMm,
                    $isReversed,
                    $donor->arcFromMm,
                    $donor->arcToMm,
                    $donor->lengthMm(),
                    $donor->isRing,
                );
            }
        }

        return $places;
    }

    /**
     * @param  array<string, Piece>  $pieces  by mark
     * @return list<BentDonor>
     */
    public function donors(array $pieces): array
    {
        $donors = [];
        foreach ($this->open as $i => $copy) {
            $stock = $this->bends->stock[$copy->donor->index];
            $on = $this->placed[$i];
            uasort($on, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
            $ofStock = array_map(static fn (string $mark): Piece => $pieces[$mark], array_keys($on));
            $all = array_map(static fn (Piece $one): ?StockPlace => $one->place, $ofStock);
            $places = array_values(array_filter($all));
            // What a saw leaves is shorter by its cuts than what was not taken.
            $left = Leftover::of($places, $stock->clrMm, $this->rules->kerfMm);
            $donors[] = new BentDonor(
                $stock,
                $ofStock,
                $places === []
                    ? rad2deg($copy->arcMm / $stock->clrMm)
                    : max([0.0, ...array_map(static fn (Leftover $one): float => $one->angleDeg, $left)]),
            );
        }

        return $donors;
    }

    private function intoOpen(string $mark, Part $part, ?int $but): bool
    {
        $best = null;
        $least = [PHP_INT_MAX, 0.0];
        foreach ($this->open as $i => $copy) {
            $taking = $i === $but ? null : self::bestOf($copy, $part, $this->rules);
            if ($taking !== null && [$taking[0]->cuts - $copy->cuts, -$taking[0]->arcMm] < $least) {
                [$best, $least] = [[$i, $taking], [$taking[0]->cuts - $copy->cuts, -$taking[0]->arcMm]];
            }
        }
        if ($best === null) {
            return false;
        }
        [$i, [$with, $atMm, $isReversed]] = $best;
        $this->open[$i] = $with;
        $this->placed[$i][$mark] = [$part, $atMm, $isReversed];

        return true;
    }

    /** @param  list<OpenCopy>  $unused */
    private function intoNew(string $mark, Part $part, array $unused, CutRules $rules): bool
    {
        $left = $this->onShelf();
        foreach ($this->isShelfFirst ? [true, false] : [false] as $fromShelf) {
            foreach ($unused as $copy) {
                $isLimited = $fromShelf || $this->bends->isOffcut($copy->donor->index);
                if ($isLimited && ($left[$copy->donor->index] ?? 0) <= 0) {
                    continue;
                }
                $taking = self::bestOf($copy, $part, $rules);
                if ($taking !== null) {
                    $this->open[] = $taking[0];
                    $this->placed[] = [$mark => [$part, $taking[1], $taking[2]]];

                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<int, int> what of each is on the shelf and not opened yet */
    private function onShelf(): array
    {
        $left = [];
        foreach ($this->bends->stock as $i => $bend) {
            $left[$i] = $this->shelf[$bend->id] ?? 0;
        }
        foreach ($this->open as $copy) {
            $left[$copy->donor->index]--;
        }

        return $left;
    }

    /** @return array{OpenCopy, float, bool}|null the place that costs the fewest cuts and leaves the most of the bend in one */
    private static function bestOf(OpenCopy $copy, Part $part, CutRules $rules): ?array
    {
        $best = null;
        foreach ($copy->arcMm < $part->arcMm ? [] : $copy->taking($part, $rules) as $taking) {
            if ($best === null || [$taking[0]->cuts, -$taking[0]->arcMm] < [$best[0]->cuts, -$best[0]->arcMm]) {
                $best = $taking;
            }
        }

        return $best;
    }

    /** Bends whose pieces all fit into others are not opened. */
    private function giveUp(): void
    {
        for ($i = count($this->open) - 1; $i >= $this->chosen; $i--) {
            [$open, $placed] = [$this->open, $this->placed];
            foreach ($placed[$i] as $mark => [$part]) {
                if (! $this->intoOpen($mark, $part, $i)) {
                    [$this->open, $this->placed] = [$open, $placed];

                    continue 2;
                }
            }
            $this->close($i);
        }
    }

    /** Two bends become one that is shorter than both together, where it holds the pieces of both. */
    private function merge(): void
    {
        for ($i = count($this->open) - 1; $i > $this->chosen; $i--) {
            for ($j = $i - 1; $j >= $this->chosen; $j--) {
                if ($this->merged($i, $j)) {
                    break;
                }
            }
        }
    }

    private function merged(int $i, int $j): bool
    {
        $parts = [...$this->placed[$j], ...$this->placed[$i]];
        $both = $this->open[$i]->donor->lengthMm() + $this->open[$j]->donor->lengthMm();
        $arc = array_sum(array_map(static fn (array $one): float => $one[0]->arcMm, $parts));
        $left = $this->onShelf();
        $ofShelf = static fn (int $donor): bool => $left[$donor] >= 0;
        $toBuy = (int) ! $ofShelf($this->open[$i]->donor->index) + (int) ! $ofShelf($this->open[$j]->donor->index);
        foreach ($this->unused as $copy) {
            $costs = $left[$copy->donor->index] > 0 ? 0 : 1;
            $isThere = $costs === 0 || ! $this->bends->isOffcut($copy->donor->index);
            if ($copy->arcMm < $arc || $copy->donor->lengthMm() >= $both || $costs > $toBuy || ! $isThere) {
                continue;
            }
            $placed = [];
            foreach ($parts as $mark => [$part]) {
                $taking = self::bestOf($copy, $part, $this->rules);
                if ($taking === null) {
                    continue 2;
                }
                $copy = $taking[0];
                $placed[$mark] = [$part, $taking[1], $taking[2]];
            }
            $this->open[$j] = $copy;
            $this->placed[$j] = $placed;
            $this->close($i);

            return true;
        }

        return false;
    }

    private function close(int $i): void
    {
        array_splice($this->open, $i, 1);
        array_splice($this->placed, $i, 1);
    }
}
