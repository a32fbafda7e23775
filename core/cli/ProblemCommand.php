<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Answers a file of one of the open formats that have an answer in JSON alone. */
abstract class ProblemCommand extends Command
{
    /** The page that says what the format is. */
    abstract protected function page(): string;

    /** @return array<string, mixed> the answer to a file, or why it has none */
    abstract protected function answer(string $file, InputInterface $input): array;

    protected function configure(): void
    {
        $this->addOption('problem', null, InputOption::VALUE_REQUIRED, "A problem ({$this->page()})");
        $this->addOption('json', null, InputOption::VALUE_NONE, 'The answer in the open format, the only one there is');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getOption('problem');
        if (! is_string($file)) {
            JobCommand::errors($output)->writeln('--problem takes a file.');

            return JobCommand::UNUSABLE;
        }
        $answer = $this->answer($file, $input);
        JobCommand::json($output, $answer);

        return in_array($answer['status'] ?? '', ['solved', 'planned', 'adjusted', 'ambiguous'], true) ? JobCommand::FINE : JobCommand::PROBLEMS;
    }
}
