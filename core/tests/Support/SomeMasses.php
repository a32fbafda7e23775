<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\EndBodies;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\Property;
use UpsweptBead\Core\Solve\Cool\TubeEnd;
use UpsweptBead\Core\Solve\Cool\TubeSide;
use UpsweptBead\Core\Solve\Cool\WarmPlate;

/**
 * Seams beside rings, flanges and bosses, with what a model in two dimensions says of them.
 *
 * @phpstan-type Sizes array<string, float>
 */
final class SomeMasses
{
    private const FOLDER = __DIR__.'/../problems/cool-2d';

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(static fn (string $file): string => basename($file, '.json'), (array) glob(self::FOLDER.'/*.json'));
    }

    /** @return array{HotTube, ArcHeat, array{peak_mean_c: float, spot_s: list<float>, mean_s: list<float>}} */
    public static function case(string $name): array
    {
        /** @var array{tube: Sizes, metal: Sizes, weld: Sizes, band?: Sizes, flange?: array{inner_mm: float, outer_mm: float, thickness_mm: float, plate: ?Sizes}, bung?: Sizes} $case */
        $case = json_decode((string) file_get_contents(self::FOLDER."/$name.json"), true, 16, JSON_THROW_ON_ERROR);
        /** @var array{peak_mean_c: float, spot_s: list<float>, mean_s: list<float>} $answer */
        $answer = json_decode((string) file_get_contents(self::FOLDER."/answers/$name.json"), true, 16, JSON_THROW_ON_ERROR);
        $weld = $case['weld'];

        return [
            self::tube($case['tube'], $case['metal'], self::end($case), $case['bung']['radius_mm'] ?? null),
            new ArcHeat($weld['watts'], $weld['arc_s'], (int) $weld['runs'], $weld['stop_s'], $weld['bead_mm'], 0.5),
            $answer,
        ];
    }

    /** @return array{HotTube, ArcHeat, float} nothing is lost to the air; with its heat capacity, J/K */
    public static function insulated(): array
    {
        $metal = ['density_kg_m3' => 7930.0, 'specific_heat_j_kgk' => 500.0, 'conductivity_w_mk' => 18.0, 'emissivity' => 0.0];
        $end = (new EndBodies(7930.0, 18.0))->flange(24.15, 50.0, 9.53, 8.3, new WarmPlate(2.0, 0.0, 900.0), 3000.0);
        $tube = self::tube(['od_mm' => 48.3, 'wall_mm' => 2.77, 'length_mm' => 150.0], $metal, $end, null, Film::given(0.0));
        $kg = array_sum(array_map(static fn ($lump): float => $lump->massKg, $end->lumps))
            + $tube->areaMm2() * 150.0 * 1e-9 * 7930.0;

        return [$tube, new ArcHeat(600.0, 100.0, 6, 8.0, 8.3, 0.5), $kg * 500.0 + 2.0 * 900.0];
    }

    /**
     * @param  Sizes  $tube
     * @param  Sizes  $metal
     */
    private static function tube(array $tube, array $metal, TubeEnd $end, ?float $spreadsMm, ?Film $film = null): HotTube
    {
        return new HotTube(
            $tube['od_mm'],
            $tube['wall_mm'],
            $metal['density_kg_m3'],
            Property::constant($metal['specific_heat_j_kgk']),
            Property::constant($metal['conductivity_w_mk']),
            $metal['emissivity'],
            [new TubeSide(0.0, $end), new TubeSide($tube['length_mm'], TubeEnd::bare(), $spreadsMm)],
            $film ?? Film::still(),
            20.0,
            0.0,
            20.0,
        );
    }

    /** @param  array{metal: Sizes, weld: Sizes, band?: Sizes, flange?: array{inner_mm: float, outer_mm: float, thickness_mm: float, plate: ?Sizes}, bung?: Sizes}  $case */
    private static function end(array $case): TubeEnd
    {
        $bodies = new EndBodies($case['metal']['density_kg_m3'], $case['metal']['conductivity_w_mk']);
        if (isset($case['band'])) {
            $ring = $case['band'];
            $section = M_PI * ($ring['outer_mm'] ** 2 - $ring['inner_mm'] ** 2);

            return $bodies->band(
                $section, $ring['length_mm'], $ring['inner_mm'], $ring['outer_mm'],
                $ring['contact_w_k'], $ring['clamp_kg'], $ring['clamp_mm'],
            );
        }
        if (isset($case['flange'])) {
            $flange = $case['flange'];
            $plate = $flange['plate'];

            return $bodies->flange(
                $flange['inner_mm'], $flange['outer_mm'], $flange['thickness_mm'], $case['weld']['bead_mm'],
                $plate === null ? null : new WarmPlate($plate['kg'], $plate['area_mm2'], $plate['heat_j_kgk']),
                $plate['contact_w_m2k'] ?? 0.0,
            );
        }
        $bung = $case['bung'] ?? throw new \LogicException('Nothing stands there.');

        return $bodies->boss($bung['kg'], $bung['area_mm2'], $bung['radius_mm']);
    }
}
