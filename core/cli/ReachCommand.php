<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Exchange\Files\ReachAnswerWriter;
use UpsweptBead\Core\Exchange\Files\ReachProblem;
use UpsweptBead\Core\Exchange\Files\ReachProblemReader;

/** `bead reach --problem FILE`: which arcs of a seam each cup gets to, in the open format. */
#[AsCommand('reach', 'Finds where round a seam a torch and a filler rod get to, with each cup')]
final class ReachCommand extends WeldProblemCommand
{
    protected function page(): string
    {
        return 'docs/reach-problem.md';
    }

    protected function refused(string $case, array $reasons): array
    {
        return ReachAnswerWriter::refused($case, $reasons);
    }

    protected function answered(string $json, InputInterface $input): array
    {
        $read = ReachProblemReader::read($json);

        return $read instanceof ReachProblem ? ReachAnswerWriter::toArray($read) : $read;
    }
}
