<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:200'], 'password' => ['required', 'string', 'max:200']];
    }

    /** Guesses are counted by the address that is tried and where they come from. */
    public function limiterKey(): string
    {
        return 'sign-in|'.Str::lower($this->string('email')->toString()).'|'.$this->ip();
    }
}
