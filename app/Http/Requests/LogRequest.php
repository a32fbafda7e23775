<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use UpsweptBead\Core\Bench\EntryKind;
use UpsweptBead\Core\Units\UnitSystem;

/** Entries from the bench, each with an id of its maker's. */
final class LogRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'entries' => ['required', 'array', 'min:1', 'max:200'],
            'entries.*.id' => ['required', 'uuid'],
            'entries.*.step' => ['required', 'string', 'max:60'],
            'entries.*.kind' => ['required', Rule::enum(EntryKind::class)],
            'entries.*.readings' => ['present', 'array', 'max:12'],
            'entries.*.readings.*' => ['nullable', 'string', 'max:60'],
            'entries.*.note' => ['present', 'nullable', 'string', 'max:2000'],
            'entries.*.at' => ['required', 'date'],
        ];
    }

    public function units(): UnitSystem
    {
        return UnitSystem::from($this->string('units')->toString());
    }

    /** @return list<array{id: string, step: string, kind: string, readings: array<string, string>, note: string, at: string}> */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->collect('entries') as $entry) {
            if (is_array($entry)) {
                $text = static fn (string $key): string => is_string($entry[$key] ?? null) ? $entry[$key] : '';
                $readings = [];
                foreach (is_array($entry['readings'] ?? null) ? $entry['readings'] : [] as $name => $reading) {
                    $readings[(string) $name] = is_string($reading) ? $reading : '';
                }
                $entries[] = [
                    'id' => $text('id'),
                    'step' => $text('step'),
                    'kind' => $text('kind'),
                    'readings' => $readings,
                    'note' => $text('note'),
                    'at' => $text('at'),
                ];
            }
        }

        return $entries;
    }
}
