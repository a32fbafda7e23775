<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A search for ways for all runs of a job at once, done by a queue worker; what it has found so far stands in it.
 *
 * @property int $id
 * @property int $job_id
 * @property SearchState $state
 * @property array<string, mixed> $document the job as it stood when the search was asked for
 * @property float $seconds
 * @property list<array<string, mixed>> $designs
 * @property string $message
 * @property bool $stop_asked
 * @property int $first_seed seeds before it were tried by the search that this one goes on from
 */
final class RouteSearch extends Model
{
    protected $fillable = [
        'job_id',
        'user_id',
        'state',
        'document',
        'seconds',
        'designs',
        'message',
        'stop_asked',
        'first_seed',
    ];

    /** @var array<string, mixed> */
    protected $attributes = [
        'state' => 'queued',
        'designs' => '[]',
        'message' => '',
        'stop_asked' => false,
        'first_seed' => 1,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => SearchState::class,
            'document' => 'array',
            'designs' => 'array',
            'seconds' => 'float',
            'stop_asked' => 'boolean',
        ];
    }
}
