<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Exchange\Files\Template\Paper;
use UpsweptBead\Core\Exchange\Files\Template\ProblemTemplate;
use UpsweptBead\Core\Exchange\Files\Template\TemplateFormat;

/**
 * `bead template --problem FILE --tube ID`: the wrap template of one tube at 1:1. Where there is none, nothing is
 * written.
 */
#[AsCommand('template', 'Writes the wrap template of a tube of a merge problem')]
final class TemplateCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('problem', null, InputOption::VALUE_REQUIRED, 'A merge problem (docs/merge-problem.md)');
        $this->addOption('tube', null, InputOption::VALUE_REQUIRED, 'Which of its tubes; branch or main of a saddle');
        $this->addOption('format', null, InputOption::VALUE_REQUIRED, 'svg, dxf or pdf', 'svg');
        $this->addOption('paper', null, InputOption::VALUE_REQUIRED, 'a4 or letter: a PDF in tiles instead of one page');
        $this->addOption('output', null, InputOption::VALUE_REQUIRED, 'The file to write');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = JobCommand::errors($output);
        $format = $input->getOption('format');
        [$file, $tube, $to] = [$input->getOption('problem'), $input->getOption('tube'), $input->getOption('output')];
        $format = is_string($format) ? TemplateFormat::tryFrom($format) : null;
        $paper = $input->getOption('paper');
        $tiles = is_string($paper) ? Paper::tryFrom($paper) : null;
        if ($paper !== null && ($tiles === null || $format !== TemplateFormat::Pdf)) {
            $errors->writeln('--paper is a4 or letter, and for a PDF only.');

            return JobCommand::UNUSABLE;
        }
        if (! is_string($file) || ! is_string($tube) || ! is_string($to) || $format === null) {
            $errors->writeln('--problem takes a file, --tube a name, --format svg, dxf or pdf, --output a file to write.');

            return JobCommand::UNUSABLE;
        }
        $read = MergeFile::read($file);
        if ($read->problem === null) {
            array_map(static fn (string $line) => $errors->writeln($line, OutputInterface::OUTPUT_RAW), $read->said);

            return JobCommand::PROBLEMS;
        }
        $template = ProblemTemplate::of($read->problem, $tube);
        if (is_string($template)) {
            $errors->writeln($template, OutputInterface::OUTPUT_RAW);

            return JobCommand::PROBLEMS;
        }
        if (@file_put_contents($to, $format->write($template, $tiles)) === false) {
            $errors->writeln("$to cannot be written.", OutputInterface::OUTPUT_RAW);

            return JobCommand::UNUSABLE;
        }

        return JobCommand::FINE;
    }
}
