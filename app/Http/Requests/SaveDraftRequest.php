<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A change to a draft, with the version it was made on. */
final class SaveDraftRequest extends ChangeRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'version' => ['required', 'integer', 'min:1']];
    }
}
