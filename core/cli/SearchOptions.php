<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/** How long a search goes on for, and from which seed. */
final readonly class SearchOptions
{
    public const TAKES = '--seconds takes a number from 0 to 3600, --seed a whole number.';

    private function __construct(public float $seconds, public int $seed) {}

    /** @param  string  $seconds  if none are given */
    public static function addTo(Command $command, string $seconds): void
    {
        $command->addOption('seconds', null, InputOption::VALUE_REQUIRED, 'How long to look for better answers', $seconds);
        $command->addOption('seed', null, InputOption::VALUE_REQUIRED, 'The same seed does the same work', '1');
    }

    /** Null where one of them is not what it takes. */
    public static function in(InputInterface $input): ?self
    {
        $seconds = filter_var($input->getOption('seconds'), FILTER_VALIDATE_FLOAT, [
            'options' => ['min_range' => 0.0, 'max_range' => 3600.0],
        ]);
        $seed = filter_var($input->getOption('seed'), FILTER_VALIDATE_INT);

        return $seconds === false || $seed === false ? null : new self($seconds, $seed);
    }
}
