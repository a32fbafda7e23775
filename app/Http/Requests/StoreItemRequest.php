<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Exchange\Files\StoresTable;

/** What is known of an item beside how much there is: its place, its price, when to buy more. */
final class StoreItemRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $text = static fn (int $most): array => ['present', 'nullable', 'string', "max:$most"];

        return ['location' => $text(60), 'cost' => $text(20), 'reorderAt' => $text(20), 'reorderTo' => $text(20)];
    }

    /** @return array{location: string, cost: float|null, reorder_at: float|null, reorder_to: float|null} */
    public function changes(): array
    {
        return [
            'location' => $this->string('location')->toString(),
            'cost' => $this->number('cost', 'price'),
            'reorder_at' => $this->number('reorderAt', 'reorder at'),
            'reorder_to' => $this->number('reorderTo', 'reorder to'),
        ];
    }

    private function number(string $field, string $name): ?float
    {
        try {
            return StoresTable::number(trim($this->string($field)->toString()), $name, false);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }
    }
}
