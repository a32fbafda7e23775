<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\Contents;
use UpsweptBead\Core\Solve\Gas\BottleDraw;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** A bottle that runs out while a job is welded in its order: at which weld, while what is done, what is behind it. */
final readonly class BottleChange
{
    /** What is done when it runs out. */
    private const WHILE = [
        'fill' => 'while it is filled',
        'weld' => 'in the middle of its weld',
        'keep' => 'while its root cools',
    ];

    /** @param  string  $next  the bottle that is drawn from then; '' for none */
    private function __construct(
        public string $bottle,
        public Slot $slot,
        public string $during,
        public string $next,
    ) {}

    /**
     * Each purge or torch draws from the first of its bottles that is not used up; what it takes in pauses is not
     * counted.
     *
     * @param  list<Bottle>  $bottles
     * @return list<self> in the order in which they run out
     */
    public static function all(Schedule $schedule, WeldPlan $weld, array $bottles): array
    {
        $lines = [];
        foreach (BottleUse::cases() as $use) {
            $lines[$use->value] = array_values(array_map(
                static fn (Bottle $one): string => $one->name,
                array_filter($bottles, static fn (Bottle $one): bool => $one->use === $use),
            ));
        }
        $contents = array_map(static fn (Bottle $one): Contents => $one->contents(), $bottles);
        $drawn = BottleDraw::of($contents, $lines, self::phases($schedule, $weld));
        $slots = [];
        foreach ($schedule->slots as $slot) {
            $slots[$slot->joint->id] = $slot;
        }
        $changes = [];
        foreach ($drawn->runsOut as $bottle => [$joint, $phase]) {
            $next = '';
            foreach ($lines as $line) {
                $place = array_search("$bottle", $line, true);
                $next = is_int($place) ? $line[$place + 1] ?? '' : $next;
            }
            $changes[] = new self("$bottle", $slots[$joint], self::WHILE[$phase] ?? '', $next);
        }

        return $changes;
    }

    public function text(): string
    {
        return sprintf(
            '%s runs out at weld %d, %s, %s: %s',
            $this->bottle,
            $this->slot->order,
            $this->slot->joint->id,
            $this->during,
            $this->next === ''
                ? 'change it before that weld is begun.'
                : "go over to $this->next before that weld is begun.",
        );
    }

    /** @return list<array{string, string, float, array<string, float>}> joint, what is done, minutes, L/min of each line */
    private static function phases(Schedule $schedule, WeldPlan $weld): array
    {
        $phases = [];
        foreach ($schedule->slots as $slot) {
            $sheet = $weld->sheets[$slot->joint->id];
            $id = $slot->joint->id;
            [$fill, $hold] = $sheet->isFilled()
                ? [$sheet->purge->value('flow'), $sheet->purge->value('hold')]
                : [0.0, 0.0];
            $torch = $sheet->settings['flow']->value;
            $phases[] = [$id, 'fill', $slot->times->fillS / 60, ['purge' => $fill, 'torch' => 0.0]];
            $phases[] = [$id, 'weld', $slot->times->weldS / 60, ['purge' => $hold, 'torch' => $torch]];
            $phases[] = [$id, 'keep', $slot->times->keepS / 60, ['purge' => $hold, 'torch' => 0.0]];
        }

        return $phases;
    }
}
