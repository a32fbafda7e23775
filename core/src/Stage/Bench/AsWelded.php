<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * How a joint was welded, by what was read of it the last time: what was cut out and done again is in the log alone.
 */
final readonly class AsWelded
{
    /** A side that is welded first, and what is measured before a seam beside it, are not the joint’s own. */
    private const KINDS = [StepKind::Purge, StepKind::Weld, StepKind::Cool];

    /**
     * @param  array<string, float>  $values  by the measure's name, in the base unit
     * @param  array<string, Measure>  $measures  by name
     * @param  int  $rounds  how often it was welded
     */
    private function __construct(
        public array $values,
        public array $measures,
        public int $rounds,
        public ?InspectedJoint $inspected,
    ) {}

    /** @return array<string, self> by joint, of those that something was read of or that were looked at */
    public static function all(Progress $progress): array
    {
        /** @var array<string, array<string, float>> $values */
        $values = [];
        $measures = $rounds = $found = [];
        foreach ($progress->steps as $step) {
            $joint = $step->subject;
            $found[$joint] = ($progress->done[$step->id] ?? null)->inspected ?? $found[$joint] ?? null;
            if (! in_array($step->kind, self::KINDS, true)) {
                continue;
            }
            $isAgain = $step->kind === StepKind::Weld && $progress->isDone($step->id);
            $rounds[$joint] = ($rounds[$joint] ?? 0) + (int) $isAgain;
            $read = $progress->readings[$step->id] ?? [];
            foreach ($step->measures as $measure) {
                $measures[$joint][$measure->name] = $measure;
                // A step that was done without a reading has none, whatever was read the time before.
                if (isset($read[$measure->name])) {
                    $values[$joint][$measure->name] = $read[$measure->name];
                } elseif ($progress->isDone($step->id)) {
                    unset($values[$joint][$measure->name]);
                }
            }
        }
        $all = [];
        foreach ($measures as $joint => $some) {
            $one = new self($values[$joint] ?? [], $some, $rounds[$joint] ?? 0, $found[$joint] ?? null);
            if ($one->values !== [] || $one->inspected !== null) {
                $all[$joint] = $one;
            }
        }

        return $all;
    }
}
