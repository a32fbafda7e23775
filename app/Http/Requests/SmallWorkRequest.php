<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Workshop\Workshop;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Small\SmallKind;
use UpsweptBead\Core\Job\Small\SmallPlace;
use UpsweptBead\Core\Job\Small\SmallWork;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;

/** Small work as it was chosen. */
final class SmallWorkRequest extends FormRequest
{
    /** From a crack that is hardly seen to one along a whole run; dams a hand’s width to a long system apart (mm). */
    private const LIMITS = ['crack' => [3.0, 1000.0], 'dams' => [50.0, 5000.0]];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(SmallKind::class)],
            'place' => ['required', Rule::enum(SmallPlace::class)],
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'tube' => ['required', 'string', 'max:60'],
            'metal' => ['required', 'string', 'max:40'],
            'crack' => ['required', 'string', 'max:40'],
            'dams' => ['required', 'string', 'max:40'],
            'root' => ['nullable', Rule::enum(RootPractice::class)],
            'why' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @throws ValidationException if a choice is none, or a length cannot be read */
    public function work(Workshop $workshop): SmallWork
    {
        $catalogue = $workshop->shopWithAll()->catalogue;
        $metal = $this->string('metal')->toString();
        if (! isset($catalogue->metals[$metal])) {
            $known = implode(', ', array_keys($catalogue->metals));
            throw ValidationException::withMessages(['metal' => "There is no metal \"$metal\"; there are $known."]);
        }
        try {
            $tube = $catalogue->tube($this->string('tube')->toString());
        } catch (UnknownStock $unknown) {
            throw ValidationException::withMessages(['tube' => $unknown->getMessage()]);
        }

        return new SmallWork(
            SmallKind::from($this->string('kind')->toString()),
            SmallPlace::from($this->string('place')->toString()),
            $tube,
            $metal,
            $this->length('crack'),
            $this->length('dams'),
            RootPractice::tryFrom($this->string('root')->toString()),
            trim($this->string('why')->toString()),
        );
    }

    public function units(): UnitSystem
    {
        return UnitSystem::from($this->string('units')->toString());
    }

    private function length(string $field): Length
    {
        $text = $this->string($field)->toString();
        try {
            $length = Length::parse($text, $this->units());
        } catch (UnreadableQuantity $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }
        [$least, $most] = self::LIMITS[$field];
        if ($length->mm < $least || $length->mm > $most) {
            throw ValidationException::withMessages([
                $field => sprintf(
                    '"%s" must lie between %s and %s.',
                    $text,
                    Quantity::Length->read($least, $this->units()),
                    Quantity::Length->read($most, $this->units()),
                ),
            ]);
        }

        return $length;
    }
}
