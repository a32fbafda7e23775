<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use UpsweptBead\Core\Account\Stores\ItemKind;

/** What of the stores is asked for: words to find, a kind, a page. */
final class StoresRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $kinds = implode(',', array_map(static fn (ItemKind $one): string => $one->value, ItemKind::cases()));

        return [
            'find' => ['nullable', 'string', 'max:100'],
            'kind' => ['nullable', 'string', "in:$kinds"],
            'page' => ['nullable', 'integer', 'min:1', 'max:1000000'],
        ];
    }

    public function find(): string
    {
        return $this->string('find')->toString();
    }

    public function kind(): ?ItemKind
    {
        return ItemKind::tryFrom($this->string('kind')->toString());
    }

    public function page(): int
    {
        return $this->integer('page', 1);
    }
}
