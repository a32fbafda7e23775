<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Exchange\Files\MergeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\MergeProblem;

/** `bead merge --problem FILE`: the cut lines, seams and marks of tubes that meet, in the open format. */
#[AsCommand('merge', 'Works out the cut lines of a collector, saddle, mitre, pie-cut bend or slip')]
final class MergeCommand extends ProblemCommand
{
    protected function page(): string
    {
        return 'docs/merge-problem.md';
    }

    protected function answer(string $file, InputInterface $input): array
    {
        $read = MergeFile::read($file);

        return $read->problem instanceof MergeProblem
            ? MergeAnswerWriter::toArray($read->problem)
            : MergeAnswerWriter::refused($read->case, $read->reasons);
    }
}
