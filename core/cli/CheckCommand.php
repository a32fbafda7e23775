<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Plan\Planner;

#[AsCommand('check', 'Says what is wrong with a job, each thing at its place')]
final class CheckCommand extends JobCommand
{
    protected function answer(Job $job, Shop $shop, InputInterface $input, OutputInterface $output): int
    {
        $plan = Planner::plan($job, $shop);
        if ($input->getOption('json') === true) {
            self::json($output, array_map(static fn (Notice $notice): array => [
                'severity' => $notice->severity->value, 'path' => $notice->path, 'message' => $notice->message,
            ], $plan->notices()));
        } else {
            foreach ($plan->notices() as $notice) {
                $output->writeln(
                    "{$notice->severity->value} $notice->path: $notice->message",
                    OutputInterface::OUTPUT_RAW,
                );
            }
            if ($plan->notices() === []) {
                $output->writeln('Nothing wrong with this job.');
            }
        }

        return $plan->problems() === [] ? self::FINE : self::PROBLEMS;
    }
}
