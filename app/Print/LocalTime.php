<?php

declare(strict_types=1);

namespace App\Print;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Http\Request;

/** Times on paper as the clock of whoever prints it shows them; the browser says which zone that is. */
final readonly class LocalTime
{
    private function __construct(private DateTimeZone $zone) {}

    public static function of(Request $request): self
    {
        $name = $request->query('zone');
        $isKnown = is_string($name) && in_array($name, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true);

        return new self(new DateTimeZone($isKnown ? $name : 'UTC'));
    }

    /** @param  string  $at  with its zone, as ISO 8601 has it */
    public function show(string $at): string
    {
        return (new DateTimeImmutable($at))->setTimezone($this->zone)->format('j M Y, H:i');
    }

    public function zone(): string
    {
        return $this->zone->getName();
    }
}
