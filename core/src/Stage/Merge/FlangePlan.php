<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\Bore;
use UpsweptBead\Core\Job\Run\BoreShape;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\PlateSpec;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Merge\Flange\Disc;
use UpsweptBead\Core\Solve\Merge\Flange\Flange;
use UpsweptBead\Core\Solve\Merge\Flange\Hull;
use UpsweptBead\Core\Solve\Merge\Flange\Path;

/**
 * The flange at one end of a run as it is cut from plate: as it was drawn, or laid round its port and its studs, so
 * that two make a diamond, three a triangle, four a square, and none a ring. Of a V-band ring it is the blank that is
 * turned.
 */
final readonly class FlangePlan
{
    public const IN_BORE = 'in its bore';

    public const ON_FACE = 'on its face';

    /** Thread for which a nut of so many mm across its flats is made. */
    private const THREADS = [
        8 => 5, 10 => 6, 13 => 8, 16 => 10, 17 => 10, 18 => 12, 19 => 12, 21 => 14, 22 => 14, 24 => 16,
    ];

    /** A bolt hole is so much wider than its thread (mm). */
    private const PLAY_MM = 1.0;

    /** Less metal than this many walls beside a tube melts away; our own figure. */
    private const LEAST_WALLS = 1.5;

    /**
     * @param  string  $id  run letter and end, as in A.start
     * @param  string  $name  in words
     * @param  list<Figure>  $figures  that it follows from; none where it was drawn
     */
    private function __construct(
        public string $id,
        public string $name,
        public RunEnd $end,
        public string $path,
        public TubeSize $tube,
        public Flange $flange,
        public Choice $fit,
        public array $figures,
    ) {}

    /** @return list<self> of all ends of runs that have one */
    public static function all(Job $job, Shop $shop): array
    {
        $plans = [];
        foreach ($job->runs as $i => $run) {
            foreach (['start' => $run->start, 'end' => $run->end] as $side => $end) {
                $tube = $shop->catalogue->tubes[$run->tubeId] ?? null;
                if (in_array($end->kind, [EndKind::Flange, EndKind::VBand], true) && $tube !== null) {
                    $name = "The flange at the $side of run $run->letter";
                    $plans[] = self::of("$run->letter.$side", $name, $end, "runs[$i].$side", $tube, $job, $shop);
                }
            }
        }

        return $plans;
    }

    private static function of(
        string $id,
        string $name,
        RunEnd $end,
        string $path,
        TubeSize $tube,
        Job $job,
        Shop $shop,
    ): self {
        $on = static fn (Figure $figure): Figure => $job->overrides->on($figure);
        $fit = $job->overrides->onChoice(self::fit($id, $end));
        $figures = $end->kind === EndKind::VBand ? array_map($on, self::ofBand($id, $shop)) : [
            'land' => $on(self::fromRule(
                $id,
                'land',
                'Metal round the port',
                $shop,
                'The bead, and what it needs beside it so that the edge does not melt away.',
            )),
            ...$end->bolts === null ? [] : [
                'edge' => $on(self::fromRule(
                    $id,
                    'edge',
                    'Metal round a bolt hole',
                    $shop,
                    'Under the head or the nut, and to the edge of the plate.',
                )),
                'hole' => $on(self::hole($id, $end->bolts->flats->mm)),
            ],
        ];
        $flange = $end->plate === null
            ? self::laidOut($end, $tube, $fit, $figures, $shop)
            : self::drawn($end->plate, $figures['thickness']->value ?? $end->wall->mm);

        $laidOut = $end->plate === null ? array_values($figures) : [];

        return new self($id, $name, $end, $path, $tube, $flange, $fit, $laidOut);
    }

    /** Whether it is a blank that is turned to a clamp, not a plate that is bolted on. */
    public function isBand(): bool
    {
        return $this->end->kind === EndKind::VBand;
    }

    public function isDrawn(): bool
    {
        return $this->end->plate !== null;
    }

    public function massKg(Shop $shop): float
    {
        $densityKgM3 = $shop->catalogue->metal($this->end->metal)->densityKgM3;

        return $this->flange->areaMm2() * $this->flange->thicknessMm * $densityKgM3 * 1e-9;
    }

    /** What to do where the tube stands over the edge of the plate, or too near to it; '' where it does not. */
    public function guidance(Job $job): string
    {
        $leastMm = self::LEAST_WALLS * $this->tube->wallMm;
        $landMm = $this->isDrawn() ? 0.0 : $this->figures[0]->value;
        [$overMm, $deg] = $landMm < $leastMm ? $this->flange->overhang($this->tube->odMm) : [-INF, 0.0];
        if ($overMm <= -$leastMm) {
            return '';
        }
        $where = sprintf('%.0f° from the top', $deg);
        $by = Quantity::Length->show(abs($overMm), $job->units);

        return ($overMm > 0.0
            ? "The tube stands over the edge of the plate by $by, $where. "
            : "Only $by of metal is left beside the tube, $where: the edge would melt away. ")
            .'Clamp the tube on, scribe round it over layout dye and grind back to the line, so that there is metal on both sides of the bead.';
    }

    /** @return list<Notice> */
    public function notices(Job $job): array
    {
        $notices = [];
        $webMm = $this->flange->webMm($this->tube->odMm);
        if ($webMm < self::LEAST_WALLS * $this->tube->wallMm) {
            $notices[] = Notice::caution("$this->path.bolts", sprintf(
                'A bolt hole of %s leaves %s to the tube and its bead. Set the bolts on a wider circle, or the tube on another fit.',
                $this->end->name,
                Quantity::Length->show(max(0.0, $webMm), $job->units),
            ));
        }
        $guidance = $this->guidance($job);

        return $guidance === ''
            ? $notices
            : [...$notices, Notice::caution("$this->path.plate", "{$this->end->name}: $guidance")];
    }

    /** @param  array<string, Figure>  $figures */
    private static function laidOut(RunEnd $end, TubeSize $tube, Choice $fit, array $figures, Shop $shop): Flange
    {
        $tubeMm = $tube->odMm / 2;
        $playMm = $shop->rules->value('slip.clearance') / 2;
        $opening = match (true) {
            $fit->value === self::IN_BORE => Path::circle(0.0, 0.0, $tubeMm + $playMm),
            $end->bore !== null => self::port($end->bore),
            default => Path::circle(0.0, 0.0, $tube->idMm() / 2),
        };
        $landMm = $figures['land']->value;
        $discs = [new Disc(0.0, 0.0, $tubeMm + $landMm)];
        foreach ($opening->asDisc() === null ? $opening->points() : [] as [$x, $y]) {
            $discs[] = new Disc($x, $y, $landMm);
        }
        $holes = [];
        $radiusMm = ($figures['hole']->value ?? 0.0) / 2;
        for ($i = 0; $end->bolts !== null && $i < $end->bolts->count; $i++) {
            // Clockwise from the top, looking with the flow.
            $angle = deg2rad($end->bolts->turnDeg + 360.0 * $i / $end->bolts->count);
            [$x, $y] = [$end->bolts->circle->mm / 2 * sin($angle), $end->bolts->circle->mm / 2 * cos($angle)];
            $holes[] = Path::circle($x, $y, $radiusMm);
            $discs[] = new Disc($x, $y, $radiusMm + $figures['edge']->value);
        }

        return new Flange(Hull::round($discs), $opening, $holes, $figures['thickness']->value ?? $end->wall->mm);
    }

    private static function drawn(PlateSpec $plate, float $thicknessMm): Flange
    {
        return new Flange($plate->outline, $plate->openings[0], array_slice($plate->openings, 1), $thicknessMm);
    }

    private static function port(Bore $bore): Path
    {
        [$w, $h, $r] = [$bore->width->mm, $bore->height->mm, $bore->corner->mm];
        $path = match ($bore->shape) {
            BoreShape::Round => Path::circle(0.0, 0.0, $w / 2),
            BoreShape::Oval => Path::rounded($w, $h, min($w, $h) / 2, min($w, $h) / 2),
            BoreShape::D => Path::rounded($w, $h, $w / 2, 0.0),
            BoreShape::Rectangle => Path::rounded($w, $h, $r, $r),
        };

        return $path->turned(-$bore->turnDeg);
    }

    /** @return array<string, Figure> what the blank of a V-band ring follows from */
    private static function ofBand(string $id, Shop $shop): array
    {
        return [
            'land' => self::fromRule(
                $id,
                'band_land',
                'Lip beyond the tube',
                $shop,
                'What the clamp’s groove takes hold of, before its cone is turned.',
            ),
            'thickness' => self::fromRule(
                $id,
                'band_thickness',
                'Length along the tube',
                $shop,
                'The lip, and a neck that the tube is butted to.',
            ),
        ];
    }

    private static function fit(string $id, RunEnd $end): Choice
    {
        if ($end->kind === EndKind::VBand) {
            return Choice::of("flange.$id.fit", 'Tube sits', self::ON_FACE, new Reason(
                'A butt between the tube and the neck of the ring: one bore all through, nothing in the flow.',
                [],
                Source::trade(),
                'Write "'.self::IN_BORE.'" for a ring that the tube goes into.',
            ));
        }
        $isShaped = $end->bore !== null && $end->bore->shape !== BoreShape::Round;

        return Choice::of("flange.$id.fit", 'Tube sits', $isShaped ? self::ON_FACE : self::IN_BORE, new Reason(
            $isShaped
                ? 'The opening is the port’s own shape; the tube is formed to it and stands on the face.'
                : 'The tube goes through the plate: sealed inside with little heat, filleted outside.',
            [Input::word('Port', $end->bore === null ? 'as the tube' : $end->bore->shape->label())],
            Source::trade(),
            'Write "'.self::IN_BORE.'" or "'.self::ON_FACE.'".',
        ));
    }

    private static function hole(string $id, float $flatsMm): Figure
    {
        $thread = self::THREADS[13];
        $nearest = INF;
        foreach (self::THREADS as $across => $one) {
            if (abs($across - $flatsMm) < $nearest) {
                [$thread, $nearest] = [$one, abs($across - $flatsMm)];
            }
        }

        return Figure::of("flange.$id.hole", 'Bolt hole', Quantity::Length, $thread + self::PLAY_MM, new Reason(
            "A nut of that size is made for M$thread; its hole is 1 mm wider.",
            [Input::of('Across the flats of its nut', Quantity::Length, $flatsMm)],
            Source::memory('ISO 272, ISO 273'),
            'The stud itself, where it is an inch thread or a stepped one.',
        ));
    }

    private static function fromRule(string $id, string $name, string $label, Shop $shop, string $why): Figure
    {
        $rule = $shop->rules->get("flange.$name");

        return Figure::of("flange.$id.$name", $label, Quantity::Length, $rule->value, new Reason(
            $why,
            [$rule->asInput()],
            $rule->source,
            'The room there is at the port.',
        ));
    }
}
