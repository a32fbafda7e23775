<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Randomizer;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Exchange\Files\MergeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\MergeProblem;
use UpsweptBead\Core\Exchange\Files\MergeProblemReader;

/** Merge problems to try the core on, and its answers as plain arrays. */
final class SomeMerges
{
    /** @return array<string, mixed> straight tubes, all alike or each its own */
    public static function straight(Randomizer $dice, bool $isEven): array
    {
        $count = $isEven ? $dice->getInt(2, 6) : $dice->getInt(2, 4);
        $odMm = Some::between($dice, 35.0, 60.0);
        $leanDeg = Some::between($dice, 7.0, 14.0);
        $lean = deg2rad($leanDeg);
        $leastMm = $odMm / 2 * hypot(cos($lean), 1 / tan(M_PI / $count));
        $inletMm = $leastMm + Some::between($dice, 2.0, 8.0);
        $tubes = [];
        for ($i = 0; $i < $count; $i++) {
            $tubes[] = ['id' => chr(65 + $i), 'od' => $isEven ? $odMm : $odMm - Some::between($dice, 0.0, 2.5), 'wall' => 1.65]
                + ($isEven ? [] : ['half_angle' => $leanDeg + Some::between($dice, -0.4, 0.4)]);
        }
        // Between where the middle closes and where the centrelines cross.
        $apexMm = $inletMm / tan($lean);
        $closedMm = $apexMm - $odMm / 2 / sin($lean);

        return [
            'format' => 'merge-problem/1', 'case' => 'some', 'kind' => 'collector-straight', 'tubes' => $tubes,
            'half_angle' => $leanDeg, 'inlet_radius' => $inletMm,
            'outlet' => ['plane' => max(20.0, $closedMm) + ($apexMm - max(20.0, $closedMm)) * Some::between($dice, 0.35, 0.8)],
            'psi' => range(0, 350, 10),
        ];
    }

    /** @return array<string, mixed> */
    public static function bent(Randomizer $dice): array
    {
        $count = $dice->getInt(2, 5);
        $odMm = Some::between($dice, 38.0, 51.0);
        $clrMm = $odMm * Some::between($dice, 1.5, 3.0);
        $angleDeg = Some::between($dice, 12.0, 30.0);
        $inletMm = $odMm / 2 / sin(M_PI / $count) + Some::between($dice, 0.5, 4.0);
        $widthMm = 2 * $inletMm + $odMm;

        return [
            'format' => 'merge-problem/1', 'case' => 'some', 'kind' => 'collector-bent',
            'tubes' => array_map(
                static fn (int $i): array => ['id' => chr(65 + $i), 'od' => $odMm, 'wall' => 1.65],
                range(0, $count - 1),
            ),
            'bend' => ['clr' => $clrMm, 'angle' => $angleDeg, 'inlet_leg' => 50.0, 'far_leg' => 400.0],
            'inlet_radius' => $inletMm, 'outlet' => ['diameter' => $odMm + ($widthMm - $odMm) * Some::between($dice, 0.25, 0.45)],
            'psi' => range(0, 350, 10),
        ];
    }

    /** @return array<string, mixed> */
    public static function saddle(Randomizer $dice): array
    {
        $mainMm = Some::between($dice, 50.0, 102.0);
        $branchMm = $mainMm * Some::between($dice, 0.4, 1.0);
        $seat = $dice->getInt(0, 1) === 0 ? 'set-on' : 'set-in';
        $roomMm = ($mainMm - $branchMm) / 2 - ($seat === 'set-in' ? 1.65 : 0.0);

        return [
            'format' => 'merge-problem/1', 'case' => 'some', 'kind' => 'saddle',
            'main' => ['od' => $mainMm, 'wall' => 1.65],
            'branch' => ['od' => $roomMm < 0.0 ? $branchMm + 2 * $roomMm : $branchMm, 'wall' => Some::between($dice, 1.2, 5.0)],
            'angle' => Some::between($dice, 25.0, 155.0), 'offset' => max(0.0, $roomMm) * Some::between($dice, -1.0, 1.0),
            'seat' => $seat, 'psi' => range(0, 350, 10),
        ];
    }

    /**
     * @param  array<string, mixed>  $problem
     * @return array<string, mixed> the answer, as it is written
     */
    public static function answer(array $problem): array
    {
        $read = MergeProblemReader::read((string) json_encode($problem, JSON_PARTIAL_OUTPUT_ON_ERROR));

        return $read instanceof MergeProblem
            ? MergeAnswerWriter::toArray($read)
            : MergeAnswerWriter::refused(is_string($problem['case']) ? $problem['case'] : '', array_map(
                static fn ($one): Refusal => $one instanceof Refusal ? $one : new Refusal('invalid', $one->path),
                $read,
            ));
    }

    /** @return array<string, mixed> one of the problems beside the tests */
    public static function shipped(string $name, string $of = ''): array
    {
        $text = (string) file_get_contents(dirname(__DIR__)."/problems/merge/$of$name.json");
        $document = json_decode($text, true, 512, JSON_THROW_ON_ERROR);

        return is_array($document) ? $document : [];
    }
}
