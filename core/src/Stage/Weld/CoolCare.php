<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Practice\CoolSchool;
use UpsweptBead\Core\Shop\Practice\Shop;

/** By which school a job waits for its seams to cool: the shop's, or its own. */
final readonly class CoolCare
{
    public const OF_JOB = 'cool.school';

    /** @param  string  $lack  why what was wished for is not done; '' where it is */
    private function __construct(public Choice $choice, public CoolSchool $school, public string $lack) {}

    public static function of(Shop $shop, Overrides $overrides): self
    {
        $proposed = $shop->schools->cool;
        $limit = $shop->rules->get($proposed->rule());
        $choice = Choice::of(
            self::OF_JOB,
            'Next seam beside it',
            $proposed->label(),
            new Reason($proposed->why(), [$limit->asInput()], Source::trade(), 'A written procedure, or the shop’s own school.'),
            array_map(static fn (CoolSchool $one): Option => new Option($one->label()), CoolSchool::cases()),
        );
        $override = $overrides->of(self::OF_JOB);
        if ($override === null) {
            return new self($choice, $proposed, '');
        }
        $school = CoolSchool::read($override->value);

        return $school === null
            ? new self($choice, $proposed, sprintf(
                '"%s" is no way to wait: touch-cool, or below the code limit.',
                mb_substr($override->value, 0, 40),
            ))
            : new self($choice->with($school->label(), $override), $school, '');
    }
}
