<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Solve\Gas\Hold;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Purge\Ahead;
use UpsweptBead\Core\Stage\Purge\Enclosures;
use UpsweptBead\Core\Stage\Purge\PurgeCare;
use UpsweptBead\Core\Stage\Purge\PurgePose;
use UpsweptBead\Core\Stage\Purge\RootCare;
use UpsweptBead\Core\Stage\Purge\StaysFilled;
use UpsweptBead\Core\Stage\Weld\Internal\Curves;
use UpsweptBead\Core\Stage\Weld\Internal\Poses;

/** The fifth stage: the sheet of every joint that is welded, and the argon that all of them take. */
final readonly class WeldPlan
{
    /**
     * @param  array<string, JointSheet>  $sheets  by joint, run by run in the order of flow
     * @param  array<string, Choice>  $practices  by which the job is done: root and cool, and what lies ahead
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $sheets,
        public ArgonAccount $argon,
        public array $practices,
        public CoolPractice $cool,
        public array $notices,
    ) {}

    public static function of(
        Job $job,
        Layout $layout,
        CutPlan $cut,
        JointList $joints,
        Shop $shop,
        FitPlan $fit,
    ): self {
        $made = $notices = [];
        $procedures = Procedures::of($job, $joints);
        array_push($notices, ...$procedures->departures());
        $ahead = Ahead::of($job, $job->overrides);
        $cares = array_map(
            static fn (int|string $letter): PurgeCare => $ahead->careAt("$letter"),
            array_keys(self::paths($layout)),
        );
        $root = RootCare::ofJob($shop->practices->root, PurgeCare::easiest($cares), $job->overrides);
        $cool = CoolCare::of($shop, $job->overrides);
        $cooling = new JointCooling($layout, $shop, new Curves($shop->memo), $cool->practice);
        $sheets = new Sheets($job, $procedures->overrides(), $shop, $fit, $cooling, $root, $cool->practice, $ahead);
        foreach ([$root->lack, $cool->lack, $ahead->lack] as $lack) {
            if ($lack !== '') {
                $notices[] = Notice::problem('overrides', $lack);
            }
        }
        $poses = new Poses(new Enclosures($layout, $cut, $fit), $shop->memo, $fit->access !== null, new Hold(
            $shop->rules->value('purge.hold_flow'),
            Filling::ventMm($shop->rules->value('purge.flow'), $shop->rules->value('purge.vent_pressure')),
        ));
        $held = [];
        foreach (self::paths($layout) as $letter => $path) {
            foreach ($joints->ofRun("$letter") as $joint) {
                if ($joint->type->isWelded()) {
                    $held[$joint->id] = [$joint, $path, ...$poses->of($joint, $job->overrides)];
                }
            }
        }
        $filled = array_filter($held, static fn (array $one): bool => $sheets->isFilled($one[0]));
        $since = StaysFilled::of($fit->build, array_map(static fn (array $one): PurgePose => $one[3], $filled));
        foreach ($held as $id => [$joint, $path, $tube, $pose, $by]) {
            $made[$id] = $sheets->sheet($joint, $tube, $pose, $by->choice, $since[$id] ?? '');
            foreach ([$made[$id]->root->lack, $by->lack, $made[$id]->lack] as $lack) {
                if ($lack !== '') {
                    $notices[] = Notice::problem($path, "Joint $id: $lack");
                }
            }
            $filler = $made[$id]->choices['filler'];
            if ($filler->value === Filler::REFUSED) {
                $notices[] = Notice::problem($path, "Joint $id: {$filler->reason->rule}");
            }
        }
        $argon = ArgonAccount::of(array_values($made), $shop->bottles);
        if ($made !== [] && $shop->bottles !== [] && ! $argon->isEnough()) {
            $notices[] = Notice::caution(
                'argon',
                'The bottles on hand cannot finish this job; change or add one before starting.',
            );
        }

        $practices = ['root' => $root->choice, 'cool' => $cool->choice, 'ahead' => $ahead->choice];

        return new self($made, $argon, $practices, $cool->practice, $notices);
    }

    /** @return array<array-key, string> places in the job document, by the letter of each run and collector */
    private static function paths(Layout $layout): array
    {
        $all = [];
        foreach ($layout->runs as $routed) {
            $all[$routed->spec->letter] = $routed->path;
        }
        foreach ($layout->placement->collectors->all as $one) {
            $all[$one->build->letter] = $one->path;
        }

        return $all;
    }
}
