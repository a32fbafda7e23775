<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartKind;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\PlacedPart;

/** Whether bought parts stand where they should: the run behind each begins where it ends, and two tips match. */
final readonly class PartPlaces
{
    /** What the eye does not see of two tips beside each other; our own figures. */
    private const SAME_MM = 3.0;

    private const SAME_DEG = 1.0;

    /** Two ends point the same way to the rear within this. */
    private const PARALLEL_DEG = 60.0;

    private function __construct(private Job $job, private Layout $layout) {}

    /** @return list<Notice> */
    public static function notices(Job $job, Layout $layout): array
    {
        $places = new self($job, $layout);

        return [...$places->behind(), ...$places->tips()];
    }

    /** @return list<Notice> of parts whose next run does not begin where they end */
    private function behind(): array
    {
        $notices = [];
        foreach (PlacedPart::all($this->job, $this->layout) as $part) {
            $next = $this->layout->run($part->spec->outlet);
            if ($next === null) {
                continue;
            }
            // An outlet to the side is common; how far on it lies follows from the length.
            $alongMm = $next->line->start->at->minus($part->end->at)->dot($part->end->forward);
            if (abs($alongMm) > self::SAME_MM) {
                $notices[] = Notice::caution($this->path($part->spec, 'length'), sprintf(
                    'Run %s begins %s %s the end of %s: measure the part again, or move the start of the run.',
                    $part->spec->outlet,
                    Quantity::Length->read(abs($alongMm), $this->job->units),
                    $alongMm > 0.0 ? 'behind' : 'before',
                    $part->spec->name,
                ));
            }
        }

        return $notices;
    }

    /** @return list<Notice> of pairs of tips that are not alike, seen from the rear: x is rearward, y to the right, z up */
    private function tips(): array
    {
        $tips = array_values(array_filter(
            $this->job->set->parts,
            fn (PartSpec $one): bool => $one->kind === PartKind::Tip && $this->layout->run($one->inlet) !== null,
        ));
        $notices = [];
        foreach ($tips as $i => $tip) {
            foreach (array_slice($tips, $i + 1) as $other) {
                $lines = $this->unlike($tip, $other);
                if ($lines !== []) {
                    $notices[] = Notice::caution(
                        $this->path($other, 'inlet'),
                        "$tip->name and $other->name do not match seen from the rear: ".implode(', ', $lines).'.',
                    );
                }
            }
        }

        return $notices;
    }

    /** @return list<string> in what one tip is not the mirror image of another */
    private function unlike(PartSpec $tip, PartSpec $other): array
    {
        [$one, $two] = [$this->layout->run($tip->inlet)?->line->end, $this->layout->run($other->inlet)?->line->end];
        if ($one === null || $two === null || $one->forward->angleDegTo($two->forward) > self::PARALLEL_DEG) {
            return [];
        }
        $lines = [];
        $by = $two->at->minus($one->at);
        foreach ([['higher', 'lower', $by->z], ['farther back', 'farther forward', $by->x]] as [$more, $less, $mm]) {
            if (abs($mm) > self::SAME_MM) {
                $lines[] = sprintf(
                    'the second is %s %s',
                    Quantity::Length->read(abs($mm), $this->job->units),
                    $mm > 0.0 ? $more : $less,
                );
            }
        }
        $image = new Vector($one->forward->x, -$one->forward->y, $one->forward->z);
        $deg = $image->angleDegTo($two->forward);
        if ($deg > self::SAME_DEG) {
            $shown = Quantity::Angle->show($deg, $this->job->units);
            $lines[] = "they point $shown otherwise than mirror images do";
        }

        return $lines;
    }

    private function path(PartSpec $part, string $field): string
    {
        return sprintf('set.parts[%d].%s', array_search($part, $this->job->set->parts, true), $field);
    }
}
