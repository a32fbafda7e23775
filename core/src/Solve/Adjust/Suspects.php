<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** Readings that do not agree, the worst first, and what is left without them. */
final readonly class Suspects
{
    /** A reading beyond this is suspect: three standard deviations, common practice. */
    private const BEYOND = 3.0;

    /** Within this share of the worst nothing tells them apart. */
    private const ALIKE = 0.001;

    /**
     * @param  list<Suspect>  $all
     * @param  Adjustment|null  $without  with those left out that stood alone; null where none did
     */
    private function __construct(public array $all, public ?Adjustment $without) {}

    /** @param  int  $most  so many are looked for; each costs an adjustment of its own */
    public static function of(Adjustment $adjustment, int $most = PHP_INT_MAX): self
    {
        [$now, $all, $out] = [$adjustment, [], []];
        while (count($all) < $most) {
            $suspect = self::worst($now);
            if ($suspect === null) {
                break;
            }
            $all[] = $suspect;
            if (count($suspect->candidates) > 1) {
                break;
            }
            $sheet = $adjustment->sheet;
            $fit = Fit::from($now->estimate, $sheet->observations([...$out, $suspect->id]), $sheet->unknowns);
            $next = Adjustment::of($sheet, $fit);
            if ($next === null) {
                break;
            }
            $out[] = $suspect->id;
            $now = $next;
        }

        return new self($all, $out === [] ? null : $now);
    }

    private static function worst(Adjustment $now): ?Suspect
    {
        [$most, $worst, $w] = [0.0, '', 0.0];
        foreach ($now->residuals as $one) {
            if ($one['w'] !== null && abs($one['w']) > $most) {
                [$most, $worst, $w] = [abs($one['w']), $one['id'], $one['w']];
            }
        }
        if ($most <= self::BEYOND) {
            return null;
        }
        $candidates = array_filter(
            $now->residuals,
            static fn (array $one): bool => $one['w'] !== null && abs($one['w']) >= $most * (1 - self::ALIKE),
        );

        return new Suspect($worst, $w, array_column($candidates, 'id'));
    }
}
