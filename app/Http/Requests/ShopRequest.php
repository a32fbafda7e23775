<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use UpsweptBead\Core\Base\Units\Money;

/** A change of what the shop works by: practices by their name, rules by their key, an empty text for common practice. */
final class ShopRequest extends FormRequest
{
    private const MOST_RULES = 200;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:1'],
            'schools' => ['sometimes', 'array:root,cool,saw'],
            'schools.*' => ['required', 'string', 'max:20'],
            'currency' => ['sometimes', 'nullable', 'string', 'max:'.Money::LONGEST],
            'rules' => ['sometimes', 'array', 'max:'.self::MOST_RULES],
            'rules.*' => ['present', 'nullable', 'string', 'max:60'],
        ];
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    /** @return array<string, string> */
    public function practices(): array
    {
        return $this->texts('schools');
    }

    /** Null where it is left as it is. */
    public function currency(): ?string
    {
        return $this->has('currency') ? trim($this->string('currency')->value()) : null;
    }

    /** @return array<string, string> */
    public function changedRules(): array
    {
        return $this->texts('rules');
    }

    /** @return array<string, string> */
    private function texts(string $field): array
    {
        $texts = [];
        foreach ((array) $this->validated($field, []) as $key => $value) {
            $texts["$key"] = is_string($value) ? trim($value) : '';
        }

        return $texts;
    }
}
