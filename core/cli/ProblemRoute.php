<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Files\RouteSolutionWriter;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\RefusalText;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;

/** `bead route --problem FILE`: answers a route problem in the open format. */
final readonly class ProblemRoute
{
    /**
     * @return RouteProblem|list<Fault>
     *
     * @throws \UpsweptBead\Core\Base\Document\UnusableDocument
     */
    public static function read(string $file): RouteProblem|array
    {
        return RouteProblemReader::read(Files::text($file));
    }

    /** @return array<string, mixed> */
    public static function toArray(RouteProblem $problem, TwinSearch $search, float $seconds): array
    {
        return RouteSolutionWriter::toArray($problem, $search->answer) + [
            'seconds' => round($seconds, 4),
            'peak_mb' => round($search->peakBytes / 1e6, 1),
        ];
    }

    public static function table(OutputInterface $output, SetAnswer $answer): void
    {
        if ($answer->status === SetStatus::Solved) {
            $output->writeln(
                sprintf(
                    'Solved: objective %.2f, the first after %.2f s, this one after %.2f s.',
                    $answer->objective,
                    $answer->firstSeconds,
                    $answer->bestSeconds,
                ),
            );
            $table = (new Table($output))->setHeaders([
                'Tube',
                'Inlet',
                'Length mm',
                'Bends ° × radius mm',
                'Straights mm',
            ]);
            foreach ($answer->ways as $way) {
                $bends = array_map(
                    static fn (float $angle, float $radius): string => sprintf(
                        '%.1f × %.1f',
                        rad2deg($angle),
                        $radius,
                    ),
                    $way->angles,
                    $way->radii,
                );
                $table->addRow([
                    $way->span->port->id,
                    $way->span->inlet->id,
                    sprintf('%.1f', $way->length),
                    implode('  ', $bends),
                    implode('  ', array_map(static fn (float $mm): string => sprintf('%.1f', $mm), $way->straights)),
                ]);
            }
            $table->render();

            return;
        }
        $refusal = SetRefusal::of($answer);
        if ($refusal !== null) {
            $output->writeln(
                (new RefusalText(UnitSystem::Metric))->refusal($refusal),
                OutputInterface::OUTPUT_RAW,
            );
        }
    }
}
