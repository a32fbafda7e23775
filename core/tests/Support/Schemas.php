<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** The published schemas of docs/schemas, to hold documents and answers to. */
final class Schemas
{
    private const BASE = 'https://upswept-bead.invalid/schemas/';

    private static ?Validator $validator = null;

    /** @var ?array<string, string> the place of each definition, by its name */
    private static ?array $places = null;

    /**
     * What is wrong with a value, place by place; empty if nothing.
     *
     * @param  string  $name  of a definition in any of the schemas, such as Plan
     */
    public static function wrong(mixed $value, string $name): string
    {
        $place = self::places()[$name] ?? throw new \OutOfBoundsException("No schema defines $name.");
        $plain = json_decode(json_encode($value, JSON_THROW_ON_ERROR), false, 512, JSON_THROW_ON_ERROR);
        $error = self::validator()->validate($plain, $place)->error();

        return $error === null
            ? ''
            : json_encode((new ErrorFormatter())->format($error, false), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 3).'/docs/schemas';
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator();
            self::$validator->resolver()?->registerPrefix(self::BASE, self::folder());
        }

        return self::$validator;
    }

    /** @return array<string, string> */
    private static function places(): array
    {
        if (self::$places === null) {
            self::$places = [];
            foreach ((array) glob(self::folder().'/*.schema.json') as $file) {
                $file = (string) $file;
                $schema = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
                $definitions = is_array($schema) && is_array($schema['$defs'] ?? null) ? $schema['$defs'] : [];
                foreach (array_keys($definitions) as $name) {
                    self::$places[(string) $name] = self::BASE.basename($file).'#/$defs/'.$name;
                }
            }
        }

        return self::$places;
    }
}
