<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Device\Trace;

/** Reads one entry as the bench made it, against the steps of the plan it was made on. */
final readonly class EntryReader
{
    /** Further from now than this, either way, the clock that gave the time was wrong. */
    public const WITHIN_DAYS = 365;

    private const MOST_READINGS = 12;

    /** Clocks of devices go wrong by so much (s) without anybody minding. */
    private const AHEAD_S = 120;

    private const MOST_POINTS = 60;

    private const UUID = '/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i';

    /** As a clock writes it: to the second or finer, with its zone. */
    private const TIME = '/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,9})?(Z|[+-]\d\d:\d\d)$/';

    /**
     * @param  mixed  $entry  decoded: id, units, step, kind, readings as texts by measure, note, at, and
     *                         where the step asks for it why somebody goes on, and the points that were confirmed
     * @param  list<BenchStep>  $steps  of the released plan that the entry was made on
     * @param  string  $by  the name of who made it
     * @return LogEntry|Fault the first thing wrong with it, under the name of its field
     */
    public static function read(mixed $entry, array $steps, string $by, \DateTimeImmutable $now): LogEntry|Fault
    {
        $faults = new Faults();
        $node = Node::of($entry, $faults);
        $id = strtolower($node->at('id')->required(36));
        if (preg_match(self::UUID, $id) !== 1) {
            $node->at('id')->complain('no-id', 'must be a UUID');
        }
        if ($node->at('kind')->isMissing()) {
            $node->at('kind')->complain('missing', 'is missing');
        }
        $step = self::step($node->at('step'), $steps);
        $read = new LogEntry(
            $id,
            $step->id ?? '',
            $node->at('kind')->choice(EntryKind::class, EntryKind::Note),
            $step === null ? [] : self::readings($node, $step),
            $node->at('note')->text(),
            $by,
            self::made($node->at('at'), $now),
            trim($node->at('why')->text('', Gate::MOST_REASON)),
            $step === null ? [] : self::points($node->at('points'), $step),
            self::inspected($node, $step),
            array_map(
                Trace::read(...),
                $node->at('traces')->isMissing() ? [] : $node->at('traces')->items(Trace::MOST),
            ),
        );
        if ($step !== null && $read->why === '') {
            self::mayGoOn($node, $step, $read);
        }

        return $faults->all()[0] ?? $read;
    }

    /** Without a reason nobody goes on past a limit; a correction tells what was read, and not more. */
    private static function mayGoOn(Node $node, BenchStep $step, LogEntry $read): void
    {
        $units = $node->at('units')->choice(UnitSystem::class, UnitSystem::Metric);
        $lacks = match ($read->kind) {
            EntryKind::Done => [
                ...Gate::lacks($step, $read->values, $read->points, $units),
                ...Gate::tooLittle($step, $read->inspected),
            ],
            EntryKind::Correct => Gate::above($step, $read->values, $units),
            default => [],
        };
        if ($lacks !== []) {
            $node->at('why')->complain('gate', implode(' ', $lacks).' Put that right, or say why you go on.');
        }
    }

    private static function inspected(Node $node, ?BenchStep $step): ?InspectedJoint
    {
        $isDone = $node->at('kind')->choice(EntryKind::class, EntryKind::Note) === EntryKind::Done;
        $found = $node->at('inspected');
        if ($step?->inspection === null || ! $isDone) {
            if (! $found->isMissing()) {
                $found->complain('not-inspected', 'belongs to a step at which a joint is inspected, and to its end');
            }

            return null;
        }
        if ($found->isMissing()) {
            $found->complain('missing', 'is missing: what was found, and what is done about it?');

            return null;
        }

        return InspectedJoint::read($found);
    }

    /** @return list<int> */
    private static function points(Node $node, BenchStep $step): array
    {
        $points = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MOST_POINTS) as $one) {
            $number = $one->number();
            if (! isset($step->points[(int) $number]) || floor($number) !== $number) {
                $one->complain('unknown-point', sprintf(
                    'Step %s has %d points to confirm, counted from 0.',
                    $step->id,
                    count($step->points),
                ));
            } else {
                $points[] = (int) $number;
            }
        }

        return array_values(array_unique($points));
    }

    /** @param  list<BenchStep>  $steps */
    private static function step(Node $node, array $steps): ?BenchStep
    {
        $id = $node->required(60);
        foreach ($steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }
        if ($id !== '') {
            $node->complain('unknown-step', sprintf('The released plan has no step "%s".', $id));
        }

        return null;
    }

    /** @return array<string, float> in base units, by measure; a reading left empty is none */
    private static function readings(Node $entry, BenchStep $step): array
    {
        $units = $entry->at('units')->choice(UnitSystem::class, UnitSystem::Metric);
        $measures = array_column($step->measures, null, 'name');
        $readings = [];
        foreach ($entry->at('readings')->entries(self::MOST_READINGS) as $name => $node) {
            $text = trim($node->text('', 60));
            $measure = $measures[$name] ?? null;
            if ($measure === null) {
                $node->complain('unknown-reading', sprintf('Step %s has no reading called "%s".', $step->id, $name));
            } elseif ($text !== '') {
                try {
                    $readings[$measure->name] = $measure->quantity->parse($text, $units);
                } catch (UnreadableQuantity $error) {
                    $node->complain('not-a-reading', $error->getMessage());
                }
            }
        }

        return $readings;
    }

    /** Whether a device's clock was ahead of this one when it made an entry. */
    public static function isAhead(\DateTimeInterface $made, \DateTimeInterface $now): bool
    {
        return $made->getTimestamp() > $now->getTimestamp() + self::AHEAD_S;
    }

    private static function made(Node $node, \DateTimeImmutable $now): \DateTimeImmutable
    {
        $text = $node->required(40);
        $time = preg_match(self::TIME, $text) === 1 ? date_create_immutable($text) : false;
        // 30 February would be read as 2 March.
        if ($time === false || $time->format('Y-m-d') !== substr($text, 0, 10)) {
            $node->complain('not-a-time', 'must be a time such as 2026-03-02T09:00:00Z');

            return $now;
        }
        if (abs($time->getTimestamp() - $now->getTimestamp()) > self::WITHIN_DAYS * 86_400) {
            $node->complain('far-off', sprintf(
                'is %s; a time within a year of now is taken. Set this device’s clock.',
                $time->format('Y-m-d'),
            ));
        }

        // Nothing was done later than now: a clock that is ahead would keep an entry newer than all that follow it.
        return self::isAhead($time, $now) ? $now : $time->setTimezone(new \DateTimeZone('UTC'));
    }
}
