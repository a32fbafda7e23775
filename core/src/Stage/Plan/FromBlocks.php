<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Adjust\MockUp;

/**
 * A run read off a mock-up of modular blocks (handbook 2.11), in bends that are stocked: their radius is seldom that of
 * the blocks, so its far end moves and is closed again afterwards.
 */
final readonly class FromBlocks
{
    private const MOST_BLOCKS = 200;

    private const MOST_BENDS = 12;

    /**
     * @param  string  $text  block by block with the flow: "3 straight, 45 bend, 2 clicks, 90 bend"
     *
     * @throws \DomainException if it cannot be read, or comes to no run
     */
    public static function route(Job $job, Shop $shop, string $letter, string $text): RouteChoice
    {
        $tubeId = $job->run($letter)->tubeId ?? throw new \DomainException('The job has no such run.');
        $rules = $shop->rules;
        $chain = MockUp::of(
            self::blocks($text),
            $rules->value('mock.pitch'),
            $rules->value('mock.click'),
            $rules->value('mock.clr'),
        )->chain->withRadius(self::nearestMm($shop->catalogue->bendsFor($tubeId), $rules->value('mock.clr')));
        if (count($chain->bends) > self::MOST_BENDS) {
            throw new \DomainException(sprintf('This comes to more than the %d bends of a run.', self::MOST_BENDS));
        }
        $rows = [];
        foreach ($chain->bends as $i => $bend) {
            if ($bend['angle'] < 1.0 || $bend['angle'] > 180.0) {
                throw new \DomainException(sprintf('Bend %d comes to %.0f°; it has to be between 1° and 180°.', $i + 1, $bend['angle']));
            }
            $rows[] = new RouteRow(
                Length::ofMm(round($bend['length'], 3)),
                round($bend['rotation'], 3) + 0.0,
                round($bend['angle'], 3),
                Length::ofMm(round($bend['clr'], 3)),
            );
        }
        if ($chain->lengthMm() < 1.0) {
            throw new \DomainException('These blocks come to no length.');
        }

        return new RouteChoice($rows, Length::ofMm(round($chain->lastMm, 3)));
    }

    /**
     * @return list<array{straight?: int, clicks?: int, bend?: float}>
     *
     * @throws \DomainException if one is no block
     */
    private static function blocks(string $text): array
    {
        $parts = array_values(array_filter(
            array_map(trim(...), explode(',', strtr($text, ";\n", ',,'))),
            static fn (string $one): bool => $one !== '',
        ));
        if ($parts === [] || count($parts) > self::MOST_BLOCKS) {
            throw new \DomainException(sprintf('Write its blocks with the flow, up to %d: 3 straight, 45 bend, 2 clicks.', self::MOST_BLOCKS));
        }

        return array_map(self::block(...), $parts);
    }

    /** @return array{straight?: int, clicks?: int, bend?: float} */
    private static function block(string $text): array
    {
        $isNumberFirst = preg_match('/^(-?\d{1,4}(?:\.\d+)?)\s*°?\s*(straight|bend|click)s?$/iu', $text, $found) === 1;
        if (! $isNumberFirst && preg_match('/^(straight|bend|click)s?\s*(-?\d{1,4}(?:\.\d+)?)\s*°?$/iu', $text, $found) === 1) {
            $found = [$found[0], $found[2], $found[1]];
        }
        $number = (float) ($found[1] ?? 0);
        $word = strtolower($found[2] ?? '');
        $isWhole = floor($number) === $number;

        return match (true) {
            $word === 'straight' && $isWhole && $number >= 0.0 => ['straight' => (int) $number],
            $word === 'click' && $isWhole => ['clicks' => (int) $number],
            $word === 'bend' && $number > 0.0 => ['bend' => $number],
            default => throw new \DomainException(sprintf(
                '“%s” is no block; write 3 straight, 45 bend, or 2 clicks (clockwise looking with the flow, -2 the other way).',
                mb_substr($text, 0, 30),
            )),
        };
    }

    /**
     * @param  list<BendStock>  $stock
     *
     * @throws \DomainException if there are no bends of the tube
     */
    private static function nearestMm(array $stock, float $clrMm): float
    {
        $nearest = null;
        foreach ($stock as $one) {
            if ($nearest === null || abs($one->clrMm - $clrMm) < abs($nearest - $clrMm)) {
                $nearest = $one->clrMm;
            }
        }

        return $nearest ?? throw new \DomainException('No bends of this tube are stocked.');
    }
}
