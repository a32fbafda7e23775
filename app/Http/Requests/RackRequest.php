<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What of the rack is asked for: the words to find and the page. */
final class RackRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['find' => ['nullable', 'string', 'max:100'], 'page' => ['nullable', 'integer', 'min:1', 'max:1000000']];
    }

    public function find(): string
    {
        return $this->string('find')->toString();
    }

    public function page(): int
    {
        return $this->integer('page', 1);
    }
}
