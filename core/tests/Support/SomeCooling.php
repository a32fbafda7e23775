<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Exchange\Files\CoolAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CoolProblem;
use UpsweptBead\Core\Exchange\Files\CoolProblemReader;
use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\Property;
use UpsweptBead\Core\Solve\Cool\TubeEnd;
use UpsweptBead\Core\Solve\Cool\TubeSide;

/** Seams to cool. */
final class SomeCooling
{
    /** @return array<string, mixed> one of the shipped problems, or its answer */
    public static function shipped(string $name, string $folder = ''): array
    {
        $json = (string) file_get_contents(dirname(__DIR__)."/problems/cool/$folder$name.json");
        $problem = json_decode($json, true, 32, JSON_THROW_ON_ERROR);

        return is_array($problem) ? array_combine(array_map(strval(...), array_keys($problem)), $problem) : [];
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(
            static fn (string $file): string => basename($file, '.json'),
            (array) glob(dirname(__DIR__).'/problems/cool/*.json'),
        );
    }

    /** @return array<string, mixed> */
    public static function answer(mixed $problem): array
    {
        $read = CoolProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

        return $read instanceof CoolProblem
            ? CoolAnswerWriter::toArray($read)
            : throw new \DomainException("{$read[0]->path} {$read[0]->message}");
    }

    /**
     * A 3 in × .065 tube of constant properties.
     *
     * @param  array{TubeSide, TubeSide}|null  $sides
     */
    public static function tube(
        ?array $sides = null,
        ?Film $film = null,
        float $emissivity = 0.0,
        float $conductivity = 18.0,
        float $startC = 20.0,
    ): HotTube {
        $far = new TubeSide(800.0, TubeEnd::bare());

        return new HotTube(
            76.2, 1.65, 7930.0, Property::constant(500.0), Property::constant($conductivity), $emissivity,
            $sides ?? [$far, $far], $film ?? Film::given(0.0), 20.0, 0.0, $startC,
        );
    }

    /** So much heat at once, as near as there is. */
    public static function flash(float $heatJ): ArcHeat
    {
        return new ArcHeat($heatJ / 0.05, 0.05, 1, 0.0, 1.5);
    }
}
