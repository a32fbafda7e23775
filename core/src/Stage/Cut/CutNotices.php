<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;

/** What of the pieces cannot be cut, held or welded as it is. */
final readonly class CutNotices
{
    /** Two joints no nearer to each other than this many walls, common practice: the heat of one spoils the other. */
    public const WALLS_BETWEEN = 5;

    /** @param  array<string, string>  $paths  places in the job document, by the letter of the run or collector */
    private function __construct(private array $paths) {}

    /**
     * @param  list<RoutedRun>  $runs
     * @param  list<BuiltCollector>  $collectors
     * @param  array<string, list<Piece>>  $pieces  by the letter of the run or collector
     * @param  list<Nesting>  $nestings
     * @return list<Notice>
     */
    public static function of(array $runs, array $collectors, array $pieces, array $nestings): array
    {
        $paths = [];
        foreach ($runs as $routed) {
            $paths[$routed->spec->letter] = $routed->path;
        }
        foreach ($collectors as $collector) {
            $paths[$collector->build->letter] = $collector->path;
        }
        $self = new self($paths);
        $notices = [];
        foreach ($nestings as $nesting) {
            array_push($notices, ...$self->stock($nesting));
        }
        foreach ($runs as $routed) {
            array_push($notices, ...$self->run($routed, $pieces[$routed->spec->letter] ?? []));
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function stock(Nesting $nesting): array
    {
        $notices = [];
        foreach ($nesting->without as $piece) {
            $notices[] = Notice::problem(
                $this->path($piece, 'route'),
                $piece->isBend()
                    ? "Piece $piece->mark is longer, as cut, than any bend it could come from. Cut it less long, or choose other stock."
                    : "Piece $piece->mark is longer than the tube comes; it needs a joint or longer stock.",
            );
        }
        foreach ($nesting->unheld as $piece) {
            $notices[] = Notice::caution(
                $this->path($piece, 'route'),
                "Neither piece $piece->mark nor what is left of its stock is long enough for the saw to hold. Cut it from a longer bend, or by hand with a guide.",
            );
        }

        return $notices;
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Notice>
     */
    private function run(RoutedRun $routed, array $pieces): array
    {
        $notices = [];
        foreach ($pieces as $piece) {
            if (count($pieces) > 1 && $piece->span->lengthMm() < self::WALLS_BETWEEN * $routed->tube->wallMm) {
                $notices[] = Notice::caution(
                    $this->path($piece, 'route'),
                    "The joints at both ends of piece $piece->mark are nearer to each other than five walls. Move one, or join it to its neighbour.",
                );
            }
        }
        $last = $pieces[count($pieces) - 1] ?? null;
        if ($last !== null && $last->allowances->slip->value > 0.0 && $last->endsInBend()) {
            $notices[] = Notice::caution(
                $this->path($last, 'route.endStraight'),
                "Piece $last->mark ends in its bend, so nothing straight goes into the inlet. Keep a straight end on the run.",
            );
        }

        return $notices;
    }

    private function path(Piece $piece, string $field): string
    {
        return ($this->paths[$piece->run] ?? '').".$field";
    }
}
