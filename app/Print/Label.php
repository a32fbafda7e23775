<?php

declare(strict_types=1);

namespace App\Print;

/** What stands on one label. */
final readonly class Label
{
    /**
     * @param  string  $mark  the largest on it
     * @param  list<string>  $lines
     * @param  string  $address  what its code opens
     * @param  bool  $hasFlow  whether it goes on with its arrow with the flow
     */
    public function __construct(
        public string $mark,
        public string $head,
        public array $lines,
        public string $address,
        public bool $hasFlow,
    ) {}

    public function code(): string
    {
        return QrCode::png($this->address);
    }
}
