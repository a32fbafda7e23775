<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\ProblemName;
use UpsweptBead\Core\Exchange\Files\SurveyAnswerWriter;
use UpsweptBead\Core\Exchange\Files\SurveyProblemReader;
use UpsweptBead\Core\Exchange\Files\SurveyRefusals;

/** `bead survey --problem FILE`: readings at the car become places and directions, each with how sure it is. */
#[AsCommand('survey', 'Adjusts readings taken at the car, and says how sure each place is')]
final class SurveyCommand extends ProblemCommand
{
    protected function page(): string
    {
        return 'docs/survey-problem.md';
    }

    protected function answer(string $file, InputInterface $input): array
    {
        $refusals = new SurveyRefusals;
        try {
            $json = Files::text($file);
        } catch (UnusableDocument) {
            $refusals->add('invalid', 'file');

            return SurveyAnswerWriter::refused('', $refusals->all());
        }
        $problem = SurveyProblemReader::read($json, $refusals);

        return $problem === null
            ? SurveyAnswerWriter::refused(ProblemName::in($json), $refusals->all())
            : SurveyAnswerWriter::answer($problem);
    }
}
