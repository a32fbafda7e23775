<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

use UpsweptBead\Core\Base\Units\Money;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Solve\Route\Looks\Style;

/** What is compared of designs, row by row, each in words and with the best of the row told. */
final readonly class ComparisonTable
{
    /** Two values nearer than this share of them are one: no design is better by a rounding. */
    private const SAME = 1e-9;

    /** What an angle off the grid counts, as a share of a bend; our own choice, no source. */
    private const ODD_ANGLE = 0.1;

    /**
     * @param  list<Comparison>  $designs
     * @param  bool  $withMoney  whether whoever looks is shown what things cost
     */
    public function __construct(
        private array $designs,
        private UnitSystem $units,
        private bool $withMoney = true,
        private Money $money = new Money,
    ) {}

    /** @return list<array{label: string, cells: list<array{text: string, isBest: bool}>}> */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->measures() as $label => $measure) {
            $cells = array_map($measure, $this->designs);
            $best = self::best(array_column($cells, 1));
            $rows[] = ['label' => $label, 'cells' => array_map(static fn (array $cell): array => [
                'text' => $cell[0],
                'isBest' => $best !== null && $cell[1] !== null && $cell[1] <= $best,
            ], $cells)];
        }

        return $rows;
    }

    /**
     * The value that counts as best: the least, if any is worse.
     *
     * @param  list<?float>  $values
     */
    private static function best(array $values): ?float
    {
        $known = array_filter($values, static fn (?float $value): bool => $value !== null);
        if (count($known) < 2) {
            return null;
        }
        $least = min($known);

        return max($known) > $least + self::SAME * max(1.0, abs($least)) ? $least : null;
    }

    /**
     * By label: the text, and a value that is the better the less it is.
     *
     * @return array<string, \Closure(Comparison): array{string, ?float}>
     */
    private function measures(): array
    {
        $style = static fn (Comparison $one): Style => $one->plan->layout->style;
        $length = fn (?float $mm): array => [$mm === null ? '–' : Quantity::Length->show($mm, $this->units), $mm];

        return [
            'Bends' => static fn (Comparison $one): array => [
                "{$one->bends()}, {$one->oddAngles()} off the grid",
                $one->bends() + self::ODD_ANGLE * $one->oddAngles(),
            ],
            'Joints to weld' => static fn (Comparison $one): array => self::counted(count($one->plan->joints->welds())),
            'Lengths differ by' => static fn (Comparison $one): array => $length($one->spreadMm()),
            'All tube' => static fn (Comparison $one): array => $length($one->lengthMm()),
            'Mass' => fn (Comparison $one): array => [
                Quantity::Mass->show($one->massKg(), $this->units),
                $one->massKg(),
            ],
            'Tightest gap' => $this->tightest(...),
            'Goes in' => self::goesIn(...),
            'Mean gaps in the row differ by' => static fn (Comparison $one): array => $length(
                $style($one)->gapSpreadMm,
            ),
            'Least flat run' => $this->leastFlat(...),
            'Banks mirror within' => static fn (Comparison $one): array => $length($style($one)->mirrorMm),
            'Pieces to buy' => static fn (Comparison $one): array => self::counted($one->plan->cut->toBuy()),
            'At the bench, about' => static fn (Comparison $one): array => [
                sprintf('%.1f h', $one->quote->minutes() / 60),
                $one->quote->minutes(),
            ],
            ...$this->withMoney ? ['Cost, about' => fn (Comparison $one): array => [
                $this->money->about($one->quote->cost()),
                $one->quote->cost(),
            ]] : [],
        ];
    }

    /** @return array{string, float} */
    private static function counted(int $count): array
    {
        return [(string) $count, (float) $count];
    }

    /** @return array{string, ?float} */
    private function tightest(Comparison $one): array
    {
        $gap = $one->tightest();
        if ($one->openEnds() > 0) {
            return ["✕ {$one->openEnds()} far ends open", null];
        }
        if ($gap === null) {
            // Wider than any gap that is measured.
            return ['wide everywhere', -INF];
        }
        $show = fn (float $mm): string => Quantity::Length->show($mm, $this->units);

        return [sprintf(
            '%s%s, %s to %s (needs %s)',
            $one->tooTight() > 0 ? '✕ ' : '',
            $show($gap->gapMm),
            $gap->run,
            $gap->other,
            $show($gap->neededMm),
        ), $gap->neededMm - $gap->gapMm];
    }

    /** @return array{string, ?float} */
    private static function goesIn(Comparison $one): array
    {
        $insertion = $one->plan->fit->insertion;
        if ($insertion === null) {
            return ['–', null];
        }
        $stuck = array_map(static fn (Stuck $stuck): string => $stuck->tube, $insertion->stuck);
        $order = array_map(static fn (Step $step): string => $step->tube, $insertion->order);

        return [$stuck === [] ? implode(' then ', $order) : '✕ '.implode(', ', $stuck).' not whole', (float) count($stuck)];
    }

    /** @return array{string, ?float} */
    private function leastFlat(Comparison $one): array
    {
        $flatness = $one->plan->layout->style->flatnessMm;
        if ($flatness === []) {
            return ['–', null];
        }
        $most = max($flatness);

        return [array_search($most, $flatness, true).', '.Quantity::Length->show($most, $this->units), $most];
    }
}
