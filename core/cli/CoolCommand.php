<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Exchange\Files\CoolAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CoolProblem;
use UpsweptBead\Core\Exchange\Files\CoolProblemReader;

/** `bead cool --problem FILE`: how a seam cools, and what is warm beside it, in the open format. */
#[AsCommand('cool', 'Works out how a seam round a tube cools')]
final class CoolCommand extends WeldProblemCommand
{
    protected function page(): string
    {
        return 'docs/cool-problem.md';
    }

    protected function refused(string $case, array $reasons): array
    {
        return CoolAnswerWriter::refused($case, $reasons);
    }

    protected function answered(string $json, InputInterface $input): array
    {
        $read = CoolProblemReader::read($json);

        return $read instanceof CoolProblem ? CoolAnswerWriter::toArray($read) : $read;
    }
}
