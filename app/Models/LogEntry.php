<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * One entry of a job's log, with an id its maker gave it. Never changed, never deleted.
 *
 * @property string $id
 * @property int $job_id
 * @property int $revision_id
 * @property int $user_id
 * @property string $step the key of the step
 * @property StepKind $step_kind what was done, to what and in which round: the three that make the key
 * @property string $step_subject
 * @property int $step_round
 * @property EntryKind $kind
 * @property array<string, float|int> $readings
 * @property string $note
 * @property string $why somebody went on past a limit
 * @property list<int> $points of the step that were confirmed
 * @property array<string, mixed>|null $inspected what was found at a joint
 * @property list<array{device: string, every: float, values: list<float>, simulated: bool}> $traces what devices read meanwhile
 * @property float|null $metered_l argon that flowmeters read at the step, L
 * @property float|null $torch_l argon a weld took, L
 * @property float|null $purge_l
 * @property int $position in the order the entries arrived
 * @property CarbonImmutable $made_at
 * @property User $user
 */
final class LogEntry extends Model
{
    protected $table = 'log_entries';

    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $fillable = ['id', 'job_id', 'revision_id', 'user_id', 'step', 'step_kind', 'step_subject', 'step_round', 'kind', 'readings', 'note', 'made_at', 'why', 'points', 'inspected', 'traces', 'metered_l', 'torch_l', 'purge_l'];

    protected $attributes = ['why' => '', 'points' => '[]', 'inspected' => null, 'traces' => '[]', 'metered_l' => null, 'torch_l' => null, 'purge_l' => null];

    /** @return array{step: string, step_kind: StepKind, step_subject: string, step_round: int} what an entry says of its step */
    public static function at(BenchStep $step): array
    {
        return ['step' => $step->id, 'step_kind' => $step->kind, 'step_subject' => $step->subject, 'step_round' => $step->round];
    }

    /** The step in words: "Weld AB1", "Weld AB1, round 2". */
    public function words(): string
    {
        return $this->step_kind->words($this->step_subject, $this->step_round);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * Always an object in the database, even when nothing was read.
     *
     * @return Attribute<array<string, float|int>, array<string, float|int>>
     */
    protected function readings(): Attribute
    {
        return Attribute::make(
            get: static fn (mixed $json): array => is_string($json) ? (array) json_decode($json, true) : [],
            set: static fn (array $readings): string => json_encode((object) $readings, JSON_THROW_ON_ERROR),
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['step_kind' => StepKind::class, 'kind' => EntryKind::class, 'points' => 'array', 'inspected' => 'array', 'traces' => 'array', 'made_at' => 'immutable_datetime'];
    }
}
