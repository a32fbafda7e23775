<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Adjust\Word;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * One object of a survey file, and where it stands: what is wrong with a field is noted, and a harmless value goes on.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class SurveyFile
{
    private const MOST = 1e7;

    private const MOST_NAME = 100;

    /** @param  array<array-key, mixed>  $fields */
    private function __construct(public array $fields, public string $path, private SurveyRefusals $refusals) {}

    public static function of(mixed $value, string $path, SurveyRefusals $refusals): self
    {
        if (! is_array($value) || array_is_list($value) && $value !== []) {
            $refusals->add('invalid', $path);
            $value = [];
        }

        return new self($value, $path, $refusals);
    }

    public function refuse(string $what, string $field): void
    {
        $this->refusals->add($what, $this->path === '' ? $field : "$this->path/$field");
    }

    public function has(string $field): bool
    {
        return ($this->fields[$field] ?? null) !== null;
    }

    public function number(string $field, float $least = -self::MOST, float $most = self::MOST): float
    {
        $value = $this->fields[$field] ?? null;
        $isNumber = (is_int($value) || is_float($value)) && is_finite((float) $value);
        if (! $isNumber || $value < $least || $value > $most) {
            $this->refuse('invalid', $field);

            return $least > 0.0 ? $least : 0.0;
        }

        return (float) $value;
    }

    public function above(string $field): float
    {
        return $this->number($field, 1e-12);
    }

    public function text(string $field): string
    {
        $value = $this->fields[$field] ?? null;
        if (! is_string($value) || $value === '' || mb_strlen($value) > self::MOST_NAME) {
            $this->refuse('invalid', $field);

            return '';
        }

        return $value;
    }

    /** @param  list<string>  $of */
    public function oneOf(string $field, array $of, string $what = 'invalid'): string
    {
        $value = $this->fields[$field] ?? null;
        if (! is_string($value) || ! in_array($value, $of, true)) {
            $this->refuse($what, $field);

            return $of[0] ?? '';
        }

        return $value;
    }

    public function word(string $field): ?Word
    {
        if (! $this->has($field)) {
            return null;
        }
        $value = $this->fields[$field];
        $word = is_string($value) ? Word::tryFrom($value) : null;
        if ($word === null) {
            $this->refuse('invalid', $field);
        }

        return $word;
    }

    /** @return Triple */
    public function triple(string $field): array
    {
        return self::asTriple($this->fields[$field] ?? null) ?? $this->noTriple($field);
    }

    /** @return Triple */
    private function noTriple(string $field): array
    {
        $this->refuse('invalid', $field);

        return Xyz::ZERO;
    }

    /** @return Triple|null */
    public static function asTriple(mixed $value): ?array
    {
        if (! is_array($value) || count($value) !== 3 || ! array_is_list($value)) {
            return null;
        }
        $all = [];
        foreach ($value as $one) {
            if (! is_int($one) && ! is_float($one) || abs($one) > self::MOST) {
                return null;
            }
            $all[] = (float) $one;
        }

        return count($all) === 3 ? [$all[0], $all[1], $all[2]] : null;
    }

    /** @return list<mixed> */
    public function items(string $field, int $most): array
    {
        if (! $this->has($field)) {
            return [];
        }
        $value = $this->fields[$field];
        if (! is_array($value) || ! array_is_list($value) || count($value) > $most) {
            $this->refuse('invalid', $field);

            return [];
        }

        return $value;
    }
}
