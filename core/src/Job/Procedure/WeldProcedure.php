<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Procedure;

use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\SeamKind;

/**
 * A customer's written welding procedure: what it is called, for which seams it is, and what it asks for, as written.
 */
final readonly class WeldProcedure
{
    /**
     * What it may ask for: the figure of a joint, with # in place of its id, and of which kind it is; null for a word.
     */
    public const SETTINGS = [
        'filler' => ['weld.#.filler', null],
        'wire' => ['weld.#.wire', Quantity::Wall],
        'amps' => ['weld.#.amps', Quantity::Current],
        'tungsten' => ['weld.#.tungsten', null],
        'cup' => ['weld.#.cup', Quantity::Count],
        'flow' => ['weld.#.flow', Quantity::Flow],
        'postflow' => ['weld.#.postflow', Quantity::Duration],
        'travel' => ['weld.#.travel', Quantity::Travel],
        'oxygen' => ['purge.#.target', Quantity::Oxygen],
        'fillFlow' => ['purge.#.flow', Quantity::Flow],
        'holdFlow' => ['purge.#.hold', Quantity::Flow],
    ];

    /** @param  array<string, string>  $settings  as they were written */
    public function __construct(public string $name, public SeamKind $seams, public array $settings) {}

    public function isFor(SeamKind $kind): bool
    {
        return $this->seams === SeamKind::All || $this->seams === $kind;
    }

    /** @return list<Override> what it puts in place of the proposals for one joint */
    public function overrides(string $joint): array
    {
        $all = [];
        foreach ($this->settings as $name => $value) {
            $all[] = new Override(str_replace('#', $joint, self::SETTINGS[$name][0]), $value, '', $this->name);
        }

        return $all;
    }
}
