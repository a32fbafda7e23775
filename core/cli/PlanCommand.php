<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\StockNeed;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\Slot;

#[AsCommand('plan', 'Prints the whole plan of a job: cut list, fit order, weld and purge sheets')]
final class PlanCommand extends JobCommand
{
    protected function answer(Job $job, Shop $shop, InputInterface $input, OutputInterface $output): int
    {
        $plan = Planner::planInFull($job, $shop);
        if ($input->getOption('json') === true) {
            self::json($output, PlanWriter::toArray($plan));
        } else {
            $this->tables($plan, $output);
        }

        return $plan->problems() === [] ? self::FINE : self::PROBLEMS;
    }

    private function tables(Plan $plan, OutputInterface $output): void
    {
        $units = $plan->job->units;
        $output->writeln("{$plan->job->number}  {$plan->job->title}", OutputInterface::OUTPUT_RAW);
        foreach ($plan->layout->runs as $routed) {
            $letter = $routed->spec->letter;
            $output->writeln(sprintf(
                "\nRun %s  %s  length %s  mass %s  far end %s, %.2f°",
                $letter,
                $routed->spec->tubeId,
                Quantity::Length->show($routed->run->lengthMm(), $units),
                Quantity::Mass->show($plan->cut->massKg($letter), $units),
                Quantity::Length->show($routed->farEnd->gapMm, $units),
                $routed->farEnd->angleDeg,
            ));
            $this->pieces($plan->cut->piecesOf($letter), $units, $output);
        }
        self::table(
            $output,
            ['Stock', 'Needed', 'On shelf', 'To buy'],
            array_map(
                static fn (StockNeed $need): array => [$need->stockId, $need->needed, $need->onShelf, $need->toBuy()],
                $plan->cut->stock,
            ),
        );
        self::table(
            $output,
            ['Order', 'Task', 'Why'],
            array_map(
                static fn (int $i, Task $task): array => [$i + 1, $task->title, wordwrap($task->why, 60)],
                array_keys($plan->fit->build->tasks),
                $plan->fit->build->tasks,
            ),
        );
        $this->sheets($plan, $units, $output);
        if ($plan->steps !== []) {
            $output->writeln(sprintf(
                'Argon: torch %s, purge %s. At the torch: %s, of that %s of waiting.',
                Quantity::Volume->show($plan->weld->argon->torchL, $units),
                Quantity::Volume->show($plan->weld->argon->purgeL, $units),
                Quantity::Duration->show($plan->schedule->totalS, $units),
                Quantity::Duration->show($plan->schedule->waitingS(), $units),
            ));
        }
        foreach ($plan->notices() as $notice) {
            $output->writeln("{$notice->severity->value} $notice->path: $notice->message", OutputInterface::OUTPUT_RAW);
        }
    }

    /** @param  list<Piece>  $pieces */
    private function pieces(array $pieces, UnitSystem $units, OutputInterface $output): void
    {
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $units);
        self::table(
            $output,
            ['Piece', 'Stock', 'Cut length', 'Bend', 'Legs', 'Turn', 'Marks outer / centre / inner'],
            array_map(
                static fn (Piece $piece): array => [
                    $piece->mark,
                    $piece->stockId,
                    $show($piece->cutLengthMm()),
                    $piece->isBend() ? Quantity::Angle->show($piece->angleDeg, $units) : '–',
                    $piece->isBend()
                        ? $show($piece->span->legBeforeMm).' / '.$show($piece->span->legAfterMm)
                        : '–',
                    $piece->clocking === null
                        ? '–'
                        : Quantity::Angle->show($piece->clocking->turnDeg, $units).
                            ' = '.
                            $show($piece->clocking->aroundMm),
                    implode(
                        "\n",
                        array_map(
                            static fn (CutMark $mark): string => $show($mark->outerMm).
                                ' / '.
                                $show($mark->centreMm).
                                ' / '.
                                $show($mark->innerMm),
                            $piece->marks,
                        ),
                    ),
                ],
                $pieces,
            ),
        );
    }

    private function sheets(Plan $plan, UnitSystem $units, OutputInterface $output): void
    {
        $headers = [
            'Weld',
            'Joint',
            'Type',
            'When',
            'Filler',
            'Amps',
            'Pedal',
            'Torch',
            'Post-flow',
            'Heat',
            'Purge',
            'Vent',
            'Cool',
        ];
        self::table(
            $output,
            $headers,
            array_map(static function (Slot $slot) use ($plan, $units): array {
                $sheet = $plan->weld->sheets[$slot->joint->id];
                $text = static fn (Figure $figure): string => $figure->quantity->show($figure->value, $units);
                $set = static fn (string $name): string => isset($sheet->settings[$name])
                    ? $text($sheet->settings[$name])
                    : '';
                $purge = static fn (string $name): string => $text($sheet->purge->figures[$name]);

                return [
                    $slot->order,
                    $slot->joint->id,
                    $slot->joint->type->label(),
                    $slot->phase->label(),
                    trim($sheet->choices['filler']->value.' '.$set('wire')),
                    $set('amps'),
                    $set('pedal'),
                    '#'.$set('cup').' '.$set('flow'),
                    $set('postflow'),
                    $set('heat'),
                    $purge('fill'),
                    $purge('vent'),
                    $set('cool'),
                ];
            }, $plan->schedule->slots),
        );
    }

    /**
     * @param  list<string>  $headers
     * @param  list<list<string|int>>  $rows
     */
    private static function table(OutputInterface $output, array $headers, array $rows): void
    {
        if ($rows !== []) {
            (new Table($output))->setHeaders($headers)->setRows($rows)->render();
        }
    }
}
