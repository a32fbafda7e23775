<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Exchange\MergeAnswerWriter;
use UpsweptBead\Core\Exchange\MergeProblem;

/** `bead merge --problem FILE`: the cut lines, seams and marks of tubes that meet, in the open format. */
#[AsCommand('merge', 'Works out the cut lines of a collector, saddle, mitre, pie-cut bend or slip')]
final class MergeCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('problem', null, InputOption::VALUE_REQUIRED, 'A merge problem (docs/merge-problem.md)');
        $this->addOption('json', null, InputOption::VALUE_NONE, 'The answer in the open format, the only one there is');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getOption('problem');
        if (! is_string($file)) {
            JobCommand::errors($output)->writeln('--problem takes a file.');

            return JobCommand::UNUSABLE;
        }
        $read = MergeFile::read($file);
        JobCommand::json($output, $read->problem instanceof MergeProblem
            ? MergeAnswerWriter::toArray($read->problem)
            : MergeAnswerWriter::refused($read->case, $read->reasons));

        return $read->problem instanceof MergeProblem ? JobCommand::FINE : JobCommand::PROBLEMS;
    }
}
