<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

/** How sums of money are written: with the shop's currency, signs before the number and letters behind it. */
final readonly class Money
{
    /** A currency as people write it: "$", "€", "CHF". */
    public const LONGEST = 4;

    public function __construct(public string $currency = '') {}

    public function show(float $sum): string
    {
        return $this->text($sum, 2);
    }

    /** Of what is only about so much: without cents. */
    public function about(float $sum): string
    {
        return $this->text($sum, 0);
    }

    private function text(float $sum, int $places): string
    {
        $isNegative = round($sum, $places) < 0.0;
        $number = number_format(abs($sum), $places, '.', "\u{202F}");
        $text = match (true) {
            $this->currency === '' => $number,
            preg_match('/^\p{Sc}$/u', $this->currency) === 1 => $this->currency.$number,
            default => "$number\u{A0}$this->currency",
        };

        return $isNegative ? "-$text" : $text;
    }
}
