<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

/** The frame of a DXF drawing in its text form (R12): header, layers, entities. Millimetres. */
final readonly class Dxf
{
    /**
     * @param  list<string>  $layers  by name
     * @param  list<string>  $entities  lines of the file
     */
    public static function document(array $layers, array $entities): string
    {
        $table = [];
        foreach ($layers as $layer) {
            array_push($table, ...self::pairs([0 => 'LAYER', 2 => $layer, 70 => 0, 62 => 7, 6 => 'CONTINUOUS']));
        }

        return implode("\r\n", [
            ...self::pairs([0 => 'SECTION', 2 => 'HEADER', 9 => '$ACADVER', 1 => 'AC1009']),
            ...self::pairs([9 => '$INSUNITS', 70 => 4]),
            ...self::pairs([0 => 'ENDSEC']),
            ...self::pairs([0 => 'SECTION', 2 => 'TABLES']),
            ...self::pairs([0 => 'TABLE', 2 => 'LAYER', 70 => count($layers)]),
            ...$table,
            ...self::pairs([0 => 'ENDTAB']),
            ...self::pairs([0 => 'ENDSEC']),
            ...self::pairs([0 => 'SECTION', 2 => 'ENTITIES']),
            ...$entities,
            ...self::pairs([0 => 'ENDSEC']),
            ...self::pairs([0 => 'EOF']),
            '',
        ]);
    }

    /**
     * @param  array<int, string|int|float>  $values  by group code
     * @return list<string>
     */
    public static function pairs(array $values): array
    {
        $lines = [];
        foreach ($values as $code => $value) {
            $lines[] = sprintf('%3d', $code);
            $lines[] = is_float($value) ? sprintf('%.9F', $value) : (string) $value;
        }

        return $lines;
    }
}
