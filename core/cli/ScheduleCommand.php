<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use UpsweptBead\Core\Exchange\ScheduleAnswerWriter;
use UpsweptBead\Core\Exchange\ScheduleProblem;
use UpsweptBead\Core\Exchange\ScheduleProblemReader;
use UpsweptBead\Core\Timing\TimetableAnswer;
use UpsweptBead\Core\Timing\TimetableSolver;

/** `bead schedule --problem FILE`: in which order one welder is done soonest, in the open format. */
#[AsCommand('schedule', 'Finds in which order one welder is done soonest')]
final class ScheduleCommand extends ProblemCommand
{
    private const MOST_S = 3600.0;

    protected function configure(): void
    {
        parent::configure();
        $this->addOption('seconds', null, InputOption::VALUE_REQUIRED, 'How long to look for better orders', '2');
        $this->addOption('seed', null, InputOption::VALUE_REQUIRED, 'The same seed does the same work', '1');
    }

    protected function page(): string
    {
        return 'docs/schedule-problem.md';
    }

    protected function refused(string $case, array $reasons): array
    {
        return ScheduleAnswerWriter::refused($case, $reasons);
    }

    protected function answered(string $json, InputInterface $input): array
    {
        $problem = ScheduleProblemReader::read($json);
        if (! $problem instanceof ScheduleProblem) {
            return $problem;
        }
        $impossible = ScheduleAnswerWriter::impossible($problem->work);
        if ($impossible !== []) {
            return ScheduleAnswerWriter::refused($problem->name, $impossible);
        }
        $seconds = filter_var($input->getOption('seconds'), FILTER_VALIDATE_FLOAT);
        $seconds = min(self::MOST_S, max(0.0, is_float($seconds) ? $seconds : 2.0));
        $seed = filter_var($input->getOption('seed'), FILTER_VALIDATE_INT);
        $twins = Twins::of(
            static fn (int $seed): TimetableAnswer => (new TimetableSolver(
                $problem->work,
                $seed,
                static fn (): float => hrtime(true) / 1e9,
            ))->solve($seconds),
            is_int($seed) ? $seed : 1,
            static fn (TimetableAnswer $answer): bool => $answer->isBest || $answer->late !== null,
        );

        return ScheduleAnswerWriter::toArray($problem, self::best($twins->answers));
    }

    /** @param  list<TimetableAnswer>  $answers */
    private static function best(array $answers): TimetableAnswer
    {
        $best = new TimetableAnswer(null, false, null);
        foreach ($answers as $one) {
            $isBetter = $one->timetable !== null && $one->timetable->isBetterThan($best->timetable);
            $best = $one->late !== null || $isBetter ? $one : $best;
        }

        return $best;
    }
}
