<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** Writes what was asked, as it was answered; what nobody said is left out. */
final readonly class IntakeWriter
{
    /** @return array<string, mixed> */
    public static function toArray(IntakeSpec $intake): array
    {
        return array_filter([
            'cylinders' => $intake->cylinders,
            'firing' => $intake->firing === [] ? null : implode('-', $intake->firing),
            'scrolls' => $intake->scrolls?->value,
            'ground' => $intake->ground?->value,
            'rules' => $intake->rules === '' ? null : $intake->rules,
            'load' => $intake->load?->value,
            'gas' => $intake->gasC === null ? null : $intake->gasEntered(),
            'wet' => $intake->wet?->value,
            'room' => $intake->room?->value,
            'sound' => $intake->sound?->value,
            'outlets' => $intake->outlets,
            'catalyst' => $intake->hasCatalyst,
            'budget' => $intake->budget,
            'brought' => $intake->brought === [] ? null : array_map(static fn (BroughtPart $one): array => [
                'what' => $one->what->value,
                ...$one->metal === null ? [] : ['metal' => $one->metal],
                ...$one->isUsed ? ['used' => true] : [],
            ], $intake->brought),
        ], static fn (mixed $one): bool => $one !== null);
    }
}
