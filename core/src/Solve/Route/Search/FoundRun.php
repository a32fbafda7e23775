<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/** One tube of a found design, and the inlet it goes to. */
final readonly class FoundRun
{
    private const MOST_BENDS = 12;

    /**
     * @param  string  $port  the run that begins there
     * @param  string  $inlet  the run whose end that inlet was
     * @param  Vector  $at  where the inlet lies, mm
     * @param  Vector  $direction  the way into it, of length 1
     */
    public function __construct(
        public string $port,
        public string $inlet,
        public Vector $at,
        public Vector $direction,
        public TubeRun $run,
    ) {}

    public static function of(Way $way): self
    {
        $points = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($way->vertices, 3));
        $start = Frame::facing($way->span->port->at, $way->span->port->direction);

        return new self(
            $way->span->port->id,
            $way->span->inlet->id,
            $way->span->inlet->at,
            $way->span->inlet->direction,
            TubeRun::fromXyz($points, $way->radii, $start->reference),
        );
    }

    /** @return array<string, mixed> mm and degrees */
    public function toArray(): array
    {
        $start = $this->run->start;

        return [
            'port' => $this->port,
            'inlet' => $this->inlet,
            'at' => $this->at->toArray(),
            'direction' => $this->direction->toArray(),
            'start' => [
                'at' => $start->at->toArray(),
                'forward' => $start->forward->toArray(),
                'reference' => $start->reference->toArray(),
            ],
            'bends' => array_map(
                static fn (Bend $bend): array => [$bend->straightMm, $bend->rotationDeg, $bend->angleDeg, $bend->clrMm],
                $this->run->bends,
            ),
            'endStraight' => $this->run->endStraightMm,
        ];
    }

    public static function read(Node $node): self
    {
        $start = $node->at('start');

        return new self(
            $node->at('port')->required(),
            $node->at('inlet')->required(),
            $node->at('at')->point(),
            $node->at('direction')->direction(),
            new TubeRun(
                Frame::facing(
                    $start->at('at')->point(),
                    $start->at('forward')->direction(),
                    $start->at('reference')->direction(),
                ),
                array_map(self::bend(...), $node->at('bends')->items(self::MOST_BENDS)),
                $node->at('endStraight')->number(),
            ),
        );
    }

    private static function bend(Node $node): Bend
    {
        $numbers = array_map(static fn (Node $one): float => $one->number(), $node->items(4));

        return new Bend($numbers[0] ?? 0.0, $numbers[1] ?? 0.0, $numbers[2] ?? 0.0, $numbers[3] ?? 0.0);
    }
}
