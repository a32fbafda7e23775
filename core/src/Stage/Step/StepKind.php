<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Step;

/** What is done in one step of making a job; the build's order, the bench and the log all name a step by it. */
enum StepKind: string
{
    /** A part or a collector that was bought is measured as it came. */
    case Check = 'check';
    /** A piece is cut, deburred and cleaned. */
    case Prepare = 'prepare';
    /** Two parts are fitted and tacked, or slid together. */
    case Tack = 'tack';
    /** A loose ring or clamp goes over an end before that is closed. */
    case Put = 'put';
    /** An end is pressed, swaged or expanded. */
    case Form = 'form';
    /** The outlet of a collector is cut and pressed round. */
    case Outlet = 'outlet';
    /** The inlets of a collector are expanded and trued. */
    case Trueing = 'true';
    /** A flange is bolted to what it is welded on. */
    case Bolt = 'bolt';
    case Trial = 'trial';
    /** The joints of a run are tacked all round. */
    case FullTack = 'full';
    /** What was welded by itself is fitted together again. */
    case Refit = 'refit';
    /** A seam is welded on the side that the next run closes in. */
    case Side = 'side';
    case Polish = 'polish';
    case Purge = 'purge';
    case Weld = 'weld';
    /** A joint is measured until a hand may rest on it. */
    case Cool = 'cool';
    /** A joint is measured until a seam may be welded beside it. */
    case Warm = 'warm';
    case Inspect = 'inspect';
    case Dress = 'dress';
    /** A seam is cut out, to be fitted and welded again. */
    case CutOut = 'cut-out';
    /** Faces that are bolted or clamped are measured. */
    case Face = 'face';
    /** A run or a collector is put under low-pressure air. */
    case LeakTest = 'leak-test';

    /**
     * Names one step among all of a job: it stays the same as long as the piece or joint does, and is never read apart.
     */
    public function key(string $subject, int $round = 1): string
    {
        return $round > 1 ? "$this->value.$subject.$round" : "$this->value.$subject";
    }

    /** @return list<string> the keys of several steps at one subject */
    public static function keys(string $subject, self ...$kinds): array
    {
        return array_map(static fn (self $one): string => $one->key($subject), array_values($kinds));
    }

    /** Of a step that no plan has any more, what is left to say of it. */
    public function words(string $subject, int $round): string
    {
        return "{$this->label()} $subject".($round > 1 ? ", round $round" : '');
    }

    public function work(): Work
    {
        return match ($this) {
            self::Check, self::Prepare, self::Put, self::Form, self::Outlet, self::Trueing, self::Polish,
            self::Dress, self::CutOut => Work::Prepare,
            self::Tack, self::FullTack, self::Refit => Work::Tack,
            self::Trial => Work::TrialFit,
            self::Bolt, self::Purge => Work::Purge,
            self::Side, self::Weld => Work::Weld,
            self::Cool, self::Warm => Work::Cool,
            self::Inspect, self::Face, self::LeakTest => Work::Inspect,
        };
    }

    /** Whether stock that is missing stands in its way. */
    public function takesStock(): bool
    {
        return in_array($this, [self::Check, self::Prepare, self::Outlet], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Check => 'Check',
            self::Prepare => 'Cut and prepare',
            self::Tack => 'Tack',
            self::Put => 'Put on',
            self::Form => 'Form',
            self::Outlet => 'Press',
            self::Trueing => 'True',
            self::Bolt => 'Bolt down',
            self::Trial => 'Trial fit',
            self::FullTack => 'Full tack',
            self::Refit => 'Fit again',
            self::Side => 'Weld one side',
            self::Polish => 'Polish',
            self::Purge => 'Purge',
            self::Weld => 'Weld',
            self::Cool, self::Warm => 'Cool',
            self::Inspect => 'Inspect',
            self::Dress => 'Dress',
            self::CutOut => 'Cut out',
            self::Face => 'Measure',
            self::LeakTest => 'Leak test',
        };
    }

    /** The usual caution at this step; local codes and licensed practice come first. */
    public function caution(): string
    {
        return match ($this) {
            self::Bolt => 'Bolts, plate and flange get hot and stay hot. Plated bolts give off poison when they are heated: plain steel only.',
            self::Check => 'Sharp edges: gloves on. Parts that were in use may hold oil, fuel or soot: clean them before any arc.',
            default => $this->work()->caution(),
        };
    }

    /** How the clock at this step runs; null where nobody times it. */
    public function clock(): ?Clock
    {
        return match ($this) {
            self::Purge => Clock::Down,
            self::Side, self::Weld => Clock::Up,
            self::Cool, self::Warm => Clock::SinceWeld,
            default => null,
        };
    }
}
