<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A batch of entries from the bench; each of them is judged, and answered, for itself. */
final class LogRequest extends FormRequest
{
    public const MOST = 200;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['entries' => ['required', 'list', 'min:1', 'max:'.self::MOST]];
    }

    /** @return list<mixed> as they were sent */
    public function entries(): array
    {
        return array_values((array) $this->input('entries'));
    }
}
