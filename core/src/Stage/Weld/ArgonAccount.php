<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Solve\Gas\Filling;

/** Argon the job takes against what the bottles still give, in L of free gas. */
final readonly class ArgonAccount
{
    private function __construct(
        public float $torchL,
        public float $purgeL,
        public float $torchLeftL,
        public float $purgeLeftL,
        public float $roomL,
    ) {}

    /**
     * @param  list<JointSheet>  $sheets
     * @param  list<Bottle>  $bottles
     */
    public static function of(array $sheets, array $bottles): self
    {
        $each = array_map(static fn (JointSheet $sheet): array => $sheet->argonL(), $sheets);
        [$torch, $purge] = [array_sum(array_column($each, 0)), array_sum(array_column($each, 1))];
        $left = static fn (BottleUse $use): float => array_sum(array_map(
            static fn (Bottle $bottle): float => $bottle->use === $use ? $bottle->usableL() : 0.0,
            $bottles,
        ));

        return new self(
            $torch,
            $purge,
            $left(BottleUse::Torch),
            $left(BottleUse::Purge),
            Filling::roomL($torch + $purge),
        );
    }

    /** What this much argon would do to a room, for where it is shown. */
    public function caution(UnitSystem $units): string
    {
        return sprintf(
            'Argon suffocates without warning and pools low. All of this let into a closed room of %s would take it below '
                .'%s %% oxygen, and less in a pit. Air the room.',
            $units === UnitSystem::Metric
                ? sprintf('%.0f m³', $this->roomL / 1000)
                : Quantity::Volume->read($this->roomL, $units),
            Filling::SAFE_PERCENT,
        );
    }

    public function isEnough(): bool
    {
        return $this->torchL <= $this->torchLeftL && $this->purgeL <= $this->purgeLeftL;
    }
}
