<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

/** Why a problem has no answer: what is wrong, at which place of the file, and by how much (mm, degrees or pieces). */
final readonly class Refusal
{
    public function __construct(public string $what, public string $field, public ?float $by = null) {}

    /** @return array{what: string, field: string, by: float|null} as the open formats write it */
    public function toArray(): array
    {
        return [
            'what' => $this->what,
            'field' => $this->field,
            'by' => $this->by === null ? null : round($this->by, 6),
        ];
    }
}
