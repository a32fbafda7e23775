<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Document\Fault;
use UpsweptBead\Core\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\ProblemName;
use UpsweptBead\Core\Exchange\WeldRefusal;

/** Answers a file of one of the open weld formats. */
abstract class ProblemCommand extends Command
{
    /** The page that says what the format is. */
    abstract protected function page(): string;

    /**
     * @param  list<WeldRefusal>  $reasons
     * @return array<string, mixed>
     */
    abstract protected function refused(string $case, array $reasons): array;

    /**
     * @return array<string, mixed>|list<Fault> the answer, or what is wrong with the file
     *
     * @throws UnusableDocument
     */
    abstract protected function answered(string $json, InputInterface $input): array;

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

        return in_array($answer['status'] ?? '', ['solved', 'planned'], true) ? JobCommand::FINE : JobCommand::PROBLEMS;
    }

    /** @return array<string, mixed> */
    private function answer(string $file, InputInterface $input): array
    {
        $name = '';
        try {
            $json = Files::text($file);
            $name = ProblemName::in($json);
            $answer = $this->answered($json, $input);
        } catch (UnusableDocument $error) {
            return $this->refused($name, [new WeldRefusal($error->getMessage(), '')]);
        }
        $reasons = [];
        foreach ($answer as $one) {
            if ($one instanceof Fault) {
                $reasons[] = WeldRefusal::ofFault($one);
            }
        }

        return $reasons === [] ? array_combine(array_map(strval(...), array_keys($answer)), $answer) : $this->refused($name, $reasons);
    }
}
