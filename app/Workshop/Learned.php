<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Learning\Evidence;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** What the newest of the shop's own log says of its rules, for whoever decides whether to go by it. */
final readonly class Learned
{
    private const MOST_CASES = 400;

    private const MOST_RELEASES = 20;

    /** Longer than this between two entries of one person something else was done. */
    private const MOST_MINUTES = 120;

    public function __construct(private KnownPlans $plans) {}

    /** @return array<string, Evidence> by rule */
    public function all(): array
    {
        $shipped = ShopRules::shipped();

        return [
            'weld.pace' => Evidence::of($this->paces(), $shipped->value('weld.pace')),
            'cost.fit_minutes' => Evidence::of(self::fitMinutes(), $shipped->value('cost.fit_minutes')),
        ];
    }

    /** @return list<float> time at a joint over its arc and stops as they were planned */
    private function paces(): array
    {
        $rows = DB::select(
            "select revision_id, step, (readings->>'seconds')::float as seconds from log_entries
                where kind in ('done', 'correct') and step like 'weld.%' and jsonb_exists(readings, 'seconds')
                order by position desc limit ".self::MOST_CASES,
        );
        $byRelease = [];
        foreach ($rows as $row) {
            /** @var object{revision_id: int, step: string, seconds: float} $row */
            $byRelease[$row->revision_id][$row->step] ??= $row->seconds;
        }
        $cases = [];
        $releases = Revision::query()->findMany(array_slice(array_keys($byRelease), 0, self::MOST_RELEASES));
        foreach ($releases as $release) {
            $planned = self::planned($this->plans->of($release)->steps);
            $pace = self::paceOf($release);
            foreach ($byRelease[$release->id] as $step => $seconds) {
                if (($planned[$step] ?? 0.0) > 0.0) {
                    $cases[] = $pace * $seconds / $planned[$step];
                }
            }
        }

        return $cases;
    }

    /** By which a release was planned: the shop's own when it was released, else the shipped one. */
    private static function paceOf(Revision $release): float
    {
        $own = is_array($release->shop['rules'] ?? null) ? $release->shop['rules']['weld.pace'] ?? null : null;

        return is_string($own) || is_numeric($own)
            ? Quantity::Ratio->parse((string) $own, UnitSystem::Metric)
            : ShopRules::shipped()->value('weld.pace');
    }

    /**
     * @param  list<BenchStep>  $steps
     * @return array<string, float> seconds at each joint, by step
     */
    private static function planned(array $steps): array
    {
        $planned = [];
        foreach ($steps as $step) {
            foreach ($step->measures as $measure) {
                if ($measure->name === 'seconds') {
                    $planned[$step->id] = $measure->planned ?? 0.0;
                }
            }
        }

        return $planned;
    }

    /** @return list<float> from one person's entry before to the tack they logged then */
    private static function fitMinutes(): array
    {
        $rows = DB::select(
            "select extract(epoch from made_at - before) / 60 as minutes from (
                select step, kind, made_at, lag(made_at) over (partition by user_id order by made_at) as before from (
                    select * from log_entries order by position desc limit 4000
                ) newest
            ) one where step like 'tack.%' and kind = 'done' and made_at > before
                and made_at - before < make_interval(mins => ?) limit ".self::MOST_CASES,
            [self::MOST_MINUTES],
        );

        $minutes = [];
        foreach ($rows as $row) {
            /** @var object{minutes: numeric-string|float} $row */
            $minutes[] = (float) $row->minutes;
        }

        return $minutes;
    }
}
