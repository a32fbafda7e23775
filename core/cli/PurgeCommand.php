<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Exchange\Files\ProblemName;
use UpsweptBead\Core\Exchange\Files\PurgeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\PurgeProblem;
use UpsweptBead\Core\Exchange\Files\PurgeProblemReader;

/** `bead purge --problem FILE`: where to feed and vent an assembly, and how to hold it, in the open format. */
#[AsCommand('purge', 'Finds where to feed and vent an assembly, how to hold it, and what argon it takes')]
final class PurgeCommand extends WeldProblemCommand
{
    protected function page(): string
    {
        return 'docs/purge-problem.md';
    }

    protected function refused(string $case, array $reasons): array
    {
        return PurgeAnswerWriter::refused($case, $reasons);
    }

    protected function answered(string $json, InputInterface $input): array
    {
        $read = PurgeProblemReader::read($json);

        return $read instanceof PurgeProblem
            ? PurgeAnswerWriter::toArray($read)
            : PurgeAnswerWriter::refused(ProblemName::in($json), $read);
    }
}
