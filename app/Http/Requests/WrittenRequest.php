<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** What somebody wrote into fields, read one by one. */
class WrittenRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /**
     * A text that came along; nothing at all counts as an empty one.
     *
     * @throws ValidationException if it is something else
     */
    public function written(string $key): string
    {
        $value = $this->input($key, '') ?? '';

        return is_string($value) ? $value : throw ValidationException::withMessages([$key => 'must be a text']);
    }
}
