<?php

declare(strict_types=1);

namespace App\Print;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Drawing\DialSvg;
use UpsweptBead\Core\Exchange\Drawing\HeldSvg;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Stage\Weld\Machine;

/** The sheets of a job's joints in the order they are welded, a page each, as the bench has them on paper. */
final readonly class JointSheets
{
    private const BIG = ['amps', 'filler', 'wire'];

    private const MACHINE = ['rootAmps', 'pedal', 'tungsten', 'cup', 'stickOut', 'flow', 'preflow', 'postflow', 'travel', 'heat', 'passes', 'stops', 'arc', 'wireLength', 'cool', 'backing'];

    private const PURGE = ['target', 'fill', 'flow', 'hold', 'keep', 'vent', 'volume', 'argon'];

    private UnitSystem $units;

    public function __construct(private Plan $plan)
    {
        $this->units = $plan->job->units;
    }

    /**
     * @param  string|null  $only  the joint that is wanted; null for all of them
     * @return list<array<string, mixed>>
     */
    public function pages(?string $only): array
    {
        $slots = array_values(array_filter(
            $this->plan->schedule->slots,
            static fn (Slot $slot): bool => $only === null || $slot->joint->id === $only,
        ));

        return array_map($this->page(...), $slots);
    }

    /** @return array<string, mixed> */
    private function page(Slot $slot): array
    {
        $joint = $slot->joint;
        $sheet = $this->plan->weld->sheets[$joint->id];
        $isWelded = $sheet->refusal() === '';
        $isFilled = $isWelded && $sheet->isFilled();
        $figures = $isWelded ? [...$sheet->choices, ...$sheet->settings] : ['filler' => $sheet->choices['filler']];
        $taped = $this->plan->schedule->taped($slot, $this->plan->weld);

        return [
            'joint' => $joint->id,
            'type' => $joint->type->label(),
            'between' => "{$joint->between->name} to {$joint->and->name}",
            'metals' => "{$joint->between->metal} – {$joint->and->metal}",
            'order' => $slot->order,
            'of' => count($this->plan->schedule->slots),
            'phase' => $slot->phase->label(),
            'why' => $slot->why,
            'index' => $joint->seam->index->text(),
            'big' => $this->rows($figures, self::BIG),
            'working' => ! $isWelded ? '' : implode(' – ', array_map(
                fn (float $amps): string => Quantity::Current->show($amps, $this->units),
                array_slice($sheet->ranges['amps'], 1),
            )),
            'machine' => $this->rows($figures, self::MACHINE),
            'root' => $this->rows($figures, ['root']),
            'purge' => $isFilled ? $this->rows($sheet->purge->figures, self::PURGE) : [],
            'lines' => $isFilled ? $this->purge($sheet, $taped) : [],
            'by' => ! $isWelded ? [] : Machine::lines($sheet->settings['amps']->value, $sheet->settings['pedal']->value),
            'warnings' => $sheet->warnings(),
            'dial' => $joint->type->isRound() ? Pdf::picture($this->dial($joint, $sheet)) : null,
            'held' => $isFilled
                ? Pdf::picture(HeldSvg::of($this->plan, $sheet->purge->pose, $joint->id, $taped))
                : null,
        ];
    }

    /**
     * @param  array<string, Figure|Choice>  $figures
     * @param  list<string>  $names
     * @return list<array{label: string, text: string, by: string}>
     */
    private function rows(array $figures, array $names): array
    {
        $rows = [];
        foreach ($names as $name) {
            $one = $figures[$name] ?? null;
            if ($one !== null) {
                $by = $one->override;
                $rows[] = [
                    'label' => $one->label,
                    'text' => $one instanceof Figure ? $one->quantity->read($one->value, $this->units) : $one->value,
                    'by' => $by === null ? '' : ($by->procedure === '' ? 'own' : $by->procedure),
                ];
            }
        }

        return $rows;
    }

    /**
     * @param  list<string>  $taped
     * @return list<string>
     */
    private function purge(JointSheet $sheet, array $taped): array
    {
        return [
            ...$sheet->purge->pose->lines(
                fn (float $mm): string => Quantity::Length->read($mm, $this->units),
                $sheet->purge->value('vent'),
            ),
            ...$taped === [] ? [] : ['Stays taped: '.implode(', ', $taped).'.'],
            $sheet->purge->begin($sheet->joint, $this->units),
            $sheet->purge->closing($this->units),
        ];
    }

    private function dial(Joint $joint, JointSheet $sheet): string
    {
        $routed = $this->plan->layout->run($joint->run);
        $reached = $this->plan->fit->cupFor($joint)?->arcs;

        return DialSvg::of(
            $joint,
            $sheet->tacks,
            $routed === null || $joint->type->isOnSide() ? null : JointFace::of($routed->line, $joint->seam->stationMm),
            $reached,
        );
    }
}
