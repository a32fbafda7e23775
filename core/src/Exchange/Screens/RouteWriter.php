<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\RefusalText;
use UpsweptBead\Core\Solve\Route\RouteAnswer;
use UpsweptBead\Core\Solve\Route\RouteAnswers;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Correction;
use UpsweptBead\Core\Solve\Run\CorrectionKind;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Segment;
use UpsweptBead\Core\Solve\Run\TubeRun;

/** Writes runs as they lie in space, far ends, and the router's answers. */
final readonly class RouteWriter
{
    public function __construct(private FigureWriter $figures) {}

    /** @return array<string, mixed> */
    public function run(TubeRun $run): array
    {
        return [
            'length' => $this->figures->length($run->lengthMm()),
            'turning' => $this->figures->plain(Quantity::Angle, $run->turningDeg()),
            'segments' => array_map(
                fn (Segment $one): array => $this->segment($one, $run->bends[$one->bendIndex ?? -1]->pieWelds ?? 0),
                $run->segments(),
            ),
            'bends' => array_map(fn (Bend $bend): array => [
                'straight' => $this->figures->length($bend->straightMm),
                'rotation' => $this->figures->plain(Quantity::Angle, $bend->rotationDeg),
                'angle' => $this->figures->plain(Quantity::Angle, $bend->angleDeg),
                'clr' => $this->figures->length($bend->clrMm),
                'pie' => $bend->pieWelds,
                'usualWelds' => $bend->usualWelds(),
            ], $run->bends),
            'endStraight' => $this->figures->length($run->endStraightMm),
            'end' => $this->frame($run->end()),
            'vertices' => self::vertices($run),
        ];
    }

    /** @return list<array{float, float, float}> one a bend; none at all where a half turn has no vertex */
    private static function vertices(TubeRun $run): array
    {
        try {
            return array_map(
                static fn (Vector $vertex): array => $vertex->toArray(),
                array_slice($run->toXyz(), 1, -1),
            );
        } catch (\DomainException) {
            return [];
        }
    }

    /** @return array<string, mixed> */
    public function farEnd(FarEnd $farEnd): array
    {
        return [
            'closed' => $farEnd->isClosed(),
            'gap' => $this->figures->length($farEnd->gapMm),
            'angle' => $this->figures->plain(Quantity::Angle, round($farEnd->angleDeg, 2)),
            'along' => $this->figures->length($farEnd->alongMm),
            'across' => $this->figures->length($farEnd->acrossMm),
            'best' => $farEnd->best === null ? null : $this->correction($farEnd->best),
        ];
    }

    /** Nobody reads through more; our own figure. */
    private const MOST_WAYS = 100;

    /** @return array<string, mixed> */
    public function answers(RouteAnswers $answers, int $most = self::MOST_WAYS): array
    {
        return [
            'found' => count($answers->answers),
            'answers' => array_map(
                fn (RouteAnswer $answer): array => $this->answer($answer, $answers),
                array_slice($answers->answers, 0, $most),
            ),
            'blocked' => array_map($this->blocked(...), $answers->blocked),
        ];
    }

    /** @return array{at: array<float>, forward: array<float>, reference: array<float>} */
    public function frame(Frame $frame): array
    {
        return [
            'at' => $frame->at->toArray(),
            'forward' => $frame->forward->toArray(),
            'reference' => $frame->reference->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private function answer(RouteAnswer $answer, RouteAnswers $among): array
    {
        return [
            'givesUp' => implode(', ', $answer->givesUp($among->answers)),
            'joints' => $answer->joints,
            'oddAngles' => $answer->oddAngles,
            'shelf' => self::shelf($answer),
            'run' => $this->run($answer->run),
            'route' => JobWriter::route(RouteChoice::of($answer->run)),
        ];
    }

    private static function shelf(RouteAnswer $answer): string
    {
        $buy = array_map(
            static fn (string $id, int $count): string => "$count × $id",
            array_keys($answer->toBuy),
            $answer->toBuy,
        );

        return $buy === [] ? 'all on the shelf' : 'to buy: '.implode(', ', $buy);
    }

    /** @return array<string, mixed> */
    private function blocked(Blocked $blocked): array
    {
        return [
            'constraint' => $blocked->constraint->value,
            'by' => $blocked->by,
            'alone' => $blocked->alone,
            'text' => (new RefusalText($this->figures->units))->blocked($blocked),
            'radii' => [
                $this->figures->length($blocked->firstClrMm)['text'],
                $this->figures->length($blocked->secondClrMm)['text'],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function correction(Correction $correction): array
    {
        $isTurn = $correction->kind === CorrectionKind::Turn;
        $amount = ($isTurn ? Quantity::Angle : Quantity::Length)->show(abs($correction->amount), $this->figures->units);
        $verb = match (true) {
            $isTurn => $correction->amount < 0 ? 'anticlockwise' : 'clockwise',
            default => $correction->amount < 0 ? 'shorter' : 'longer',
        };

        return [
            'kind' => $correction->kind->value,
            'index' => $correction->index,
            'amount' => $correction->amount,
            'text' => $isTurn
                ? sprintf('Turn bend %d %s %s with the flow', $correction->index + 1, $amount, $verb)
                : sprintf('Make straight %d %s %s', $correction->index + 1, $amount, $verb),
            'leaves' => sprintf(
                'leaves %s and %.2f°',
                $this->figures->length($correction->leaves->gapMm)['text'],
                $correction->leaves->angleDeg,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function segment(Segment $segment, int $pieWelds): array
    {
        return [
            'bend' => $segment->bendIndex,
            'from' => $segment->fromMm,
            'length' => $segment->lengthMm,
            'clr' => $segment->clrMm,
            'angle' => $segment->angleDeg,
            'pie' => $pieWelds,
            'start' => $this->frame($segment->start),
        ];
    }
}
