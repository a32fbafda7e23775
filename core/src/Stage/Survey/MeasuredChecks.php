<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;

/** What the readings of a survey leave open, and which of them do not agree. */
final readonly class MeasuredChecks
{
    private function __construct(private Job $job, private Surveyed $surveyed) {}

    /** @return list<Notice> */
    public static function notices(Surveyed $surveyed): array
    {
        $checks = new self($surveyed->job, $surveyed);

        return [...$checks->open(), ...$checks->answers(), ...$checks->suspects()];
    }

    /** @return list<Notice> */
    private function open(): array
    {
        $notices = [];
        foreach ($this->surveyed->open->places ?? [] as $name) {
            $place = ReadingWords::place($name);
            $notices[] = Notice::problem('measured', "The readings do not say yet where the $place is.");
        }
        foreach ($this->surveyed->open->axes ?? [] as $name) {
            $place = ReadingWords::place($name);
            $notices[] = Notice::problem('measured', "The readings do not say yet which way the $place points.");
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function answers(): array
    {
        return count($this->surveyed->answers) < 2 ? [] : [Notice::problem(
            'measured',
            sprintf('The readings fit %d answers alike. Say at Readings which one it is.', count($this->surveyed->answers)),
        )];
    }

    /** @return list<Notice> */
    private function suspects(): array
    {
        return array_map(function (array $ids): Notice {
            $said = [];
            $path = 'measured';
            foreach ($this->job->measured->readings as $i => $one) {
                if (in_array($one->id, $ids, true)) {
                    $said[] = '“'.ReadingWords::of($one).'”';
                    $path = "measured.readings[$i]";
                }
            }
            $standing = $this->surveyed->standings[$ids[0]] ?? null;

            return Notice::caution($path, count($said) === 1 && $standing !== null
                ? sprintf(
                    '%s does not agree with the other readings: they say %s otherwise. Take it again, or leave it out.',
                    $said[0],
                    $standing->offText($this->job->units),
                )
                : sprintf(
                    'One of these readings is wrong, and nothing tells which: %s. One more reading would.',
                    implode(', ', $said),
                ));
        }, $this->surveyed->suspects);
    }
}
