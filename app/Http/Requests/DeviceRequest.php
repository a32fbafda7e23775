<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Device\Leak;

/** Which seconds of which step's instruments are wanted. */
final class DeviceRequest extends FormRequest
{
    private const MOST_VALUES = 60;

    private const MOST_SECONDS = 14_400;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $from = $this->integer('from');

        return [
            'step' => ['required', 'string', 'max:60'],
            'from' => ['required', 'integer', 'min:0', 'max:'.self::MOST_SECONDS],
            'to' => ['required', 'integer', "min:$from", 'max:'.min(self::MOST_SECONDS, $from + self::MOST_VALUES)],
            'leak' => ['required', Rule::enum(Leak::class)],
            'share' => ['required', 'numeric', 'min:0.1', 'max:2'],
            'run' => ['required', 'string', 'max:40'],
            'units' => ['required', Rule::enum(UnitSystem::class)],
        ];
    }

    public function step(): string
    {
        return $this->string('step')->value();
    }

    public function from(): int
    {
        return $this->integer('from');
    }

    public function to(): int
    {
        return $this->integer('to');
    }

    public function leak(): Leak
    {
        return Leak::from($this->string('leak')->value());
    }

    public function share(): float
    {
        return $this->float('share');
    }

    /** What tells one time it is done from another: chance falls differently each time. */
    public function run(): string
    {
        return $this->string('run')->value();
    }

    public function units(): UnitSystem
    {
        return UnitSystem::from($this->string('units')->value());
    }
}
