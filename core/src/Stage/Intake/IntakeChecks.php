<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Intake\Brought;
use UpsweptBead\Core\Job\Intake\BroughtPart;
use UpsweptBead\Core\Job\Intake\Ground;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What has to be said when a job comes in: the law first, then metals that do not go together, and what was brought. */
final readonly class IntakeChecks
{
    /** A place this near (mm) to where the layout put it was not measured. */
    private const SAME_MM = 0.01;

    /** So many names are read at a glance; our own figure. */
    private const MOST_NAMED = 4;

    /** @return list<Notice> */
    public static function notices(StartingPoint $start, Shop $shop): array
    {
        $tube = $start->tube;
        // Of what is laid out already the survey says it.
        $isUsed = $tube !== null && in_array($tube->id, $start->job->tubeIds(), true);

        return [
            ...self::law($start),
            ...$tube !== null && ! $isUsed && ThinWall::is($tube, $start->job)
                ? [Notice::caution('intake', ThinWall::says($tube->name))]
                : [],
            ...$tube === null ? [Notice::caution(
                'intake',
                "No tube of the catalogue is called \"{$start->figures['tube']->value}\"; choose one at Survey.",
            )] : [],
            ...self::pairing($start),
            ...self::standIns($start),
            ...self::ranges($start),
            ...array_merge(...array_map(
                static fn (int $i, BroughtPart $one): array => self::brought($i, $one, $start->metal, $shop),
                array_keys($start->intake->brought),
                $start->intake->brought,
            )),
        ];
    }

    /** @return list<Notice> */
    private static function law(StartingPoint $start): array
    {
        $intake = $start->intake;
        $isBehind = in_array(
            $start->job->purpose,
            [Purpose::System, Purpose::TurboDownpipe, Purpose::Header, Purpose::TurboManifold],
            true,
        );

        return [
            ...$intake->ground === Ground::Road && $isBehind ? [Notice::caution(
                'intake.ground',
                'On the road the law comes first: noise, where outlets may point, catalysts and sensors. Look up what holds where it is registered before metal is cut.',
            )] : [],
            ...$intake->ground === Ground::Road && $intake->hasCatalyst === false ? [Notice::caution(
                'intake.catalyst',
                'Taking a catalyst off a road vehicle is against the law in many places. Ask whoever inspects it, in writing.',
            )] : [],
            ...$intake->ground === Ground::Sport && trim($intake->rules) === '' ? [Notice::caution(
                'intake.rules',
                'Read the rules of the class first: noise, outlets, catalyst, wall and material may be laid down. Write down what they ask.',
            )] : [],
        ];
    }

    /** @return list<Notice> */
    private static function pairing(StartingPoint $start): array
    {
        if ($start->isPairingUnread()) {
            return [Notice::caution(
                'intake',
                "Scrolls: \"{$start->figures['pairing']->value}\" cannot be read; write every cylinder once, as in 1 + 4 and 2 + 3.",
            )];
        }

        return $start->hasTwoScrolls && $start->scrolls() === []
            ? [Notice::caution(
                'intake.firing',
                'A twin scroll wants its cylinders paired by the firing order, an even number of them: say how it fires.',
            )]
            : [];
    }

    /** @return list<Notice> figures that somebody put beyond what is counted with */
    private static function ranges(StartingPoint $start): array
    {
        $notices = [];
        foreach ([
            'bends' => (float) $start->bends,
            'length' => $start->lengthMm,
        ] as $key => $countedWith) {
            $figure = $start->figures[$key] ?? null;
            if ($figure instanceof Figure && abs($figure->value - $countedWith) > 0.5) {
                $notices[] = Notice::caution('intake', sprintf(
                    '%s: %s is counted with, not %s.',
                    $figure->label,
                    $figure->quantity->read($countedWith, $start->job->units),
                    $figure->quantity->read($figure->value, $start->job->units),
                ));
            }
        }

        return $notices;
    }

    /** @return list<Notice> what still stands where the layout put it, though nobody measured that */
    private static function standIns(StartingPoint $start): array
    {
        $laid = FirstLayout::of($start);
        $job = $start->job;
        $names = [];
        foreach ($job->runs as $run) {
            $like = $laid?->run($run->letter);
            $isCarried = $job->collectorOf($run->letter)?->build !== null;
            $ends = [
                ['start', $run->start, $like?->start],
                ['end', $isCarried ? null : $run->end, $like?->end],
            ];
            foreach ($ends as [$side, $end, $standIn]) {
                // The datum is where it was put; a free end has no place.
                $isThere = $end !== null && $standIn !== null && ! $end->isFree
                    && $job->measured->end($run->letter, $side === 'start')?->hasPlace !== true
                    && $end->frame()->at->length() > 0.0
                    && $end->frame()->at->distanceTo($standIn->frame()->at) < self::SAME_MM;
                if ($isThere) {
                    $names[] = "the $side of run $run->letter";
                }
            }
        }
        foreach ($job->runs === [] ? [] : $job->set->collectors as $i => $one) {
            $standIn = $laid?->set->collectors[$i]->build ?? null;
            if ($one->build !== null && $standIn !== null
                && $one->build->frame()->at->distanceTo($standIn->frame()->at) < self::SAME_MM) {
                $names[] = $one->name;
            }
        }

        return $names === [] ? [] : [Notice::caution('runs', sprintf(
            'Nothing was measured yet of %s: %s where the intake put %s, only to have a place.',
            count($names) > self::MOST_NAMED ? count($names).' places' : implode(', ', $names),
            count($names) === 1 ? 'it stands' : 'they stand',
            count($names) === 1 ? 'it' : 'them',
        ))];
    }

    /** @return list<Notice> */
    private static function brought(int $i, BroughtPart $one, string $metal, Shop $shop): array
    {
        $path = "intake.brought[$i]";
        $name = $one->what->label();
        $notices = [];
        $known = $one->metal === null ? null : $shop->catalogue->metals[$one->metal] ?? null;
        if ($one->metal !== null && $known === null) {
            $notices[] = Notice::caution("$path.metal", "$name: ".UnknownMetal::says($one->metal, $shop));
        } elseif ($known !== null) {
            $row = $shop->catalogue->fillerFor($metal, $known->id);
            $notices = [
                ...$row === null ? [Notice::caution(
                    "$path.metal",
                    "$name of $known->name: nothing in the table welds it to $metal. Put another metal between, or go by a written procedure.",
                )] : [],
                ...$row !== null && $row->note !== '' && $known->id !== $metal
                    ? [Notice::caution("$path.metal", "$name of $known->name to $metal: $row->alloy, $row->note.")]
                    : [],
                ...$known->warning === ''
                    ? []
                    : [Notice::caution("$path.metal", "$name of $known->name: $known->warning.")],
            ];
        } elseif ($one->what === Brought::Casting) {
            $notices[] = Notice::caution(
                "$path.metal",
                'Casting: find out what it is before anything is promised, by magnet, spark, file or chip. Iron, steel and stainless are welded each in its own way.',
            );
        }

        return $one->isUsed && in_array($one->what, [Brought::Tube, Brought::Old, Brought::Collector], true)
            ? [...$notices, Notice::caution(
                $path,
                "$name, used: measure its wall, and its ends both ways. Tube that was hot loses its size and fit; clean it inside and out before it is welded.",
            )]
            : $notices;
    }
}
