<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartKind;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Job\Run\RunSpec;

/**
 * Whether a turbine lies ahead of a seam: found by going on with the flow, through parts, collectors and branches.
 * Where the job's connections end without an answer, its purpose gives one, or somebody does.
 */
final readonly class Ahead
{
    public const OF_JOB = 'purge.ahead';

    public const TURBINE = 'a turbine';

    public const NONE = 'no turbine';

    /** @param  string  $lack  why what was wished for is not done; '' where it is */
    private function __construct(private Job $job, public Choice $choice, public string $lack) {}

    public static function of(Job $job, Overrides $overrides): self
    {
        $proposed = match ($job->purpose) {
            Purpose::TurboManifold => self::TURBINE,
            Purpose::Repair, Purpose::Collector => 'nobody says',
            default => self::NONE,
        };
        $choice = Choice::of(self::OF_JOB, 'What ends lead to', $proposed, new Reason(
            match ($job->purpose) {
                Purpose::TurboManifold => 'A turbo manifold ends at its turbine.',
                Purpose::Repair => 'A repair may lie ahead of a turbine: as careful as there until somebody knows.',
                Purpose::Collector => 'No turbine is named behind it, and none is ruled out: argon only, and the target for everywhere else.',
                default => 'No turbine is named behind it. Parts at the ends of runs count by themselves.',
            },
            [],
            Source::trade(),
            'Where the exhaust goes on beyond this job.',
        ), [new Option(self::TURBINE), new Option(self::NONE)]);
        $override = $overrides->of(self::OF_JOB);
        if ($override === null) {
            return new self($job, $choice, '');
        }
        $value = mb_strtolower(trim($override->value));

        return in_array($value, [self::TURBINE, self::NONE], true)
            ? new self($job, $choice->with($value, $override), '')
            : new self($job, $choice, sprintf(
                '"%s" is not what an end can lead to: a turbine, or no turbine.',
                mb_substr($override->value, 0, 40),
            ));
    }

    /** @param  string  $letter  of a run or a collector */
    public function careAt(string $letter): PurgeCare
    {
        return match (true) {
            $this->isAhead($letter, [$letter]) => PurgeCare::Upstream,
            $this->isBehind($letter, [$letter]), $this->choice->value === self::NONE => PurgeCare::Downstream,
            $this->choice->value === self::TURBINE => PurgeCare::Upstream,
            $this->job->purpose === Purpose::Collector => PurgeCare::Unsaid,
            default => PurgeCare::Unknown,
        };
    }

    /**
     * Whether the flow comes to a turbine.
     *
     * @param  list<string>  $seen  letters it came by
     */
    private function isAhead(string $letter, array $seen): bool
    {
        $part = $this->job->set->partAfter($letter);
        if ($part?->kind === PartKind::Turbine) {
            return true;
        }
        foreach (array_diff($this->next($letter, $part), $seen) as $next) {
            if ($this->isAhead($next, [...$seen, $next])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether it came from one.
     *
     * @param  list<string>  $seen
     */
    private function isBehind(string $letter, array $seen): bool
    {
        foreach ($this->job->set->parts as $part) {
            if ($part->outlet === $letter && $part->kind === PartKind::Turbine) {
                return true;
            }
        }
        foreach (array_diff($this->letters(), $seen) as $before) {
            $isBefore = in_array($letter, $this->next($before, $this->job->set->partAfter($before)), true);
            if ($isBefore && $this->isBehind($before, [...$seen, $before])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> where the flow goes on from a run or a collector */
    private function next(string $letter, ?PartSpec $part): array
    {
        $next = $part === null || $part->outlet === '' ? [] : [$part->outlet];
        $collector = $this->job->collectorOf($letter);
        if ($collector?->build !== null) {
            $next[] = $collector->build->letter;
        } elseif ($collector !== null) {
            // What was only surveyed has no letter of its own: all that goes into it goes on together.
            array_push($next, ...array_filter(
                $collector->runs,
                fn (string $run): bool => $this->job->set->partAfter($run) !== null,
            ));
        }
        $run = $this->job->run($letter);
        if ($run?->end->saddle !== null) {
            $next[] = $run->end->saddle->on;
        }
        foreach ($this->job->runs as $branch) {
            if ($branch->start->saddle?->on === $letter) {
                $next[] = $branch->letter;
            }
        }
        $into = $this->built($letter)?->build?->into;

        return $into === null ? $next : [...$next, $into];
    }

    private function built(string $letter): ?CollectorSpec
    {
        foreach ($this->job->set->collectors as $one) {
            if ($one->build?->letter === $letter) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function letters(): array
    {
        $built = array_map(
            static fn (CollectorSpec $one): ?string => $one->build?->letter,
            $this->job->set->collectors,
        );

        return [
            ...array_map(static fn (RunSpec $run): string => $run->letter, $this->job->runs),
            ...array_values(array_filter($built, is_string(...))),
        ];
    }
}
