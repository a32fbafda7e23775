<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Base\Document\Fault;

/** What became of one entry: stored, known already, or refused for a reason. */
final readonly class Taken
{
    private function __construct(
        public string $id,
        public string $state,
        public ?Fault $fault,
        private string $told = '',
    ) {}

    /** @param  string  $told  what its maker has to know of it all the same; '' for nothing */
    public static function stored(string $id, string $told = ''): self
    {
        return new self($id, 'stored', null, $told);
    }

    public static function known(string $id): self
    {
        return new self($id, 'known', null);
    }

    public static function refused(string $id, Fault $fault): self
    {
        return new self($id, 'refused', $fault);
    }

    /** @return array{id: string, state: string, field: string|null, reason: string|null} */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'state' => $this->state,
            'field' => $this->fault?->path,
            'reason' => $this->fault->message ?? ($this->told === '' ? null : $this->told),
        ];
    }
}
