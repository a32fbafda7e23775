<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Quote\RoughQuote;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Intake\Brought;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Intake\AtTheVehicle;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Stage\Intake\IntakeChecks;
use UpsweptBead\Core\Stage\Intake\Question;
use UpsweptBead\Core\Stage\Intake\Questions;
use UpsweptBead\Core\Stage\Intake\StartingPoint;

/** What a job is asked when it comes in, and what follows from the answers. */
final readonly class IntakeScreen
{
    /** A first quote is rounded to this, in the shop's money: it is no surer. Our own figure. */
    private const MONEY = 10.0;

    /** And its time at the bench to this, minutes. */
    private const MINUTES = 15.0;

    /** @return array<string, mixed> without the quote, which takes longer */
    public static function toArray(StartingPoint $start, Shop $shop): array
    {
        $job = $start->job;
        $figures = new FigureWriter($job->units);
        $vehicle = AtTheVehicle::of($start);
        $laid = FirstLayout::of($start);
        $isSame = $laid !== null
            && array_column($laid->runs, 'letter') === array_column($job->runs, 'letter')
            && array_column($laid->runs, 'tubeId') === array_column($job->runs, 'tubeId')
            && $laid->metal === $job->metal;

        return [
            'questions' => array_map(static fn (Question $one): array => [
                'key' => $one->key,
                'label' => $one->label,
                'kind' => $one->kind,
                'options' => array_map(
                    static fn (string $id, string $name): array => ['id' => $id, 'name' => $name],
                    array_keys($one->options),
                    $one->options,
                ),
                'hint' => $one->hint,
                'most' => $one->most,
            ], Questions::for($job, $start->intake)),
            'brought' => array_map(
                static fn (Brought $one): array => ['id' => $one->value, 'name' => $one->label()],
                Brought::cases(),
            ),
            'figures' => array_values($figures->each($start->figures)),
            'notices' => PlanWriter::notices(IntakeChecks::notices($start, $shop)),
            'measure' => $vehicle->measure,
            'bring' => $vehicle->bring,
            'layout' => $laid === null ? null : ['says' => self::says($start, ! $isSame), 'isThere' => $isSame],
        ];
    }

    /** @param  bool  $isNew  whether what the runs meet in is laid out too; of those that are there it may be another */
    private static function says(StartingPoint $start, bool $isNew): string
    {
        $what = $start->tube === null ? '' : " of {$start->tube->name}, $start->metal";

        return match (true) {
            StartingPoint::isMany($start->job->purpose) => sprintf(
                '%d %s%s%s',
                $start->cylinders,
                $start->cylinders === 1 ? 'run' : 'runs',
                $what,
                match (true) {
                    ! $isNew => '',
                    $start->hasTwoScrolls && $start->scrolls() !== [] => ', into two scrolls',
                    $start->cylinders === 1 => '',
                    $start->makesCollector => ', into a collector that is made',
                    default => ', into a collector',
                },
            ),
            $start->makesCollector => sprintf('a collector, %d into 1%s', max(2, $start->cylinders), $what),
            default => "one run$what",
        };
    }

    /** @return array<string, mixed> in the shop's money, without tax */
    public static function quote(RoughQuote $rough, StartingPoint $start): array
    {
        $lasts = static fn (float $minutes): string => Quantity::Duration->read(
            60 * self::MINUTES * round($minutes / self::MINUTES),
            $start->job->units,
        );
        $budget = $start->intake->budget;
        $about = static fn (float $sum): float => self::MONEY * round($sum / self::MONEY);
        $price = static fn (Quote $quote): float => $about($quote->price());

        return [
            'low' => $price($rough->low),
            'likely' => $price($rough->likely),
            'high' => $about($rough->highest()),
            'joints' => $rough->joints === $rough->mostJoints
                ? "$rough->joints"
                : "$rough->joints to $rough->mostJoints",
            'lowTime' => $lasts($rough->low->minutes()),
            'likelyTime' => $lasts($rough->likely->minutes()),
            'highTime' => $lasts($rough->mostMinutes()),
            'collector' => $rough->collectorCost === null ? null : $about($rough->collectorCost),
            'unpriced' => array_values($rough->likely->unpriced()),
            'budget' => match (true) {
                $budget === null => '',
                $budget < $rough->low->price() => 'The budget is below the least of it: less room for bends, a bought collector or another metal do most.',
                $budget < $rough->likely->price() => 'The budget is below what is likely.',
                $budget < $rough->highest() => 'The budget holds what is likely, not the most of it.',
                default => '',
            },
        ];
    }
}
