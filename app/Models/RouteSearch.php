<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Model;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Solve\Route\Search\FoundDesign;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;

/**
 * A search for ways for all runs of a job at once, done by a queue worker; what it has found so far stands in it.
 *
 * @property int $id
 * @property int $job_id
 * @property SearchState $state
 * @property array<string, mixed> $document the job as it stood when the search was asked for
 * @property float $seconds
 * @property list<FoundDesign> $designs the best first
 * @property ?SetRefusal $refusal why there is none, once that is known
 * @property bool $stop_asked
 * @property int $at_seed the seed that is or was last tried
 * @property int $attempt which worker has it: one more with each that took it over
 * @property int $first_seed seeds before it were tried by the search that this one goes on from
 */
final class RouteSearch extends Model
{
    protected $table = 'route_searches';

    private const MOST_DESIGNS = 100;

    protected $fillable = [
        'job_id',
        'user_id',
        'state',
        'document',
        'seconds',
        'designs',
        'refusal',
        'stop_asked',
        'first_seed',
        'at_seed',
        'attempt',
        'beat_at',
    ];

    /** @var array<string, mixed> */
    protected $attributes = [
        'state' => 'queued',
        'designs' => '[]',
        'stop_asked' => false,
        'first_seed' => 1,
        'at_seed' => 0,
        'attempt' => 1,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => SearchState::class,
            'document' => 'array',
            'seconds' => 'float',
            'stop_asked' => 'boolean',
        ];
    }

    /** @return Attribute<list<FoundDesign>, list<FoundDesign>> */
    protected function designs(): Attribute
    {
        return Attribute::make(
            get: static fn (mixed $json): array => array_map(
                FoundDesign::read(...),
                self::opened($json)->items(self::MOST_DESIGNS),
            ),
            set: static fn (mixed $designs): string => self::written(
                array_map(
                    static fn (mixed $one): array => $one instanceof FoundDesign ? $one->toArray() : [],
                    is_array($designs) ? $designs : [],
                ),
            ),
        );
    }

    /** @return Attribute<?SetRefusal, ?SetRefusal> */
    protected function refusal(): Attribute
    {
        return Attribute::make(
            get: static fn (mixed $json): ?SetRefusal => is_string($json) ? SetRefusal::read(self::opened($json)) : null,
            set: static fn (mixed $one): ?string => $one instanceof SetRefusal ? self::written($one->toArray()) : null,
        );
    }

    private static function opened(mixed $json): Node
    {
        $all = is_string($json) ? json_decode($json, true, 64, JSON_THROW_ON_ERROR) : [];
        $stored = ['format' => 'stored', 'all' => $all];

        return Node::wrap($stored, 'stored', null, new Faults())->at('all');
    }

    /** @param  array<array-key, mixed>  $value */
    private static function written(array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR);
    }
}
