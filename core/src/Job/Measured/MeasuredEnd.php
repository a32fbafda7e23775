<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

/** An end of a run whose place or direction follows from readings. */
final readonly class MeasuredEnd
{
    /**
     * @param  Way|null  $side  of two places that fit alike, the one further that way
     * @param  Way|null  $facing  of two directions that fit alike, the one that points that way, out of the part
     */
    public function __construct(
        public string $letter,
        public bool $isStart,
        public bool $hasPlace,
        public bool $hasDirection,
        public ?Way $side = null,
        public ?Way $facing = null,
    ) {}

    public function name(): string
    {
        return self::nameOf($this->letter, $this->isStart);
    }

    /** As readings name it: "A.start". */
    public static function nameOf(string $letter, bool $isStart): string
    {
        return $letter.($isStart ? '.start' : '.end');
    }
}
