<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\CutAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CutProblemReader;
use UpsweptBead\Core\Exchange\Files\ProblemName;
use UpsweptBead\Core\Solve\Nest\Problem\Impossible;
use UpsweptBead\Core\Solve\Nest\Search\CutAnswer;
use UpsweptBead\Core\Solve\Nest\Search\CutSolver;
use UpsweptBead\Core\Solve\Nest\Search\CutStatus;

/** `bead cut --problem FILE`: answers a cut problem in the open format. */
#[AsCommand('cut', 'Splits runs into pieces and finds the stock for each')]
final class CutCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('problem', null, InputOption::VALUE_REQUIRED, 'A cut problem (docs/cut-problem.md)');
        SearchOptions::addTo($this, '2');
        $this->addOption('json', null, InputOption::VALUE_NONE, 'The answer in the open format');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getOption('problem');
        $search = SearchOptions::in($input);
        if (! is_string($file) || $search === null) {
            JobCommand::errors($output)->writeln(
                '--problem takes a file, --seconds a number from 0 to 3600, --seed a whole number.',
            );

            return JobCommand::UNUSABLE;
        }
        [$name, $answer] = self::answer($file, $search->seconds, $search->seed);
        if ($input->getOption('json') === true) {
            JobCommand::json($output, $answer instanceof CutAnswer
                ? CutAnswerWriter::toArray($name, $answer)
                : CutAnswerWriter::refused($name, $answer));
        } elseif ($answer instanceof CutAnswer) {
            self::table($output, $answer);
        } else {
            foreach ($answer as $one) {
                JobCommand::errors($output)->writeln("$one->field: $one->what", OutputInterface::OUTPUT_RAW);
            }
        }

        return $answer instanceof CutAnswer && $answer->status === CutStatus::Solved
            ? JobCommand::FINE
            : JobCommand::PROBLEMS;
    }

    /** @return array{string, CutAnswer|list<Refusal>} the name of the problem, and its answer or why it has none */
    private static function answer(string $file, float $seconds, int $seed): array
    {
        try {
            $json = Files::text($file);
            $problem = CutProblemReader::read($json);
        } catch (UnusableDocument $error) {
            return ['', [new Refusal($error->getMessage(), '')]];
        }
        if (is_array($problem)) {
            return [ProblemName::in($json), array_map(
                static fn (Fault $one): Refusal => new Refusal($one->message, $one->path),
                $problem,
            )];
        }
        $impossible = Impossible::in($problem);
        if ($impossible !== []) {
            return [$problem->name, $impossible];
        }
        $twins = Twins::of(
            static fn (int $seed): CutAnswer => (new CutSolver($problem, $seed, static fn (): float => hrtime(true) / 1e9))
                ->solve($seconds),
            $seed,
            static fn (CutAnswer $answer): bool => $answer->isProven(),
        );

        return [$problem->name, CutAnswer::best($twins->answers)];
    }

    private static function table(OutputInterface $output, CutAnswer $answer): void
    {
        if ($answer->status !== CutStatus::Solved) {
            $output->writeln('No plan of cuts was found; more time may find one.');

            return;
        }
        $output->writeln(sprintf(
            'Cost %.2f (no plan costs less than %s): %d joints, %d cuts.',
            $answer->cost,
            $answer->lowerBound === null ? 'an unknown sum' : sprintf('%.2f', $answer->lowerBound),
            $answer->joints,
            $answer->cuts,
        ));
        $table = (new Table($output))->setHeaders(['Run', 'From mm', 'To mm', 'Stock', 'Copy', 'At mm', 'Turned round']);
        foreach ($answer->pieces as $piece) {
            $table->addRow([
                $piece->run,
                sprintf('%.1f', $piece->fromMm),
                sprintf('%.1f', $piece->toMm),
                $piece->item,
                $piece->copy,
                sprintf('%.1f to %.1f', $piece->atMm, $piece->untilMm),
                $piece->reversed ? 'yes' : 'no',
            ]);
        }
        $table->render();
    }
}
