<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\CollectorShape;
use UpsweptBead\Core\Stage\Merge\CollectorSizes;

/** The tubes of a collector as pieces to cut: square at the mouth, to a template where they meet. */
final readonly class CollectorPieces
{
    private function __construct(
        private BuiltCollector $collector,
        private CollectorShape $shape,
        private Job $job,
        private Shop $shop,
    ) {}

    /** @return list<Piece> none where it is bought or cannot be made */
    public static function of(BuiltCollector $collector, Job $job, Shop $shop): array
    {
        $shape = $collector->shape;
        if ($shape === null) {
            return [];
        }
        $maker = new self($collector, $shape, $job, $shop);

        return array_map($maker->piece(...), range(0, $collector->build->inlets - 1));
    }

    private function piece(int $inlet): Piece
    {
        $mark = $this->collector->mark($inlet);
        $tube = $this->collector->tube();
        $bend = $this->shape->bend;
        $span = $this->span();
        $longestMm = $span->lengthMm();
        $densityKgM3 = $this->shop->catalogue->metal($this->job->metal)->densityKgM3;
        $angleMm = $longestMm - $span->legBeforeMm - $span->legAfterMm;

        return new Piece(
            $mark,
            $this->collector->build->letter,
            $span,
            $span->donor->id ?? $tube->id,
            $bend === null ? 0.0 : rad2deg($angleMm / $bend->clrMm),
            $bend->clrMm ?? 0.0,
            $this->collector->sizes->isButted ? EndPrep::forButt($tube->wallMm) : EndPrep::Square,
            EndPrep::forTemplate($tube->wallMm),
            $this->allowances($mark, $longestMm),
            $tube->metalAreaMm2() * $this->shape->meanMm * $densityKgM3 * 1e-9,
            null,
        );
    }

    /** From the mouth to the furthest point of its cut. */
    private function span(): PieceSpan
    {
        $longestMm = $this->shape->line->greatestMm();
        $bend = $this->shape->bend;
        if ($bend === null) {
            return new PieceSpan(0.0, $longestMm, null, null);
        }

        return new PieceSpan(
            0.0,
            $longestMm,
            0,
            $this->collector->sizes->bend,
            min($bend->inletLegMm, $longestMm),
            max(0.0, $longestMm - $bend->tangentMm()),
        );
    }

    private function allowances(string $mark, float $longestMm): Allowances
    {
        $isQuarters = $this->collector->build->make === CollectorMake::Quarters;
        $longMm = $isQuarters ? CollectorSizes::blankMm($longestMm) - $longestMm : 0.0;
        $none = fn (string $name, string $label, string $why): Figure => $this->figure(
            $mark,
            $name,
            $label,
            0.0,
            new Reason($why, [], Source::geometry()),
        );

        return new Allowances(
            $this->figure($mark, 'trim', 'Left long', $longMm, new Reason(
                $isQuarters
                    ? 'A blank of an even length; both lengthwise cuts are made in it.'
                    : 'Nothing is left long: it is sawn rough beside the scored line and ground to it.',
                [Input::of('To the furthest point of its cut', Quantity::Length, $longestMm)],
                Source::trade(),
                'A straight end on the piece, if your saw needs one.',
            )),
            $none('shrink', 'Weld shrink allowance', 'What welding pulls the inlets in by is in the line of the cut already.'),
            $none('slip', 'Slip depth', 'Tubes go into it, not it into a part.'),
            0.0,
        );
    }

    private function figure(string $mark, string $name, string $label, float $mm, Reason $why): Figure
    {
        return $this->job->overrides->on(Figure::of("cut.$mark.$name", $label, Quantity::Length, $mm, $why));
    }
}
