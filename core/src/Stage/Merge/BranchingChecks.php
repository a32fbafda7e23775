<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Merge\RoundTube;
use UpsweptBead\Core\Solve\Merge\Slip;

/** What is wrong, or out of what is usual, with collectors and branches. */
final readonly class BranchingChecks
{
    private function __construct(private Job $job, private Shop $shop) {}

    /** @return list<Notice> */
    public static function of(Placement $placement, Shop $shop): array
    {
        $checks = new self($placement->job, $shop);
        $notices = [];
        foreach ($placement->collectors->lacks as $path => $why) {
            $notices[] = Notice::problem($path, $why);
        }
        foreach ($placement->collectors->all as $one) {
            array_push($notices, ...$checks->collector($one));
        }
        foreach ($placement->flanges as $flange) {
            array_push($notices, ...$flange->notices($placement->job));
        }
        foreach ($placement->branches as $branch) {
            if ($branch->lack !== '') {
                $notices[] = $branch->saddle === null
                    ? Notice::problem($branch->path, "Run $branch->letter: $branch->lack")
                    : Notice::caution($branch->path, "Run $branch->letter: $branch->lack");
            }
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function collector(BuiltCollector $one): array
    {
        $name = $one->spec->name;
        if ($one->lack !== '') {
            return [Notice::problem($one->path, "$name: $one->lack")];
        }

        return [...$this->merge($one), ...$this->mouths($one), ...$this->slips($one)];
    }

    /** @return list<Notice> the ranges in use for the merge itself */
    private function merge(BuiltCollector $one): array
    {
        $rules = $this->shop->rules;
        $notices = [];
        $leanDeg = $one->sizes->lean->value;
        [$least, $most] = [$rules->value('merge.half_angle_least'), $rules->value('merge.half_angle_most')];
        if ($one->shape !== null && ! $one->isBent() && ($leanDeg < $least || $leanDeg > $most)) {
            $notices[] = Notice::caution($one->path, sprintf(
                '%s: its tubes lean by %s to the axis; %s to %s is usual.',
                $one->spec->name,
                Quantity::Angle->show($leanDeg, $this->job->units),
                Quantity::Angle->show($least, $this->job->units),
                Quantity::Angle->show($most, $this->job->units),
            ));
        }
        $ratio = $one->areaRatio();
        $isTooSmall = OutletArea::of($ratio, ...$one->sizes->areas()) === OutletArea::TooSmall;
        if ($one->build->make->isMade() && $isTooSmall) {
            $notices[] = Notice::caution($one->path, sprintf(
                '%s: its outlet has %.2f times the area of one tube, less than one; no engine wants that.',
                $one->spec->name,
                $ratio,
            ));
        }

        return $notices;
    }

    /** @return list<Notice> whether expanded mouths have room beside one another */
    private function mouths(BuiltCollector $one): array
    {
        $sizes = $one->sizes;
        $apartMm = $sizes->circle->value * sin(M_PI / $one->build->inlets);
        $overMm = $sizes->mouthOdMm - $apartMm;
        // Twice the wall lets them just touch; the room a slip has is little beside that.
        $littleMm = $this->shop->rules->value('slip.clearance') + 0.01;
        if ($one->build->make->leans() || $overMm <= $littleMm) {
            return [];
        }

        return [Notice::caution($one->path, sprintf(
            '%s: expanded for the tubes that go in, neighbouring inlets overlap by %s. Give them that much more gap.',
            $one->spec->name,
            Quantity::Length->show($overMm, $this->job->units),
        ))];
    }

    /** @return list<Notice> */
    private function slips(BuiltCollector $one): array
    {
        if ($one->sizes->isButted) {
            return $this->butts($one);
        }
        $rules = $this->shop->rules;
        $notices = [];
        foreach ($one->runs($this->job) as $run) {
            $tube = $this->shop->catalogue->tubes[$run->tubeId] ?? null;
            $slip = $tube === null || ! $one->build->make->isMade() ? [] : Slip::of(
                new RoundTube($tube->odMm, $tube->wallMm),
                $one->sizes->round,
                $rules->value('fit.slip_depth'),
                $rules->value('slip.lead_in'),
                $rules->value('slip.clearance'),
                $rules->value('slip.most_clearance'),
                $rules->value('slip.most_expand'),
                ['downstream' => $one->sizes->leg->value],
            );
            foreach (is_array($slip) ? $slip : [] as $refusal) {
                $said = "{$one->spec->name}: run $run->letter ".$this->told($refusal);
                $notices[] = $this->isImpossible($refusal)
                    ? Notice::problem($one->path, $said)
                    : Notice::caution($one->path, $said);
            }
        }

        return $notices;
    }

    /** @return list<Notice> tubes whose edges do not meet those of the inlets */
    private function butts(BuiltCollector $one): array
    {
        $inlet = $one->tube();
        $notices = [];
        foreach ($one->runs($this->job) as $run) {
            $tube = $this->shop->catalogue->tubes[$run->tubeId] ?? null;
            // Walls that stand off by a quarter of the thinner are no butt; the trade's rule of thumb.
            $isOff = $tube !== null
                && max(abs($tube->odMm - $inlet->odMm), abs($tube->idMm() - $inlet->idMm())) / 2
                    > min($tube->wallMm, $inlet->wallMm) / 4;
            if ($isOff) {
                $notices[] = Notice::caution(
                    $one->path,
                    "{$one->spec->name}: run $run->letter of $tube->name does not meet an inlet of $inlet->name edge to edge. Take the same tube for both, or a slip.",
                );
            }
        }

        return $notices;
    }

    /** A tube that would have to be expanded by more than twice what may be tears. Our own figure. */
    private function isImpossible(Refusal $refusal): bool
    {
        return $refusal->what === 'expansion-too-large'
            && ($refusal->by ?? 0.0) > $this->shop->rules->value('slip.most_expand');
    }

    private function told(Refusal $refusal): string
    {
        $by = Quantity::Length->show($refusal->by ?? 0.0, $this->job->units);

        return match ($refusal->what) {
            'leg-too-short' => "finds $by too little straight in its inlet to slip in.",
            'too-loose' => "is loose in its inlet, by $by more than may be; take smaller tube for the collector.",
            'expansion-too-large' => sprintf(
                'needs its inlet expanded by %.1f %% more than may be; butt it on, or take larger tube for the collector.',
                $refusal->by ?? 0.0,
            ),
            default => "does not fit its inlet: $refusal->what.",
        };
    }
}
