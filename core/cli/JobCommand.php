<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What every command on a job file shares: reading it, and saying what is wrong with it. Exit codes: 0, 1, 2. */
abstract class JobCommand extends Command
{
    public const FINE = 0;

    public const PROBLEMS = 1;

    public const UNUSABLE = 2;

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A job file (docs/job-file.md)');
        $this->addOption('shop', null, InputOption::VALUE_REQUIRED, 'A shop file: rules, shelf, bottles');
        $this->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON instead of tables');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $reading = Files::job(self::option($input->getArgument('file')) ?? '');
            $shop = Files::shop(self::option($input->getOption('shop')));
        } catch (UnusableDocument $error) {
            self::errors($output)->writeln($error->getMessage(), OutputInterface::OUTPUT_RAW);

            return self::UNUSABLE;
        }
        if ($reading->job === null) {
            foreach ($reading->faults as $fault) {
                self::errors($output)->writeln("$fault->path: $fault->message", OutputInterface::OUTPUT_RAW);
            }

            return self::PROBLEMS;
        }

        return $this->answer(
            $reading->job,
            $shop->withMeshes(new FolderMeshes(dirname(self::option($input->getArgument('file')) ?? '.'))),
            $input,
            $output,
        );
    }

    abstract protected function answer(Job $job, Shop $shop, InputInterface $input, OutputInterface $output): int;

    /** @param  array<mixed>  $value */
    public static function json(OutputInterface $output, array $value): void
    {
        $output->writeln(
            json_encode(
                $value,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            ),
            OutputInterface::OUTPUT_RAW,
        );
    }

    protected static function option(mixed $value): ?string
    {
        return is_string($value) ? $value : null;
    }

    public static function errors(OutputInterface $output): OutputInterface
    {
        return $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
    }
}
