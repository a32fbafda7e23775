<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The shop's own document: rules, shelf, bottles. There is one.
 *
 * @property array<string, mixed> $document
 * @property int $version
 */
final class Shop extends Model
{
    protected $table = 'shops';

    protected $fillable = ['document', 'version'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
