<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * A place in a decoded JSON document, read defensively: every value asked for is checked, and what is wrong is noted
 * with its path instead of thrown, so that a person sees all faults at once. A value that was wrong reads as a
 * harmless default; callers must not use the result while there are faults.
 */
final readonly class Node
{
    private const MAX_TEXT = 2000;

    /** A quantity with its unit is not longer. */
    private const MOST_WRITTEN = 40;

    private function __construct(private mixed $value, public string $path, private Faults $faults) {}

    /**
     * Opens a JSON text of a known format and version; a null version for formats that carry it in their name.
     *
     * @throws UnusableDocument if it is too large, not JSON, or of another format or version
     */
    public static function open(
        string $json,
        string $format,
        ?int $version,
        Faults $faults,
        int $mostBytes = 2_000_000,
    ): self {
        if (strlen($json) > $mostBytes) {
            throw UnusableDocument::tooLarge(strlen($json), $mostBytes);
        }
        try {
            $value = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw UnusableDocument::notJson(lcfirst($error->getMessage()));
        }

        return self::wrap($value, $format, $version, $faults);
    }

    /** @throws UnusableDocument if the decoded value is of another format or version */
    public static function wrap(mixed $value, string $format, ?int $version, Faults $faults): self
    {
        if (! is_array($value) || ($value['format'] ?? null) !== $format) {
            throw UnusableDocument::notThisFormat($format);
        }
        $found = $value['version'] ?? null;
        if ($version !== null && $found !== $version) {
            throw UnusableDocument::otherVersion($format, is_scalar($found) ? (string) $found : 'none', $version);
        }
        unset($value['format'], $value['version']);

        return new self($value, '', $faults);
    }

    /** A value that stands by itself, part of no format. */
    public static function of(mixed $value, Faults $faults): self
    {
        return new self($value, '', $faults);
    }

    /** @param  list<string>  $keys the only ones allowed here */
    public function only(array $keys): self
    {
        foreach (is_array($this->value) ? array_keys($this->value) : [] as $key) {
            if (! in_array($key, $keys, true)) {
                $this->at((string) $key)->complain(
                    'unknown-field',
                    'is not a field of this format; here are known: '.implode(', ', $keys),
                );
            }
        }

        return $this;
    }

    public function at(string $key): self
    {
        $path = $this->path === '' ? $key : "$this->path.$key";

        return new self(is_array($this->value) ? ($this->value[$key] ?? null) : null, $path, $this->faults);
    }

    public function isMissing(): bool
    {
        return $this->value === null;
    }

    public function isBlank(): bool
    {
        return is_string($this->value) && trim($this->value) === '';
    }

    public function isList(): bool
    {
        return is_array($this->value) && array_is_list($this->value);
    }

    /** @return list<self> */
    public function items(int $most): array
    {
        if (! is_array($this->value) || ! array_is_list($this->value)) {
            $this->complain('not-a-list', 'must be a list');

            return [];
        }
        if (count($this->value) > $most) {
            $this->complain('too-many', sprintf('has %d entries; at most %d are read', count($this->value), $most));

            return [];
        }

        return array_map(
            fn (int $i): self => new self($this->value[$i], "$this->path[$i]", $this->faults),
            array_keys($this->value),
        );
    }

    /** @return array<array-key, self> PHP turns keys such as "1" into numbers */
    public function entries(int $most): array
    {
        if (! is_array($this->value) || count($this->value) > $most) {
            $this->complain('not-an-object', "must be an object with at most $most fields");

            return [];
        }
        $entries = [];
        foreach (array_keys($this->value) as $key) {
            $entries[(string) $key] = $this->at((string) $key);
        }

        return $entries;
    }

    public function text(string $default = '', int $most = self::MAX_TEXT): string
    {
        if ($this->value === null) {
            return $default;
        }
        $wrong = match (true) {
            ! is_string($this->value) => 'must be a text',
            mb_strlen($this->value) > $most => $most === 1
                ? 'may be one letter long'
                : "may be $most letters long at most",
            preg_match('/[\x00-\x08\x0b-\x1f\x7f]/', $this->value) === 1 => 'has letters in it that cannot be printed',
            default => null,
        };
        if ($wrong !== null) {
            $this->complain('not-a-text', $wrong);

            return $default;
        }

        return $this->value;
    }

    public function required(int $most = 200): string
    {
        $text = trim($this->text('', $most));
        if ($text === '' && ($this->value === null || $this->value === '' || is_string($this->value))) {
            $this->complain('missing', 'is missing');
        }

        return $text;
    }

    public function length(UnitSystem $units): Length
    {
        if (is_int($this->value) || is_float($this->value)) {
            return Length::ofMm($this->finite((float) $this->value, 1e5));
        }
        if (! is_string($this->value)) {
            $this->complain(
                'not-a-length',
                'must be millimetres as a number, or a text such as "1 5/8 in" or "41.3mm"',
            );

            return Length::ofMm(0);
        }
        try {
            return Length::parse($this->value, $units);
        } catch (UnreadableQuantity $error) {
            $this->complain('not-a-length', $error->getMessage());

            return Length::ofMm(0);
        }
    }

    /** A number as it stands, or a text with a unit of the given kind. */
    public function quantity(Quantity $quantity, UnitSystem $units, float $most = 1e6): float
    {
        if (is_string($this->value)) {
            try {
                return $this->finite($quantity->parse($this->value, $units), $most);
            } catch (UnreadableQuantity $error) {
                $this->complain('not-a-'.$quantity->value, $error->getMessage());

                return 0.0;
            }
        }

        return $this->number($most);
    }

    /** A text as somebody wrote it, where it is one: no more than is kept of an answer. */
    public function asWritten(): string
    {
        return is_string($this->value) && mb_strlen($this->value) <= self::MOST_WRITTEN ? trim($this->value) : '';
    }

    public function boolean(): bool
    {
        if (! is_bool($this->value)) {
            $this->complain('not-a-boolean', 'must be true or false');
        }

        return $this->value === true;
    }

    /** A number no greater than $most either way, in whatever unit the field is; 0 where it is none. */
    public function number(float $most = 1e6): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            $this->complain('not-a-number', 'must be a number');

            return 0.0;
        }

        return $this->finite((float) $this->value, $most);
    }

    /** Whether it is a number above another; says nothing of what it is otherwise. */
    public function isAbove(float $least): bool
    {
        return (is_int($this->value) || is_float($this->value)) && $this->value > $least;
    }

    /** Three numbers, mm where it is a place. */
    public function point(): Vector
    {
        $parts = array_map(static fn (self $item): float => $item->number(1e6), $this->items(3));
        if (count($parts) !== 3) {
            $this->complain('not-a-point', 'must be three numbers');

            return new Vector(0, 0, 0);
        }

        return new Vector(...$parts);
    }

    /** Three numbers that are not all 0; of any length. */
    public function direction(): Vector
    {
        $parts = array_map(static fn (self $item): float => $item->number(1e6), $this->items(3));
        $vector = count($parts) === 3 ? new Vector(...$parts) : new Vector(0, 0, 0);
        if ($vector->length() < 1e-9) {
            $this->complain('no-direction', 'must be three numbers that are not all 0, such as 1, 0 and -0.2');

            return new Vector(1, 0, 0);
        }

        return $vector;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $default
     * @return T
     */
    public function choice(string $enum, \BackedEnum $default): \BackedEnum
    {
        $choice = is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if ($choice === null && $this->value !== null) {
            $this->complain(
                'unknown-choice',
                'must be one of '.
                    implode(
                        ', ',
                        array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()),
                    ),
            );
        }

        return $choice ?? $default;
    }

    public function complain(string $code, string $message): void
    {
        $this->faults->add(new Fault($this->path, $code, $message, $this->value));
    }

    private function finite(float $value, float $most): float
    {
        if (! is_finite($value) || abs($value) > $most) {
            $this->complain(
                'out-of-range',
                sprintf('must lie between −%s and %s', number_format($most), number_format($most)),
            );

            return 0.0;
        }

        return $value;
    }
}
