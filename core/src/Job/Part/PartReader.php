<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Part;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Run\RouteReader;

/** Reads the bought parts and the hangers of a job. */
final readonly class PartReader
{
    private const MEMBERS = [
        'name', 'kind', 'inlet', 'outlet', 'mass', 'brought', 'oneWay', 'against', 'cast',
        'bore', 'seat', 'wall', 'square', 'length', 'width',
    ];

    /** Nothing that hangs on a tube weighs more; our own figure. */
    private const MOST_KG = 100.0;

    /** @param  list<string>  $letters  of the runs there are */
    public function __construct(private UnitSystem $units, private array $letters) {}

    public function part(Node $node): PartSpec
    {
        $node->only(self::MEMBERS);
        $isOneWay = ! $node->at('oneWay')->isMissing() && $node->at('oneWay')->boolean();

        return new PartSpec(
            $node->at('name')->required(100),
            $node->at('kind')->choice(PartKind::class, PartKind::Other),
            $this->letter($node->at('inlet')),
            $node->at('mass')->isMissing() ? 0.0 : $this->notNegative($node->at('mass'), Quantity::Mass, self::MOST_KG),
            $isOneWay,
            $isOneWay && ! $node->at('against')->isMissing() && $node->at('against')->boolean(),
            $node->at('cast')->isMissing() ? null : $node->at('cast')->boolean(),
            $this->measured($node->at('bore')),
            $this->measured($node->at('seat')),
            $this->measured($node->at('wall')),
            $node->at('square')->isMissing() ? null : $this->notNegative($node->at('square'), Quantity::Angle),
            ! $node->at('brought')->isMissing() && $node->at('brought')->boolean(),
            $this->measured($node->at('length')),
            $this->measured($node->at('width')),
            $node->at('outlet')->isMissing() ? '' : $this->letter($node->at('outlet')),
            $node->at('mass')->asWritten(),
        );
    }

    public function hanger(Node $node): HangerSpec
    {
        $node->only(['name', 'run', 'station']);

        return new HangerSpec(
            $node->at('name')->text('Hanger', 100),
            $this->letter($node->at('run')),
            (new RouteReader($this->units))->notNegative($node->at('station')),
        );
    }

    /** The letter of a run that there is. */
    public function letter(Node $node): string
    {
        $letter = $node->required(2);
        if (! in_array($letter, $this->letters, true)) {
            $node->complain('unknown-run', 'must be the letter of a run of this job');
        }

        return $letter;
    }

    private function measured(Node $node): ?Length
    {
        if ($node->isMissing()) {
            return null;
        }
        $length = $node->length($this->units);
        if ($length->mm <= 0.0) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return $length;
    }

    private function notNegative(Node $node, Quantity $quantity, float $most = 1000): float
    {
        $value = $node->quantity($quantity, $this->units, $most);
        if ($value < 0.0) {
            $node->complain('negative', 'must be 0 or more');
        }

        return max(0.0, $value);
    }
}
