<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Job\Intake\Ground;
use UpsweptBead\Core\Job\Intake\IntakeReader;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Intake\Load;
use UpsweptBead\Core\Job\Intake\Room;
use UpsweptBead\Core\Job\Intake\Scrolls;
use UpsweptBead\Core\Job\Intake\Sound;
use UpsweptBead\Core\Job\Intake\Wet;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Purpose;

/** What is asked when a job comes in. What it does not need is not asked: a collector alone has no room and no sound. */
final readonly class Questions
{
    /** @return list<Question> in the order in which people tell it */
    public static function for(Job $job, IntakeSpec $intake): array
    {
        $purpose = $job->purpose;
        $isCollector = $purpose === Purpose::Collector;
        $isMany = StartingPoint::isMany($purpose);
        $isLast = in_array($purpose, [Purpose::System, Purpose::TurboDownpipe], true);
        $isVehicle = ! $isCollector && $purpose !== Purpose::Repair;
        $cylinders = new Question(
            'cylinders', $isCollector ? 'Tubes into it' : 'Cylinders on this side', 'count', [],
            StartingPoint::cylindersOf($job, new IntakeSpec).', where nobody says', IntakeReader::MOST_CYLINDERS,
        );

        return [
            ...$isMany || $isCollector ? [$cylinders] : [],
            ...$purpose === Purpose::TurboManifold ? [self::choice('scrolls', 'Turbine', Scrolls::cases())] : [],
            ...$intake->scrolls === Scrolls::Two || $purpose === Purpose::Header
                ? [new Question('firing', 'Fires', 'text', hint: 'as in 1-3-4-2')]
                : [],
            ...$isVehicle ? [self::choice('ground', 'Where it runs', Ground::cases())] : [],
            ...$isVehicle && $intake->ground !== null && $intake->ground !== Ground::Private
                ? [new Question('rules', 'What law or class asks', 'text', hint: 'noise, outlets, catalyst')]
                : [],
            self::choice('load', 'How hard it works', Load::cases()),
            new Question('gas', 'Gas, where it was read', 'heat', hint: '1500 °F, 820 °C'),
            ...$isCollector ? [] : [
                self::choice('wet', 'What it meets outside', Wet::cases()),
                self::choice('room', 'Room to go through', Room::cases()),
            ],
            ...$isLast ? [self::choice('sound', 'Sound', Sound::cases())] : [],
            ...$purpose === Purpose::System ? [new Question('outlets', 'Outlets', 'count', most: 4)] : [],
            ...$isLast ? [new Question('catalyst', 'A catalyst stays or comes in', 'yes-no')] : [],
            new Question('budget', 'Budget', 'money', hint: 'without tax'),
        ];
    }

    /** @param  list<Ground|Load|Room|Scrolls|Sound|Wet>  $cases */
    private static function choice(string $key, string $label, array $cases): Question
    {
        $options = [];
        foreach ($cases as $case) {
            $options[$case->value] = $case->label();
        }

        return new Question($key, $label, 'choice', $options);
    }
}
