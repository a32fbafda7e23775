<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\ProblemName;
use UpsweptBead\Core\Exchange\ReachAnswerWriter;
use UpsweptBead\Core\Exchange\ReachProblem;
use UpsweptBead\Core\Exchange\ReachProblemReader;
use UpsweptBead\Core\Exchange\WeldRefusal;

/** `bead reach --problem FILE`: which arcs of a seam each cup gets to, in the open format. */
#[AsCommand('reach', 'Finds where round a seam a torch and a filler rod get to, with each cup')]
final class ReachCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('problem', null, InputOption::VALUE_REQUIRED, 'A reach problem (docs/reach-problem.md)');
        $this->addOption('json', null, InputOption::VALUE_NONE, 'The answer in the open format, the only one there is');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getOption('problem');
        if (! is_string($file)) {
            JobCommand::errors($output)->writeln('--problem takes a file.');

            return JobCommand::UNUSABLE;
        }
        $answer = self::answer($file);
        JobCommand::json($output, $answer);

        return $answer['status'] === 'solved' ? JobCommand::FINE : JobCommand::PROBLEMS;
    }

    /** @return array<string, mixed> */
    private static function answer(string $file): array
    {
        $name = '';
        try {
            $json = Files::text($file);
            $name = ProblemName::in($json);
            $read = ReachProblemReader::read($json);
        } catch (UnusableDocument $error) {
            return ReachAnswerWriter::refused($name, [new WeldRefusal($error->getMessage(), '')]);
        }

        return $read instanceof ReachProblem
            ? ReachAnswerWriter::toArray($read)
            : ReachAnswerWriter::refused($name, array_map(WeldRefusal::ofFault(...), $read));
    }
}
