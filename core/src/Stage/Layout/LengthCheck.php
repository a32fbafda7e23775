<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;

/** How equal the lengths of a group have come out. */
final readonly class LengthCheck
{
    /**
     * @param  array<string, float>  $lengthsMm  by letter
     * @param  float  $commonMm  the target, or the middle of what there is
     */
    public function __construct(
        public array $lengthsMm,
        public float $commonMm,
        public float $toleranceMm,
        public bool $hasTarget,
    ) {}

    /**
     * @param  list<RoutedRun>  $runs
     * @return list<self> one for each group of the job
     */
    public static function all(Job $job, array $runs): array
    {
        $checks = [];
        foreach ($job->set->lengths as $group) {
            $lengths = [];
            foreach ($runs as $one) {
                if (in_array($one->spec->letter, $group->runs, true)) {
                    $lengths[$one->spec->letter] = $one->run->lengthMm();
                }
            }
            $common = $group->target->mm ?? ($lengths === [] ? 0.0 : (min($lengths) + max($lengths)) / 2);
            $checks[] = new self($lengths, $common, $common * $group->tolerancePercent / 100, $group->target !== null);
        }

        return $checks;
    }

    /**
     * @param  list<self>  $checks
     * @return list<Notice>
     */
    public static function notices(Job $job, array $checks): array
    {
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $job->units);

        return array_values(array_map(
            static fn (self $check): Notice => Notice::caution('set', sprintf(
                'Runs %s differ in length by %s; %s either way is allowed.',
                implode(', ', array_keys($check->lengthsMm)),
                $show($check->spreadMm()),
                $show($check->toleranceMm),
            )),
            array_filter($checks, static fn (self $check): bool => ! $check->holds()),
        ));
    }

    public function spreadMm(): float
    {
        return $this->lengthsMm === [] ? 0.0 : max($this->lengthsMm) - min($this->lengthsMm);
    }

    public function worstMm(): float
    {
        return $this->lengthsMm === []
            ? 0.0
            : max(array_map(fn (float $length): float => abs($length - $this->commonMm), $this->lengthsMm));
    }

    public function holds(): bool
    {
        return $this->worstMm() <= $this->toleranceMm + 0.05;
    }
}
