<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Job;
use App\Models\StoreEntryKind;
use App\Models\StoreItem;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Exchange\Files\StoresTable;

/** What came in, was counted or is taken for a job. */
final class StoreEntryRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'kind' => ['required', Rule::in(['received', 'counted', 'issued'])],
            'quantity' => ['required', 'string', 'max:30'],
            'job' => ['required_if:kind,issued', 'nullable', 'string', 'max:40'],
            'note' => ['present', 'nullable', 'string', 'max:500'],
        ];
    }

    public function kind(): StoreEntryKind
    {
        return StoreEntryKind::from($this->string('kind')->toString());
    }

    public function quantity(StoreItem $item): float
    {
        try {
            $number = StoresTable::number(trim($this->string('quantity')->toString()), 'quantity', $item->kind->isCounted());
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['quantity' => $error->getMessage()]);
        }
        if ($number === null || ($number <= 0.0 && $this->kind() !== StoreEntryKind::Counted)) {
            throw ValidationException::withMessages(['quantity' => 'must be more than 0']);
        }

        return $number;
    }

    public function forJob(): Job
    {
        return Job::query()->where('number', $this->string('job')->toString())->first()
            ?? throw ValidationException::withMessages(['job' => 'There is no job of this number.']);
    }

    public function note(): string
    {
        return $this->string('note')->toString();
    }
}
