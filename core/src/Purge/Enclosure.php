<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Shop\Memo;
use UpsweptBead\Core\Stock\TubeSize;

/** What is closed off and filled for the joints of a run or of a collector: its tube, its volume in L, its pose, its length. */
final readonly class Enclosure
{
    private function __construct(
        public TubeSize $tube,
        public float $volumeL,
        public PurgePose $pose,
        public float $lengthMm,
    ) {}

    public static function ofRun(RoutedRun $routed, Memo $memo): self
    {
        $key = 'pose-'.hash('xxh128', serialize([$routed->run, $routed->tube->idMm()]));
        $pose = $memo->recall([$key])[$key] ?? null;
        if (! $pose instanceof PurgePose) {
            $pose = PurgePose::of($routed->run, $routed->tube->idMm());
            $memo->keep([$key => $pose]);
        }

        return new self(
            $routed->tube,
            $routed->tube->boreAreaMm2() * $routed->run->lengthMm() * 1e-6,
            $pose,
            $routed->run->lengthMm(),
        );
    }

    /** A collector stands on its inlets, which are dammed, with its outlet up. */
    public static function ofCollector(BuiltCollector $collector): self
    {
        return new self($collector->tube(), $collector->volumeL(), PurgePose::onItsInlets(), $collector->lengthMm());
    }
}
