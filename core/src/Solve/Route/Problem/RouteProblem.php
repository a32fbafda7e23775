<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/** A whole set of tubes to be routed at once. Millimetres and degrees. */
final readonly class RouteProblem
{
    /**
     * @param  non-empty-list<Port>  $ports
     * @param  non-empty-list<InletRing>  $collectors
     * @param  list<KeepOut>  $keepOuts
     * @param  list<LengthGroup>  $lengths
     */
    public function __construct(
        public string $name,
        public SetRules $rules,
        public array $ports,
        public array $collectors,
        public array $keepOuts = [],
        public array $lengths = [],
    ) {}

    /** @param  list<KeepOut>  $keepOuts */
    public function keepingOut(array $keepOuts): self
    {
        return new self($this->name, $this->rules, $this->ports, $this->collectors, $keepOuts, $this->lengths);
    }

    public function port(string $id): ?Port
    {
        foreach ($this->ports as $port) {
            if ($port->id === $id) {
                return $port;
            }
        }

        return null;
    }
}
