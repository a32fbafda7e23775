<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the rack shows of a job, and what it was worked out from.
 *
 * @property int $job_id
 * @property int $revision_id
 * @property int $version
 * @property int $log_position
 * @property string $stamp of the rules and the shop
 * @property string $number
 * @property int $place
 * @property string $stage
 * @property string $group
 * @property string $next
 * @property array{title: string, vehicle: string, customer: string, metal: string, purpose: string, revision: int, status: string, joints: int, jointsDone: int, steps: int, stepsDone: int} $facts
 * @property string|null $fault why the job's document cannot be read
 */
final class Summary extends Model
{
    protected $table = 'summaries';

    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'job_id';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['facts' => 'array'];
    }
}
