<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\Shop;

/** By which practice a job waits for its seams to cool: the shop's, or its own. */
final readonly class CoolCare
{
    public const OF_JOB = 'cool.school';

    /** @param  string  $lack  why what was wished for is not done; '' where it is */
    private function __construct(public Choice $choice, public CoolPractice $practice, public string $lack) {}

    public static function of(Shop $shop, Overrides $overrides): self
    {
        $proposed = $shop->practices->cool;
        $limit = $shop->rules->get($proposed->rule());
        $choice = Choice::of(
            self::OF_JOB,
            'Interpass',
            $proposed->label(),
            new Reason($proposed->why(), [$limit->asInput()], Source::trade(), 'A written procedure, or the shop’s own practice.'),
            array_map(static fn (CoolPractice $one): Option => new Option($one->label()), CoolPractice::cases()),
        );
        $override = $overrides->of(self::OF_JOB);
        if ($override === null) {
            return new self($choice, $proposed, '');
        }
        $practice = CoolPractice::read($override->value);

        return $practice === null
            ? new self($choice, $proposed, sprintf(
                '"%s" is no way to wait: touch-cool, or below the code limit.',
                mb_substr($override->value, 0, 40),
            ))
            : new self($choice->with($practice->label(), $override), $practice, '');
    }
}
