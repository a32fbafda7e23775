<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;

/** Why a weld problem has no answer: what is wrong, in which field, and the value or the name to blame. */
final readonly class WeldRefusal
{
    private const MOST_BLAMED = 60;

    /** @param  int|float|string|bool|list<mixed>|null  $by */
    public function __construct(
        public string $what,
        public string $field,
        public int|float|string|bool|array|null $by = null,
    ) {}

    public static function ofFault(Fault $fault): self
    {
        $value = $fault->value;
        $isList = is_array($value) && array_is_list($value) && count($value) <= self::MOST_BLAMED;
        // What is no number in JSON cannot be written back as one.
        $by = (is_scalar($value) || $isList) && json_encode($value) !== false ? $value : null;

        return new self($fault->message, $fault->path, $by);
    }

    /**
     * @param  list<self>  $reasons
     * @return array<string, mixed> the whole answer
     */
    public static function answer(string $format, string $case, array $reasons): array
    {
        return [
            'format' => $format,
            'case' => $case,
            'status' => 'refused',
            'reasons' => array_map(static fn (self $one): array => $one->toArray(), $reasons),
        ];
    }

    /** @return array{what: string, field: string, by: int|float|string|bool|list<mixed>|null} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'field' => $this->field, 'by' => $this->by];
    }
}
