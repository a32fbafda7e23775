<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\Measure;

/** Writes proposed values with their working, as numbers in base units and as text in the person's units. */
final readonly class FigureWriter
{
    /** @param  bool  $withReasons  whether every figure brings its working along, or only says what it is called by */
    public function __construct(public UnitSystem $units, private bool $withReasons = true) {}

    /** The same in the same units, with every working: for the few figures that are read where they stand. */
    public function withReasons(): self
    {
        return new self($this->units);
    }

    /** @return array<string, mixed> */
    public function figure(Figure $figure): array
    {
        $written = [
            'key' => $figure->key,
            'label' => $figure->label,
            'quantity' => $figure->quantity->value,
            'value' => $figure->value,
            ...$this->texts($figure->quantity, $figure->value),
        ];
        if ($this->withReasons) {
            $written['reason'] = $this->reason($figure->reason);
        }

        return $figure->override === null ? $written : [
            ...$written,
            ...self::override($figure->override, $figure->quantity->read($figure->proposed, $this->units)),
        ];
    }

    /** @return array<string, mixed> */
    public function choice(Choice $choice): array
    {
        $written = [
            'key' => $choice->key,
            'label' => $choice->label,
            'quantity' => null,
            'value' => null,
            'text' => $choice->value,
            ...$choice->options === [] ? [] : ['options' => array_map(static fn (Option $one): array => [
                'value' => $one->value,
                'refused' => $one->refused,
            ], $choice->options)],
        ];
        if ($this->withReasons) {
            $written['reason'] = $this->reason($choice->reason);
        }

        return $choice->override === null ? $written : [
            ...$written,
            ...self::override($choice->override, $choice->proposed),
        ];
    }

    /**
     * @param  array<string, Figure|Choice>  $all
     * @return array<string, mixed>
     */
    public function each(array $all): array
    {
        return array_map(
            fn (Figure|Choice $one): array => $one instanceof Figure ? $this->figure($one) : $this->choice($one),
            $all,
        );
    }

    /** @return array{value: float, text: string} */
    public function plain(Quantity $quantity, float $value): array
    {
        return ['value' => $value, 'text' => $quantity->read($value, $this->units)];
    }

    /** @return array{text: string, exact?: string} as a person reads it, and exactly where that is something else */
    private function texts(Quantity $quantity, float $value): array
    {
        $text = $quantity->read($value, $this->units);
        $exact = $quantity->show($value, $this->units);

        return $text === $exact ? ['text' => $text] : ['text' => $text, 'exact' => $exact];
    }

    /**
     * A limit as text, and as the bare number that a person who works in these units would write.
     *
     * @return array{value: float, text: string, number: float, unit: string}
     */
    public function limit(Quantity $quantity, float $value): array
    {
        $text = $quantity->show($value, $this->units);

        return [
            'value' => $value,
            'text' => $text,
            'number' => $this->number($quantity, $value),
            'unit' => ltrim((string) strrchr($text, ' ')),
        ];
    }

    /** @return array{least: float, most: float, unit: string}|null between which numbers a reading needs no reason */
    public function range(Measure $measure): ?array
    {
        $range = $measure->range();

        return $range === null ? null : [
            'least' => $this->number($measure->quantity, $range[0]),
            'most' => $this->number($measure->quantity, $range[1]),
            'unit' => $this->limit($measure->quantity, $range[1])['unit'],
        ];
    }

    private function number(Quantity $quantity, float $value): float
    {
        $zero = $quantity->parse('0', $this->units);

        return ($value - $zero) / ($quantity->parse('1', $this->units) - $zero);
    }

    /**
     * A length to cut: as it is set out with a tape, and exactly.
     *
     * @return array{value: float, text: string, exact?: string}
     */
    public function cut(float $mm, float $tapeMm): array
    {
        $text = Quantity::Length->read($tapeMm, $this->units);
        $exact = Quantity::Length->show($mm, $this->units);

        return ['value' => $mm, 'text' => $text, ...$text === $exact ? [] : ['exact' => $exact]];
    }

    /** @return array{value: float, text: string} */
    public function length(float $mm): array
    {
        return $this->plain(Quantity::Length, $mm);
    }

    /** @return array<string, mixed> */
    public function reason(Reason $reason): array
    {
        return [
            'rule' => $reason->rule,
            'inputs' => array_map(
                fn (Input $input): array => ['label' => $input->label, 'text' => $input->text($this->units)],
                $reason->inputs,
            ),
            'source' => $reason->source->text(),
            'sourceKind' => $reason->source->kind->value,
            'changes' => $reason->changes,
        ];
    }

    /** @return array<string, mixed> what a person put in place of what was proposed */
    private static function override(Override $override, string $proposed): array
    {
        return ['proposed' => $proposed, 'override' => [
            'value' => $override->value,
            'why' => $override->why,
            'procedure' => $override->procedure,
        ]];
    }
}
