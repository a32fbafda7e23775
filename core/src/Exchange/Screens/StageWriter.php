<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\Bar;
use UpsweptBead\Core\Stage\Cut\BentDonor;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Estimate;
use UpsweptBead\Core\Stage\Cut\Nesting;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\StockNeed;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Purge\JointPurge;
use UpsweptBead\Core\Stage\Purge\Mouth;
use UpsweptBead\Core\Stage\Purge\PurgePose;
use UpsweptBead\Core\Stage\Schedule\BottleChange;
use UpsweptBead\Core\Stage\Schedule\Schedule;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Weld\ArgonAccount;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Stage\Weld\Machine;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** Writes the stages behind the routes, each over the whole job: cut, weld and purge, schedule. */
final readonly class StageWriter
{
    public function __construct(private FigureWriter $figures) {}

    /** @return array<string, mixed> */
    public function cut(CutPlan $cut): array
    {
        $tape = $cut->onTape($this->figures->units);

        return [
            'nestings' => array_map(
                fn (Nesting $one): array => $this->nesting($one, $tape),
                $cut->nestings,
            ),
            'stock' => array_map(self::need(...), $cut->stock),
            'toBuy' => $cut->toBuy(),
            'mass' => $this->figures->plain(Quantity::Mass, $cut->totalKg()),
        ];
    }

    /** @return array{joints: int, bends: int, bars: int, toBuy: int, cost: float} */
    public static function totals(CutPlan $cut, Shop $shop): array
    {
        return [
            'joints' => $cut->joints(),
            'bends' => $cut->bends(),
            'bars' => $cut->bars(),
            'toBuy' => $cut->toBuy(),
            'cost' => round(Estimate::of($cut, $shop), 2),
        ];
    }

    /** @return array{id: string, needed: int, onShelf: int, toBuy: int} */
    public static function need(StockNeed $need): array
    {
        return [
            'id' => $need->stockId,
            'needed' => $need->needed,
            'onShelf' => $need->onShelf,
            'toBuy' => $need->toBuy(),
        ];
    }

    /** @return array<string, mixed> */
    public function weld(WeldPlan $weld): array
    {
        // Many joints are welded as the same thing is held: that is told once.
        $poses = $places = $of = [];
        foreach ($weld->sheets as $id => $sheet) {
            $ways = array_column($sheet->choices['held']->options, 'value');
            $purge = $sheet->purge;
            $same = implode(' ', [spl_object_id($purge->pose), $purge->value('vent'), $purge->value('hold'), ...$ways]);
            $places[$same] ??= count($places);
            $poses[$places[$same]] ??= [...$this->pose($sheet->purge), 'ways' => $ways];
            $of[$id] = $places[$same];
        }

        return [
            'sheets' => array_map(
                fn (JointSheet $sheet): array => $this->sheet($sheet, $of[$sheet->joint->id] ?? 0),
                array_values($weld->sheets),
            ),
            'poses' => $poses,
            'argon' => $this->argon($weld->argon),
            'schools' => $this->figures->each($weld->practices),
        ];
    }

    /** @return array<string, mixed> */
    public function schedule(Schedule $schedule, WeldPlan $weld): array
    {
        $duration = fn (float $seconds): array => $this->figures->plain(Quantity::Duration, $seconds);

        return [
            'slots' => array_map(static fn (Slot $slot): array => [
                'order' => $slot->order,
                'joint' => $slot->joint->id,
                'run' => $slot->joint->run,
                'phase' => $slot->phase->value,
                'phaseLabel' => ($slot->phase === Phase::Alone ? Phase::Bench : $slot->phase)->label(),
                'why' => $slot->why,
                'taped' => $schedule->taped($slot, $weld),
                'start' => $duration($slot->startS),
                'wait' => $duration($slot->waitS),
                'attended' => $duration($slot->attendedS()),
            ], $schedule->slots),
            'total' => $duration($schedule->totalS),
            'waiting' => $duration($schedule->waitingS()),
            'oneByOne' => $duration($schedule->oneByOneS),
            'waitedFor' => array_map(static fn (array $one): array => [
                'joint' => $one[0],
                'start' => $duration($one[1]),
                'attended' => $duration($one[2] - $one[1]),
            ], $schedule->oneByOne),
            'anotherLine' => $duration($schedule->anotherLineS),
            'bottles' => array_map(
                static fn (BottleChange $one): string => $one->text(),
                $schedule->bottleChanges($weld),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function nesting(Nesting $nesting, OnTape $tape): array
    {
        return [
            'tube' => $nesting->tubeId,
            'leastBars' => $nesting->leastBars,
            'bars' => array_map(
                fn (Bar $bar): array => [
                    'length' => $this->figures->length($bar->lengthMm),
                    'cuts' => array_map(
                        fn (Piece $piece): array => [
                            'mark' => $piece->mark,
                            'run' => $piece->run,
                            ...$this->figures->cut(
                                $piece->cutLengthMm(),
                                $tape->mm[$piece->mark] ?? $piece->cutLengthMm(),
                            ),
                        ],
                        $bar->pieces,
                    ),
                    'left' => $this->figures->length($bar->leftMm),
                ],
                $nesting->bars,
            ),
            'donors' => array_map(
                fn (BentDonor $donor): array => [
                    'stock' => $donor->stock->id,
                    'length' => $this->figures->length($donor->lengthMm()),
                    'legs' => [$donor->stock->clampLegMm, $donor->stock->pullLegMm],
                    'cuts' => array_map(
                        static fn (Piece $piece): array => [
                            'mark' => $piece->mark,
                            'run' => $piece->run,
                            'from' => $piece->place->atMm ?? 0.0,
                            'to' => $piece->place->untilMm ?? 0.0,
                        ],
                        $donor->pieces,
                    ),
                    'left' => $this->figures->plain(Quantity::Angle, $donor->leftDeg),
                ],
                $nesting->donors,
            ),
        ];
    }

    /** @return array<string, mixed> */
    public function sheet(JointSheet $sheet, int $pose): array
    {
        return [
            'joint' => $sheet->joint->id,
            'run' => $sheet->joint->run,
            'tacks' => [
                'trial' => $sheet->tacks->trialDeg,
                'trialWhy' => $sheet->tacks->trialWhy,
                'shielded' => $sheet->tacks->shieldedDeg,
                'full' => $sheet->tacks->fullDeg,
                'length' => $this->figures->length($sheet->tacks->tackMm),
            ],
            'settings' => $this->figures->each($sheet->refusal() === '' ? [
                ...$sheet->choices, 'held' => $sheet->choices['held']->bare(), ...$sheet->settings,
            ] : ['filler' => $sheet->choices['filler']]),
            'ranges' => $sheet->refusal() !== '' ? new \stdClass : array_map(
                fn (array $one): string => self::range(
                    $one[0]->read($one[1], $this->figures->units),
                    $one[0]->read($one[2], $this->figures->units),
                ),
                $sheet->ranges,
            ),
            'purge' => $this->figures->each($sheet->purge->figures),
            'isFilled' => $sheet->isFilled() && $sheet->refusal() === '',
            'rootWhy' => $sheet->root->why(),
            'begin' => $sheet->purge->begin($sheet->joint, $this->figures->units),
            'pose' => $pose,
            'machine' => $sheet->refusal() === ''
                ? Machine::lines($sheet->settings['amps']->value, $sheet->settings['pedal']->value)
                : [],
            'warnings' => $sheet->warnings(),
        ];
    }

    /** Its unit once, where both have the same. */
    private static function range(string $least, string $most): string
    {
        $unit = strrchr($most, ' ');
        $isSame = $unit !== false && str_ends_with($least, $unit);

        return ($isSame ? substr($least, 0, -strlen($unit)) : $least)." – $most";
    }

    /** @return array<string, mixed> how it is held, where it is fed, vented and dammed, and the air that stays */
    private function pose(JointPurge $purge): array
    {
        $pose = $purge->pose;
        $length = fn (float $mm): string => $this->figures->length($mm)['text'];
        $mouth = static fn (Mouth $one): array => [
            'name' => $one->name,
            'at' => $one->at->toArray(),
            'inward' => $one->flow->times($one->isStart ? 1 : -1)->toArray(),
            'bore' => $one->boreMm,
        ];

        return [
            'standing' => $pose->standing,
            'up' => $pose->up->toArray(),
            'lines' => $pose->ends($length, $purge->value('vent')),
            'closing' => $purge->closing($this->figures->units),
            'feed' => $mouth($pose->feed),
            'vents' => array_map($mouth, $pose->vents),
            'dams' => array_map($mouth, $pose->dams),
            'traps' => array_map(static fn (array $one): array => [
                'at' => $one[1]->toArray(),
                'text' => sprintf('%.0f mL of air', $one[0]),
            ], array_values(array_filter(
                $pose->traps,
                static fn (array $one): bool => $one[0] >= PurgePose::WORTH_ML,
            ))),
        ];
    }

    /** @return array<string, mixed> */
    private function argon(ArgonAccount $argon): array
    {
        $volume = fn (float $litres): array => $this->figures->plain(Quantity::Volume, $litres);

        $lines = [
            ['Torch', $argon->torchL, $argon->torchLeftL, 'The torch bottle cannot finish this job.'],
            ['Purge', $argon->purgeL, $argon->purgeLeftL, 'The purge bottle cannot finish this job.'],
        ];

        return [
            'lines' => array_map(static fn (array $line): array => [
                'name' => $line[0],
                'needs' => $volume($line[1]),
                'left' => $volume($line[2]),
                'share' => $line[2] > 0.0 ? min(1.0, $line[1] / $line[2]) : 1.0,
                'short' => $line[1] > $line[2] ? $line[3] : null,
            ], $lines),
            'total' => $volume($argon->torchL + $argon->purgeL),
            'left' => $volume($argon->torchLeftL + $argon->purgeLeftL),
            'enough' => $argon->isEnough(),
            'caution' => $argon->caution($this->figures->units),
        ];
    }
}
