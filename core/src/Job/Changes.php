<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Reason\Override;

/** In what a document of a job differs from an earlier one, part by part, in the shop's words. */
final readonly class Changes
{
    private const HEAD = [
        'metal' => 'Metal', 'purpose' => 'Purpose', 'units' => 'Units', 'number' => 'Number', 'title' => 'Title',
        'customer' => 'Customer', 'vehicle' => 'Vehicle', 'note' => 'Note',
    ];

    private const OF_RUN = [
        'tube' => 'tube', 'start' => 'where it begins', 'end' => 'where it ends', 'route' => 'way',
        'fittings' => 'bungs and brackets', 'there' => 'whether it stands already',
    ];

    private const OF_SET = [
        'collectors' => 'Collectors', 'keepOuts' => 'Keep-outs', 'lengths' => 'Lengths asked for',
        'routing' => 'How runs are routed', 'branching' => 'Branches', 'polished' => 'Which joints are polished inside',
        'stubs' => 'Stubs', 'parts' => 'Mufflers and other parts in line', 'hangers' => 'Hangers',
        'designs' => 'Designs kept to compare', 'outlets' => 'What is asked of outlets',
    ];

    /** @return list<string> each a short line; empty where both say the same */
    public static function between(Job $then, Job $now): array
    {
        [$before, $after] = [JobWriter::toArray($then), JobWriter::toArray($now)];

        return [
            ...self::head(self::part($before, 'job'), self::part($after, 'job')),
            ...self::differ($before, $after, 'intake') ? ['What was asked when it came in.'] : [],
            ...self::differ($before, $after, 'measured') ? ['Readings at the vehicle.'] : [],
            ...self::runs(self::byLetter($before), self::byLetter($after)),
            ...self::set(self::part($before, 'set'), self::part($after, 'set')),
            ...self::differ($before, $after, 'engine') ? ['Figures of the engine.'] : [],
            ...self::differ($before, $after, 'procedures') ? ['Written procedures.'] : [],
            ...self::differ($before, $after, 'outside') ? ['Work that is bought.'] : [],
            ...self::differ($before, $after, 'prices') ? ['What its parts cost.'] : [],
            ...self::overrides($then->overrides->all, $now->overrides->all),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $then
     * @param  array<array-key, mixed>  $now
     * @return list<string>
     */
    private static function head(array $then, array $now): array
    {
        $lines = [];
        foreach (self::HEAD as $key => $label) {
            [$before, $after] = [$then[$key] ?? '', $now[$key] ?? ''];
            if ($before !== $after && is_string($before) && is_string($after)) {
                $isShown = $key !== 'note' && $before !== '' && $after !== '';
                $lines[] = $isShown ? "$label: $before, now $after." : "$label.";
            }
        }

        return $lines;
    }

    /**
     * @param  array<array-key, mixed>  $then  by letter
     * @param  array<array-key, mixed>  $now
     * @return list<string>
     */
    private static function runs(array $then, array $now): array
    {
        $lines = [];
        foreach ($then + $now as $letter => $_) {
            [$before, $after] = [$then[$letter] ?? null, $now[$letter] ?? null];
            if (! is_array($before) || ! is_array($after)) {
                $lines[] = is_array($after) ? "Run $letter is new." : "Run $letter is no longer planned.";

                continue;
            }
            $parts = array_filter(
                self::OF_RUN,
                static fn (string $key): bool => self::differ($before, $after, $key),
                ARRAY_FILTER_USE_KEY,
            );
            if ($parts !== []) {
                $lines[] = "Run $letter: ".implode(', ', $parts).'.';
            }
        }

        return $lines;
    }

    /**
     * @param  array<array-key, mixed>  $then
     * @param  array<array-key, mixed>  $now
     * @return list<string>
     */
    private static function set(array $then, array $now): array
    {
        $lines = [];
        foreach (array_keys($then + $now) as $key) {
            if (self::differ($then, $now, (string) $key)) {
                $lines[] = (self::OF_SET[$key] ?? (string) $key).'.';
            }
        }

        return $lines;
    }

    /**
     * @param  list<Override>  $then
     * @param  list<Override>  $now
     * @return list<string>
     */
    private static function overrides(array $then, array $now): array
    {
        $said = static fn (Override $one): string => "$one->value $one->why";
        $before = array_combine(array_column($then, 'figure'), array_map($said, $then));
        $after = array_combine(array_column($now, 'figure'), array_map($said, $now));
        $counts = array_filter([
            'new' => count(array_diff_key($after, $before)),
            'changed' => count(array_diff_assoc(array_intersect_key($after, $before), $before)),
            'given up' => count(array_diff_key($before, $after)),
        ], static fn (int $count): bool => $count > 0);
        $count = static fn (string $what, int $count): string => "$count $what";
        $texts = array_map($count, array_keys($counts), $counts);

        return $texts === [] ? [] : ['Figures overruled: '.implode(', ', $texts).'.'];
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function part(array $document, string $key): array
    {
        return is_array($document[$key] ?? null) ? $document[$key] : [];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function byLetter(array $document): array
    {
        return array_column(self::part($document, 'runs'), null, 'letter');
    }

    /**
     * @param  array<array-key, mixed>  $then
     * @param  array<array-key, mixed>  $now
     */
    private static function differ(array $then, array $now, string $key): bool
    {
        return json_encode($then[$key] ?? null) !== json_encode($now[$key] ?? null);
    }
}
