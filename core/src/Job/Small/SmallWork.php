<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Small;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/**
 * A tab, a bung, a hanger, a crack or a seam on a tube that is there already, as a job of its own: a straight stretch
 * of that tube from dam to dam, level, with the work in its middle. Everything else is planned as for any job.
 */
final readonly class SmallWork
{
    /** Where a sensor stands: within what is usual, 10 to 2 o'clock, and clear of the top. Common practice. */
    private const SENSOR_DEG = 30.0;

    /**
     * @param  Length  $crack  once it is ground out; only of a crack
     * @param  Length  $dams  how far apart the dams stand
     * @param  RootPractice|null  $root  how its root is shielded; null as the shop does it
     * @param  string  $why  a root without any shield takes a reason
     */
    public function __construct(
        public SmallKind $kind,
        public SmallPlace $place,
        public TubeSize $tube,
        public string $metal,
        public Length $crack,
        public Length $dams,
        public ?RootPractice $root = null,
        public string $why = '',
    ) {}

    public function title(): string
    {
        return sprintf('%s on %s', $this->kind->label(), $this->tube->name);
    }

    /** Id of the joint that is welded. */
    public function joint(): string
    {
        return $this->kind->fitting() === null ? 'AJ1' : 'AB1';
    }

    public function job(string $number, UnitSystem $units): Job
    {
        $forward = new Vector(1, 0, 0);
        $end = fn (string $name, float $atMm): RunEnd => new RunEnd(
            EndKind::Open,
            $name,
            Points::of(new Vector($atMm, 0, 0)),
            $forward,
            null,
            $this->metal,
            Length::ofMm($this->tube->wallMm),
        );
        $middle = Length::ofMm(round($this->dams->mm / 2, 3));

        return new Job(
            $number,
            $this->title(),
            '',
            '',
            $this->place->purpose(),
            $units,
            $this->metal,
            '',
            [new RunSpec(
                'A',
                '',
                $this->tube->id,
                $end('Dam upstream', 0.0),
                $end('Dam downstream', $this->dams->mm),
                new RouteChoice(
                    [],
                    $this->dams,
                    cuts: $this->kind === SmallKind::Seam ? new CutChoice([$middle]) : null,
                ),
                $this->fittings($middle),
                isThere: true,
            )],
            new Overrides(
                $this->root === null ? [] : [new Override(RootPractice::OF_JOB, $this->root->label(), $this->why)],
                $units,
            ),
        );
    }

    /** @return list<Fitting> */
    private function fittings(Length $middle): array
    {
        $kind = $this->kind->fitting();

        return $kind === null ? [] : [new Fitting(
            $kind,
            $middle,
            $kind->isDrilled() ? self::SENSOR_DEG : 0.0,
            $this->kind === SmallKind::Crack ? $this->crack : null,
        )];
    }
}
