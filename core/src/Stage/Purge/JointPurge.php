<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Stage\Joint\Joint;

/** How the inside of a joint is filled with argon and kept so. */
final readonly class JointPurge
{
    /**
     * @param  array<string, Figure>  $figures target, volume, changes, flow, fill, vent, hold, keep, argon
     * @param  string  $since  the joint it was filled for and has stayed closed since; '' where it is filled from air
     */
    public function __construct(public array $figures, public PurgePose $pose, public string $since = '') {}

    /** What is done with the flow before the arc, and why that matters when the seam closes. */
    public function closing(UnitSystem $units): string
    {
        $hold = Quantity::Flow->read($this->value('hold'), $units);

        return $this->pose->isEntered()
            ? "Turn the purge down to $hold before the arc: it comes out past the torch."
            : sprintf(
                'Turn the purge down to %s before the arc. At the closing tie-in only the vent lets it out, '
                    .'with %.0f Pa behind it.',
                $hold,
                Filling::ventPressurePa($this->value('hold'), $this->value('vent')),
            );
    }

    /** When a joint may be begun, in words. */
    public function begin(Joint $joint, UnitSystem $units): string
    {
        return sprintf(
            '%s %s when the meter reads below %s.',
            $this->pose->isEntered() || ! $joint->type->isPeeled() ? 'Begin' : 'Peel',
            $joint->id,
            Quantity::Oxygen->show($this->value('target'), $units),
        );
    }

    /** A figure of it by its name, in the base unit of its quantity. */
    public function value(string $name): float
    {
        return $this->figures[$name]->value;
    }
}
