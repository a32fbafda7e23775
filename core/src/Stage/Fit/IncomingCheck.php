<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartKind;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Stage\Layout\Layout;

/** Bought and customer's parts as they came against the tube that goes into them, and against the flow. */
final readonly class IncomingCheck
{
    /** A neck is squared by hand from here on (degrees); our own figure. */
    private const MOST_OFF_SQUARE_DEG = 1.0;

    private function __construct(private Job $job, private ShopRules $rules) {}

    /** @return list<Notice> */
    public static function of(Job $job, Layout $layout, ShopRules $rules): array
    {
        $check = new self($job, $rules);
        $notices = [];
        foreach ($job->set->parts as $i => $part) {
            $tube = $layout->tubes[$part->inlet] ?? null;
            array_push(
                $notices,
                ...$check->flow($part, "set.parts[$i]"),
                ...$tube === null ? [] : $check->seat($part, "set.parts[$i]", $tube),
                ...$check->neck($part, "set.parts[$i]"),
            );
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function flow(PartSpec $part, string $path): array
    {
        return $part->isAgainst ? [Notice::problem(
            "$path.against",
            "$part->name lets the gas through one way only and lies against it. Turn it round: louvres that face the flow choke it and whistle.",
        )] : [];
    }

    /** @return list<Notice> */
    private function seat(PartSpec $part, string $path, TubeSize $tube): array
    {
        $end = $this->job->run($part->inlet)?->end;
        if ($part->bore === null || $end === null || ! $end->kind->slipsIn()) {
            return [];
        }
        $roomMm = $part->bore->mm - $tube->odMm;
        $mostMm = $this->rules->value('slip.most_clearance');
        if ($roomMm < 0.0) {
            return [Notice::problem("$path.bore", sprintf(
                'Run %s does not go into %s: its tube is %s wider than the bore. Expand the seat, or swage the end.',
                $part->inlet,
                $part->name,
                $this->show(-$roomMm),
            ))];
        }

        return $roomMm <= $mostMm ? [] : [Notice::caution("$path.bore", sprintf(
            'The seat of %s is %s wider than the tube of run %s, %s is allowed: expand the end, or shim it so that the gap is the same all round.',
            $part->name,
            $this->show($roomMm),
            $part->inlet,
            $this->show($mostMm),
        ))];
    }

    /** @return list<Notice> */
    private function neck(PartSpec $part, string $path): array
    {
        $notices = [];
        if ($part->squareDeg !== null && $part->squareDeg > self::MOST_OFF_SQUARE_DEG) {
            $notices[] = Notice::caution("$path.square", sprintf(
                'The neck of %s is %s off square: dress it square by hand before it is fitted, or it leaves a gap on one side.',
                $part->name,
                Quantity::Angle->show($part->squareDeg, $this->job->units),
            ));
        }
        $end = $this->job->run($part->inlet)?->end;
        $isWelded = $end !== null && in_array($end->kind, [EndKind::Socket, EndKind::VBand], true);
        if ($part->isCast === true && $isWelded && ! str_starts_with($end->metal, 'cast')) {
            $notices[] = Notice::caution(
                "$path.cast",
                "$part->name is cast, and the end of run $part->inlet says $end->metal: set its metal, as wire and preheat follow from it.",
            );
        }

        return $notices;
    }

    private function show(float $mm): string
    {
        return Quantity::Length->read($mm, $this->job->units);
    }

    /** @return list<string> what is looked at and measured of a part before anything is cut for it */
    public static function lines(PartSpec $part): array
    {
        return [
            'Measure bore and depth of its seat, the wall of its neck and whether it is square, and put them in the plan: the cut follows from the depth.',
            'A magnet, a spark or a file says whether it is cast or wrought.',
            ...match ($part->kind) {
                PartKind::Muffler, PartKind::Catalyst => ['Look through it with a lamp: louvres and the core say which way the gas goes.'],
                PartKind::Flex => ['Not twisted and not stretched when it is fitted; it takes bending and growth, not turning.'],
                PartKind::Tip => ['Polished before it is fitted where that cannot be reached later.'],
                PartKind::Turbine => ['Flange level, oil drain straight down; stand it on a bracket, not on the tube.'],
                PartKind::Other => [],
            },
        ];
    }
}
