<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Randomizer;

/** Documents with a few things changed that no screen would change; the same seed gives the same ones. */
final readonly class Mutations
{
    private Randomizer $dice;

    public function __construct(int $seed)
    {
        $this->dice = Some::dice($seed);
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    public function of(array $document): array
    {
        for ($i = $this->dice->getInt(0, 2); $i > 0; $i--) {
            $document = $this->changed($document);
        }

        return $document;
    }

    /**
     * Goes down at random and changes what it comes to.
     *
     * @param  array<mixed>  $part
     * @return array<mixed>
     */
    private function changed(array $part): array
    {
        $keys = array_keys($part);
        if ($keys === []) {
            return [self::hostile()[$this->dice->getInt(0, count(self::hostile()) - 1)]];
        }
        $key = $keys[$this->dice->getInt(0, count($keys) - 1)];
        if (is_array($part[$key]) && $this->dice->getInt(0, 5) > 0) {
            $part[$key] = $this->changed($part[$key]);

            return $part;
        }
        switch ($this->dice->getInt(0, 5)) {
            case 0:
                unset($part[$key]);
                break;
            case 1:
                $part[$key] = array_fill(0, 25, $part[$key]);
                break;
            case 2:
                $part["$key".['x', '[]', '.', '0'][$this->dice->getInt(0, 3)]] = $part[$key];
                break;
            default:
                $part[$key] = self::hostile()[$this->dice->getInt(0, count(self::hostile()) - 1)];
        }

        return $part;
    }

    /** @return list<mixed> */
    private static function hostile(): array
    {
        $deep = 1;
        for ($i = 0; $i < 40; $i++) {
            $deep = ['x' => [$deep]];
        }

        return [
            null, true, false, 0, -1, 1, 25.4, 1e308, -1e308, 5e-324, NAN, INF, PHP_INT_MAX, PHP_INT_MIN,
            '', ' ', 'x', 'NaN', '1e309', '-0', '1e30 m', '0 in', '-5 mm', '1/0', '10° 5°', "\0", '🔥', '<script>',
            str_repeat('x', 3000), [], [[]], [null], ['0' => 1], [1, 2], [0, 0, 0], ['a', 'b', 'c'], [1e308, 1e308, 1e308], $deep,
        ];
    }
}
