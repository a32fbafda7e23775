<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\Gate;
use UpsweptBead\Core\Stage\Step\StepKind;

/** One piece that was cut, with its measured length if there is one; or was not after all. */
final class CutPieceRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'mark' => ['required', 'string', 'max:20'],
            'length' => ['present', 'nullable', 'string', 'max:40'],
            'units' => ['required', 'in:inch,metric'],
            'undo' => ['required', 'boolean'],
            'why' => ['sometimes', 'nullable', 'string', 'max:'.Gate::MOST_REASON],
        ];
    }

    public function mark(): string
    {
        return $this->string('mark')->toString();
    }

    public function isUndo(): bool
    {
        return $this->boolean('undo');
    }

    /** In mm; null where none was said, or none that can be read. */
    public function lengthMm(): ?float
    {
        try {
            return Quantity::Length->parse($this->string('length')->toString(), UnitSystem::from($this->string('units')->toString()));
        } catch (UnreadableQuantity) {
            return null;
        }
    }

    /** @return array<string, mixed> as the bench would send it */
    public function entry(User $by, int $revision): array
    {
        $length = trim($this->string('length')->toString());

        return [
            'id' => strtolower($this->string('id')->toString()),
            'by' => $by->id,
            'revision' => $revision,
            'units' => $this->string('units')->toString(),
            'step' => StepKind::Prepare->key($this->mark()),
            'kind' => $this->isUndo() ? 'reopen' : 'done',
            'readings' => $length === '' || $this->isUndo() ? [] : ['length' => $length],
            'note' => '',
            'why' => trim($this->string('why')->toString()),
            'at' => now()->toIso8601String(),
        ];
    }
}
