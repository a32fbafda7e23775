<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Reason\Choice;
use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Override;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

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
        $text = $figure->quantity->show($figure->value, $this->units);

        return [
            'key' => $figure->key,
            'label' => $figure->label,
            'quantity' => $figure->quantity->value,
            'value' => $figure->value,
            'text' => $text,
            ...$this->withReasons ? ['reason' => $this->reason($figure->reason)] : [],
            ...$this->override(
                $figure->override,
                fn (): string => $figure->quantity->show($figure->proposed, $this->units),
            ),
        ];
    }

    /** @return array<string, mixed> */
    public function choice(Choice $choice): array
    {
        return [
            'key' => $choice->key,
            'label' => $choice->label,
            'quantity' => null,
            'value' => null,
            'text' => $choice->value,
            ...($this->withReasons ? ['reason' => $this->reason($choice->reason)] : []),
            ...$this->override($choice->override, static fn (): string => $choice->proposed),
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
        return ['value' => $value, 'text' => $quantity->show($value, $this->units)];
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

    /**
     * @param  \Closure(): string  $proposed
     * @return array<string, mixed> nothing where the proposal stands
     */
    private function override(?Override $override, \Closure $proposed): array
    {
        return $override === null ? [] : [
            'proposed' => $proposed(),
            'override' => ['value' => $override->value, 'why' => $override->why],
        ];
    }
}
