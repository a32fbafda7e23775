<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use LogicException;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Exchange\Files\ScheduleAnswerWriter;
use UpsweptBead\Core\Exchange\Files\ScheduleProblem;
use UpsweptBead\Core\Exchange\Files\ScheduleProblemReader;
use UpsweptBead\Core\Solve\Timing\TimetableAnswer;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;

/** `bead schedule --problem FILE`: in which order one welder is done soonest, in the open format. */
#[AsCommand('schedule', 'Finds in which order one welder is done soonest')]
final class ScheduleCommand extends WeldProblemCommand
{
    protected function configure(): void
    {
        parent::configure();
        SearchOptions::addTo($this, '2');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (SearchOptions::in($input) === null) {
            JobCommand::errors($output)->writeln(SearchOptions::TAKES);

            return JobCommand::UNUSABLE;
        }

        return parent::execute($input, $output);
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
        $search = SearchOptions::in($input) ?? throw new LogicException('looked at before');
        $twins = Twins::of(
            static fn (int $seed): TimetableAnswer => (new TimetableSolver(
                $problem->work,
                $seed,
                static fn (): float => hrtime(true) / 1e9,
            ))->solve($search->seconds),
            $search->seed,
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
