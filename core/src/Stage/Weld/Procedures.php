<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Stage\Joint\JointList;

/** What customers' written procedures ask for, joint by joint; they come before every proposal of ours. */
final readonly class Procedures
{
    /** @param  list<Override>  $asked */
    private function __construct(private Overrides $own, private array $asked) {}

    public static function of(Job $job, JointList $joints): self
    {
        $asked = [];
        foreach ($job->procedures === [] ? [] : $joints->welds() as $joint) {
            foreach ($job->procedures as $procedure) {
                if ($procedure->isFor($joint->type->seamKind())) {
                    array_push($asked, ...$procedure->overrides($joint->id));
                    break;
                }
            }
        }

        return new self($job->overrides, $asked);
    }

    public function overrides(): Overrides
    {
        return $this->own->behind($this->asked);
    }

    /** @return list<Notice> where a person does otherwise than a procedure asks for */
    public function departures(): array
    {
        $notices = [];
        foreach ($this->asked as $one) {
            $own = $this->own->of($one->figure);
            if ($own !== null && trim($own->value) !== trim($one->value)) {
                [, $joint, $setting] = explode('.', $one->figure);
                $notices[] = Notice::caution('overrides', sprintf(
                    'Joint %s departs from %s: %s %s in place of %s. Ask the customer first.',
                    $joint,
                    $one->procedure,
                    $setting,
                    $own->value,
                    $one->value,
                ));
            }
        }

        return $notices;
    }
}
