<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Before which place in the log lines are asked for. */
final class LogPageRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['before' => ['nullable', 'integer', 'min:1', 'max:9000000000000000']];
    }

    public function before(): ?int
    {
        return $this->filled('before') ? $this->integer('before') : null;
    }
}
