<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Intake\Brought;
use UpsweptBead\Core\Job\Intake\IntakeReader;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Intake\Room;
use UpsweptBead\Core\Job\Intake\Scrolls;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/**
 * Where to start from, by what was asked when the job came in: metal, tube, lengths, how the cylinders are paired, what
 * is made and what is bought, and how many bends to count on. Each a proposal with its reason.
 */
final readonly class StartingPoint
{
    private const USUAL_CYLINDERS = 4;

    /** Bends of one run where there is plenty of room, some, or little; our own figures. */
    private const BENDS = [
        'turbo-manifold' => [1, 2, 3],
        'turbo-downpipe' => [2, 3, 5],
        'header' => [2, 3, 5],
        'system' => [3, 5, 8],
        'repair' => [1, 2, 3],
    ];

    public const MOST_BENDS = 12;

    /** What a run is counted with, mm: longer or shorter ones are a slip of the hand. Our own figures. */
    public const LEAST_LENGTH_MM = 50.0;

    public const MOST_LENGTH_MM = 12_000.0;

    /** Length of one run in mm where no sum gives it; our own figures. */
    private const LENGTH_MM = [
        'turbo-manifold' => 300.0,
        'turbo-downpipe' => 900.0,
        'header' => 760.0,
        'system' => 3000.0,
        'repair' => 600.0,
    ];

    /** Firing orders that need not be asked for, by the number of cylinders; usual ones, from memory. */
    private const FIRING = [
        2 => [1, 2],
        3 => [1, 2, 3],
        4 => [1, 3, 4, 2],
        5 => [1, 2, 4, 5, 3],
        6 => [1, 5, 3, 6, 2, 4],
    ];

    private const MAKE = 'make it';

    private const BUY = 'buy it';

    private const BRING = 'the customer brings it';

    /** @param  array<string, Figure|Choice>  $figures */
    private function __construct(
        public Job $job,
        public IntakeSpec $intake,
        public array $figures,
        public ?TubeSize $tube,
        public string $metal,
        public int $cylinders,
        public int $bends,
        public float $lengthMm,
        public bool $makesCollector,
        public bool $hasTwoScrolls,
    ) {}

    public static function of(Job $job, Shop $shop): self
    {
        $intake = $job->intake ?? new IntakeSpec;
        $sums = Tuning::of($job, $shop);
        $temperature = Heat::temperature($job, $intake);
        $metal = Heat::metal($job, $intake, $temperature->value);
        $tube = TubeAnswer::of($job, $shop, $sums['bore'] ?? null);
        $size = TubeAnswer::named($tube, $shop);
        $figures = ['temperature' => $temperature, 'metal' => $metal, 'tube' => $tube];
        if ($job->purpose !== Purpose::Collector) {
            $figures['length'] = self::length($job, $sums['length'] ?? null);
            $figures['bends'] = self::bends($job, $intake);
        }
        if ($size !== null) {
            $figures['bendsFrom'] = self::bendsFrom($job, $size, $shop);
        }
        if (self::isMany($job->purpose)) {
            $figures['equal'] = self::equal($job, $intake);
            $figures['collector'] = self::collector($job, $intake);
        }
        if ($job->purpose === Purpose::TurboManifold && $intake->scrolls === Scrolls::Two) {
            $figures['pairing'] = self::pairing($job, $intake);
        }

        $cylinders = self::cylindersOf($job, $intake);

        return new self(
            $job,
            $intake,
            $figures,
            $size,
            isset($shop->catalogue->metals[$metal->value]) ? $metal->value : $metal->proposed,
            $cylinders,
            (int) round(self::within($figures['bends'] ?? null, 0.0, (float) self::MOST_BENDS)),
            self::within($figures['length'] ?? null, self::LEAST_LENGTH_MM, self::MOST_LENGTH_MM),
            $cylinders <= CollectorBuild::MOST_INLETS
                && (($figures['collector'] ?? null)?->value === self::MAKE || $job->purpose === Purpose::Collector),
            isset($figures['pairing']),
        );
    }

    /** What is counted with: a figure as far as it can be; 0 where there is none. */
    private static function within(Figure|Choice|null $one, float $least, float $most): float
    {
        return $one instanceof Figure ? max($least, min($most, $one->value)) : 0.0;
    }

    /** Whether such a job has a run for every cylinder. */
    public static function isMany(Purpose $purpose): bool
    {
        return $purpose === Purpose::Header || $purpose === Purpose::TurboManifold;
    }

    /** @return list<int> cylinders as they fire; empty where nobody said and no order is usual */
    public function firing(): array
    {
        return self::firingOf($this->intake, $this->cylinders);
    }

    /** @return list<int> */
    private static function firingOf(IntakeSpec $intake, int $cylinders): array
    {
        return $intake->firing !== [] ? $intake->firing : self::FIRING[$cylinders] ?? [];
    }

    /** As many as somebody said, else as the job has runs, else the usual four. */
    public static function cylindersOf(Job $job, IntakeSpec $intake): int
    {
        $runs = self::isMany($job->purpose) ? count($job->runs) : 0;

        return $intake->cylinders ?? ($runs > 1 ? min($runs, IntakeReader::MOST_CYLINDERS) : self::USUAL_CYLINDERS);
    }

    /**
     * Cylinders of either scroll: as somebody paired them, else every other one of the firing order, so that pulses in
     * one are as far apart as they can be. Empty where the order is not known, or their number is odd.
     *
     * @return array{}|array{list<int>, list<int>}
     */
    public function scrolls(): array
    {
        return $this->saidScrolls() ?? self::paired($this->firing());
    }

    /** Whether somebody paired them in words that cannot be read. */
    public function isPairingUnread(): bool
    {
        return ($this->figures['pairing'] ?? null)?->override !== null && $this->saidScrolls() === null;
    }

    /** @return array{list<int>, list<int>}|null of "1 + 4 and 2 + 3", every cylinder once */
    private function saidScrolls(): ?array
    {
        $said = $this->figures['pairing'] ?? null;
        $groups = $said instanceof Choice && $said->override !== null ? explode('and', $said->value) : [];
        if (count($groups) !== 2) {
            return null;
        }
        $read = static function (string $group): array {
            preg_match_all('/\d+/', $group, $found);

            return array_map(intval(...), $found[0]);
        };
        [$one, $other] = [$read($groups[0]), $read($groups[1])];
        $all = [...$one, ...$other];
        sort($all);

        return $one !== [] && $other !== [] && $all === range(1, $this->cylinders) ? [$one, $other] : null;
    }

    /**
     * @param  list<int>  $firing
     * @return array{}|array{list<int>, list<int>}
     */
    private static function paired(array $firing): array
    {
        if (count($firing) < 4 || count($firing) % 2 !== 0) {
            return [];
        }
        $scrolls = [[], []];
        foreach ($firing as $i => $cylinder) {
            $scrolls[$i % 2][] = $cylinder;
        }
        sort($scrolls[0]);
        sort($scrolls[1]);

        return $scrolls;
    }

    private static function length(Job $job, Figure|Choice|null $sum): Figure
    {
        $byHand = new Reason(
            'What such a run usually comes to; measure along a string held where it will go.',
            [Input::word('what it is', $job->purpose->label())],
            new Source(SourceKind::Shop),
            'Only the first quote is made with it, until the runs are routed.',
        );

        return $job->overrides->on(Figure::of(
            'intake.length',
            $sum === null ? 'Length of a run, about' : 'Length of a primary',
            Quantity::Length,
            $sum instanceof Figure ? $sum->value : self::usualMm($job),
            $sum instanceof Figure ? new Reason(
                'As the engine’s figures give it, from the port’s face to the merge.',
                [],
                $sum->reason->source,
                $sum->reason->changes,
            ) : $byHand,
        ));
    }

    /** In whole inches, or tens of millimetres. */
    private static function usualMm(Job $job): float
    {
        $stepMm = $job->units === UnitSystem::Inch ? Length::MM_PER_INCH : 10.0;

        return $stepMm * round((self::LENGTH_MM[$job->purpose->value] ?? 0.0) / $stepMm);
    }

    private static function bends(Job $job, IntakeSpec $intake): Figure
    {
        $room = $intake->room ?? Room::Some;
        $column = match ($room) {
            Room::Plenty => 0,
            Room::Some => 1,
            Room::Little => 2,
        };

        return $job->overrides->on(Figure::of(
            'intake.bends',
            'Bends in a run, about',
            Quantity::Count,
            (float) (self::BENDS[$job->purpose->value][$column] ?? 0),
            new Reason(
                'A usual count for the room there is. Every bend is a joint more, so it makes most of the first quote.',
                [Input::word('room', $room->label().($intake->room === null ? ', as nobody said' : ''))],
                new Source(SourceKind::Shop),
                'The survey and the search for routes: they count them.',
            ),
        ));
    }

    private static function bendsFrom(Job $job, TubeSize $tube, Shop $shop): Choice
    {
        $bends = $shop->catalogue->bendsFor($tube->id);
        $onShelf = 0;
        foreach ($bends as $bend) {
            $onShelf += $shop->has($bend->id);
        }
        [$from, $rule] = match (true) {
            $bends === [] => ['pie cuts', 'No bend of this tube is listed: it is made of wedges.'],
            $tube->isPipe => ['weld elbows', 'Pipe is bent in elbows; they have no legs, so every one is a joint at both ends.'],
            default => ['mandrel bends', 'Bought bends with legs: the fewest joints. Wedges only where no bend has the radius.'],
        };

        return $job->overrides->onChoice(Choice::of(
            'intake.bends_from',
            'Bends',
            $from,
            new Reason(
                $rule,
                [Input::word('of them on the shelf', "$onShelf"), Input::word('sizes listed', (string) count($bends))],
                Source::trade(),
                'A bend of wedges takes a seam for every ten degrees or so; what both cost stands at the run, at Route.',
            ),
            array_map(static fn (string $one): Option => new Option(
                $one,
                $bends === [] && $one !== 'pie cuts' ? 'none is listed for this tube.' : '',
            ), ['mandrel bends', 'weld elbows', 'pie cuts']),
        ));
    }

    private static function equal(Job $job, IntakeSpec $intake): Choice
    {
        $isHeader = $job->purpose === Purpose::Header;

        return $job->overrides->onChoice(Choice::of(
            'intake.equal',
            'Equal lengths',
            $isHeader ? 'all runs alike' : 'as they come',
            new Reason(
                match (true) {
                    $isHeader => 'Without a turbo the pulses draw one another along: runs of one length, to about one per cent.',
                    $intake->scrolls === Scrolls::Two => 'With two scrolls it is the pairing that counts; equal lengths are nice to have.',
                    default => 'Before a single scroll equal lengths hardly matter; short, thick and straight in matters more.',
                },
                [],
                Source::trade(),
                'Schools differ: some make them equal before a turbo too, for the sound and the spool.',
            ),
            [new Option('all runs alike'), new Option('as they come')],
        ));
    }

    private static function collector(Job $job, IntakeSpec $intake): Choice
    {
        $isManifold = $job->purpose === Purpose::TurboManifold;
        [$value, $rule] = match (true) {
            $intake->brings(Brought::Collector) => [self::BRING, 'It is brought: measure its inlets, and break and weld its tacks again as the plan says.'],
            $isManifold => [self::BUY, 'A cast or fabricated one to the turbine’s flange: it is the hottest and most stressed part, and quarters are a day’s work.'],
            default => [self::MAKE, 'Straight tube cut to a template, or merge bends: what it takes stands with the first quote, to hold a bought one against.'],
        };

        return $job->overrides->onChoice(Choice::of(
            'intake.collector',
            'Collector',
            $value,
            new Reason($rule, [], Source::trade(), 'The price of a bought one, and how soon it comes.'),
            [new Option(self::MAKE), new Option(self::BUY), new Option(self::BRING)],
        ));
    }

    private static function pairing(Job $job, IntakeSpec $intake): Choice
    {
        $firing = self::firingOf($intake, self::cylindersOf($job, $intake));
        $scrolls = self::paired($firing);

        return $job->overrides->onChoice(Choice::of(
            'intake.pairing',
            'Scrolls',
            $scrolls === []
                ? 'no pairing'
                : implode(' + ', $scrolls[0]).' and '.implode(' + ', $scrolls[1]),
            new Reason(
                $scrolls === []
                    ? 'Cylinders pair where their number is even, four at least, and their firing order is known.'
                    : 'Every other cylinder of the firing order shares a scroll, so that its pulses are as far apart as they can be.',
                $firing === [] ? [] : [Input::word(
                    $intake->firing === [] ? 'fires, as is usual' : 'fires',
                    implode('-', $firing),
                )],
                Source::trade(),
                'The crank: check the order against it.',
            ),
        ));
    }
}
