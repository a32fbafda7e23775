<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Joint\Joint;

/** How what a joint is of is held while it is filled and welded: proposed, or put in its place by somebody. */
final readonly class HeldBy
{
    private const ON_VEHICLE = 'As on the vehicle';

    /**
     * @param  ?string  $way  somebody's, by its name among the ways there are; null as proposed
     * @param  string  $lack  why what was wished for is not done; '' where it is
     */
    private function __construct(public Choice $choice, public ?string $way, public string $lack) {}

    /** @param  list<string>  $ways  there are, the easiest first; '' as on the vehicle */
    public static function of(Joint $joint, PurgePose $proposed, array $ways, Overrides $overrides): self
    {
        $choice = Choice::of("purge.$joint->id.held", 'Held', self::name($proposed->hold), new Reason(
            $proposed->hold === ''
                ? 'Held as on the vehicle hardly any air stays in it: nothing to turn.'
                : 'The first way, from the easiest on, that leaves hardly any air above its vents; else the one that leaves least.',
            [
                Input::of('Air that stays', Quantity::Volume, $proposed->trappedMl / 1000),
                Input::of('Ways to hold it', Quantity::Count, count($ways)),
            ],
            Source::geometry(),
            'What is easier on your bench. The air that stays is told.',
        ), array_map(static fn (string $way): Option => new Option(self::name($way)), $ways));
        $override = $overrides->of($choice->key);
        if ($override === null) {
            return new self($choice, null, '');
        }
        foreach ($ways as $way) {
            if (self::isSame($override->value, self::name($way))) {
                return new self($choice->with(self::name($way), $override), $way, '');
            }
        }

        return new self($choice, null, sprintf(
            '"%s" is no way to hold it for this weld: one of the %d that are listed with its purge.',
            mb_substr($override->value, 0, 40),
            count($ways),
        ));
    }

    private static function name(string $way): string
    {
        return $way === '' ? self::ON_VEHICLE : rtrim($way, '.');
    }

    private static function isSame(string $one, string $other): bool
    {
        $plain = static fn (string $text): string => rtrim(mb_strtolower(trim($text)), '.');

        return $plain($one) === $plain($other);
    }
}
