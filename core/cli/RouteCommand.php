<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\RouteWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\RefusalText;
use UpsweptBead\Core\Solve\Route\RouteAnswer;
use UpsweptBead\Core\Solve\Route\RouteAnswers;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Stage\Plan\Planner;

#[AsCommand('route', 'Finds ways for the runs of a job that have no route yet')]
final class RouteCommand extends JobCommand
{
    private const SHOWN = 12;

    protected function configure(): void
    {
        parent::configure();
        $this->getDefinition()->setArguments([
            new InputArgument('file', InputArgument::OPTIONAL, 'A job file (docs/job-file.md)'),
        ]);
        $this->addOption('run', null, InputOption::VALUE_REQUIRED, 'Only this run, even if it has a route');
        $this->addOption(
            'problem',
            null,
            InputOption::VALUE_REQUIRED,
            'A route problem (docs/route-problem.md) instead of a job',
        );
        SearchOptions::addTo($this, '3');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = self::option($input->getOption('problem'));
        if ($file === null) {
            return parent::execute($input, $output);
        }
        $options = SearchOptions::in($input);
        if ($options === null) {
            self::errors($output)->writeln(SearchOptions::TAKES);

            return self::UNUSABLE;
        }
        try {
            $problem = ProblemRoute::read($file);
        } catch (UnusableDocument $error) {
            self::errors($output)->writeln($error->getMessage(), OutputInterface::OUTPUT_RAW);

            return self::UNUSABLE;
        }
        if (is_array($problem)) {
            foreach ($problem as $one) {
                self::errors($output)->writeln("$one->path: $one->message", OutputInterface::OUTPUT_RAW);
            }

            return self::PROBLEMS;
        }
        $began = hrtime(true);
        $search = TwinSearch::solve($problem, $options->seconds, $options->seed);
        if ($input->getOption('json') === true) {
            self::json($output, ProblemRoute::toArray($problem, $search, (hrtime(true) - $began) / 1e9));
        } else {
            ProblemRoute::table($output, $search->answer);
        }

        return $search->answer->status === SetStatus::Solved ? self::FINE : self::PROBLEMS;
    }

    protected function answer(Job $job, Shop $shop, InputInterface $input, OutputInterface $output): int
    {
        $only = self::option($input->getOption('run'));
        $runs = array_filter(
            $job->runs,
            static fn (RunSpec $run): bool => $only === null ? $run->route === null : $run->letter === $only,
        );
        if ($runs === []) {
            self::errors($output)->writeln(
                $only === null
                    ? 'Every run of this job has a route; name one with --run to look for others.'
                    : 'The job has no such run.',
            );

            return $only === null ? self::FINE : self::PROBLEMS;
        }
        $answers = [];
        foreach ($runs as $run) {
            try {
                $answers[$run->letter] = Planner::route($job, $run->letter, $shop);
            } catch (UnknownStock $error) {
                self::errors($output)->writeln("Run $run->letter: {$error->getMessage()}", OutputInterface::OUTPUT_RAW);

                return self::PROBLEMS;
            }
        }
        $writer = new RouteWriter(new FigureWriter($job->units));
        $texts = new RefusalText($job->units);
        if ($input->getOption('json') === true) {
            self::json(
                $output,
                array_map(static fn (RouteAnswers $found): array => $writer->answers($found, PHP_INT_MAX), $answers),
            );
        } else {
            foreach ($answers as $letter => $found) {
                self::table($output, $letter, $found, $job->units, array_map($texts->blocked(...), $found->blocked));
            }
        }

        return array_filter($answers, static fn (RouteAnswers $found): bool => $found->answers === []) === []
            ? self::FINE
            : self::PROBLEMS;
    }

    /** @param  list<string>  $blocked */
    private static function table(
        OutputInterface $output,
        string $letter,
        RouteAnswers $found,
        UnitSystem $units,
        array $blocked,
    ): void {
        if ($found->answers === []) {
            $output->writeln("Run $letter: no way with two bends from stock.");
            foreach ($blocked as $line) {
                $output->writeln("  $line", OutputInterface::OUTPUT_RAW);
            }

            return;
        }
        $output->writeln(
            sprintf(
                'Run %s: %d ways, the best %d.',
                $letter,
                count($found->answers),
                min(self::SHOWN, count($found->answers)),
            ),
        );
        $table = (new Table($output))->setHeaders([
            'Joints',
            'Off grid',
            'Length',
            'Straight · turn · bend × radius',
            'End straight',
        ]);
        foreach (array_slice($found->answers, 0, self::SHOWN) as $answer) {
            $table->addRow([
                $answer->joints,
                $answer->oddAngles,
                Quantity::Length->show($answer->lengthMm, $units),
                self::bends($answer, $units),
                Quantity::Length->show($answer->run->endStraightMm, $units),
            ]);
        }
        $table->render();
    }

    private static function bends(RouteAnswer $answer, UnitSystem $units): string
    {
        return implode("\n", array_map(static fn (Bend $bend): string => sprintf(
            '%s · %s · %s × %s',
            Quantity::Length->show($bend->straightMm, $units),
            Quantity::Angle->show($bend->rotationDeg, $units),
            Quantity::Angle->show($bend->angleDeg, $units),
            Quantity::Length->show($bend->clrMm, $units),
        ), $answer->run->bends));
    }
}
