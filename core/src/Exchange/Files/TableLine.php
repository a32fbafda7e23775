<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** A line of a table that holds something; more lines than one where a cell in quotes goes on over their ends. */
final readonly class TableLine
{
    /**
     * @param  int  $number  of its first line in the text, from 1
     * @param  list<string>  $cells  trimmed
     * @param  bool  $isBeyond  whether it is the first that is not read any more
     */
    public function __construct(
        public int $number,
        public string $text,
        public array $cells,
        public bool $isBeyond = false,
    ) {}

    /** @return array{line: int, text: string, why: string} */
    public function rejected(string $why): array
    {
        return ['line' => $this->number, 'text' => mb_substr($this->text, 0, 80), 'why' => $why];
    }
}
