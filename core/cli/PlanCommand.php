<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpsweptBead\Core\Cut\CutMark;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Plan\Json\PlanWriter;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Plan\StockNeed;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\JointSheet;

#[AsCommand('plan', 'Prints the whole plan of a job: cut list, fit order, weld and purge sheets')]
final class PlanCommand extends JobCommand
{
    protected function answer(Job $job, Shop $shop, InputInterface $input, OutputInterface $output): int
    {
        $plan = Planner::plan($job, $shop);
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
        foreach ($plan->runs as $run) {
            if ($run->run !== null && $run->farEnd !== null) {
                $output->writeln(sprintf(
                    "\nRun %s  %s  length %s  mass %s  far end %s, %.2f°",
                    $run->spec->letter, $run->spec->tubeId, Quantity::Length->show($run->run->lengthMm(), $units),
                    Quantity::Mass->show($run->massKg(), $units), Quantity::Length->show($run->farEnd->gapMm, $units), $run->farEnd->angleDeg,
                ));
            }
            $this->pieces($run, $units, $output);
            self::table($output, ['Order', 'Joint', 'Brings', 'To', 'Why'], array_map(static fn (FitStep $step): array => [$step->order, $step->jointId, $step->brings, $step->to, wordwrap($step->why, 60)], $run->fitting));
            $this->sheets($run, $units, $output);
            self::table($output, ['Stock', 'Needed', 'On shelf', 'To buy'], array_map(static fn (StockNeed $need): array => [$need->stockId, $need->needed, $need->onShelf, $need->toBuy()], $run->stock));
        }
        if ($plan->steps !== []) {
            $output->writeln(sprintf('Argon: torch %s, purge %s', Quantity::Volume->show($plan->argon->torchL, $units), Quantity::Volume->show($plan->argon->purgeL, $units)));
        }
        foreach ($plan->notices as $notice) {
            $output->writeln("{$notice->severity->value} $notice->path: $notice->message", OutputInterface::OUTPUT_RAW);
        }
    }

    private function pieces(RunPlan $run, UnitSystem $units, OutputInterface $output): void
    {
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $units);
        self::table($output, ['Piece', 'Stock', 'Cut length', 'Bend', 'Legs', 'Turn', 'Marks outer / centre / inner'], array_map(static fn (Piece $piece): array => [
            $piece->mark,
            $piece->stockId,
            $show($piece->cutLengthMm()),
            $piece->isBend() ? Quantity::Angle->show($piece->angleDeg, $units) : '–',
            $piece->isBend() ? $show($piece->span->legBeforeMm).' / '.$show($piece->span->legAfterMm) : '–',
            $piece->clocking === null ? '–' : Quantity::Angle->show($piece->clocking->turnDeg, $units).' = '.$show($piece->clocking->aroundMm),
            implode("\n", array_map(static fn (CutMark $mark): string => $show($mark->outerMm).' / '.$show($mark->centreMm).' / '.$show($mark->innerMm), $piece->marks)),
        ], $run->pieces));
    }

    private function sheets(RunPlan $run, UnitSystem $units, OutputInterface $output): void
    {
        self::table($output, ['Weld', 'Joint', 'Type', 'Filler', 'Amps', 'Pedal', 'Torch', 'Post-flow', 'Heat', 'Purge', 'Vent', 'Cool'], array_map(static function (JointSheet $sheet) use ($units): array {
            $set = static fn (string $name): string => $sheet->settings[$name]->quantity->show($sheet->settings[$name]->value, $units);
            $purge = static fn (string $name): string => $sheet->purge->figures[$name]->quantity->show($sheet->purge->value($name), $units);

            return [$sheet->order, $sheet->joint->id, $sheet->joint->type->label(), $sheet->choices['filler']->value.(isset($sheet->settings['wire']) ? ' '.$set('wire') : ''), $set('amps'), $set('pedal'), '#'.$set('cup').' '.$set('flow'), $set('postflow'), $set('heat'), $purge('fill'), $purge('vent'), $set('cool')];
        }, $run->sheets));
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
