<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What an open bench knows: the released revision it shows, and its newest place in the log. */
final class StandingRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:1', 'max:1000000'],
            'after' => ['required', 'integer', 'min:0', 'max:9000000000000000'],
        ];
    }

    public function revision(): int
    {
        return $this->integer('revision');
    }

    public function position(): int
    {
        return $this->integer('after');
    }
}
