<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Contracts\Auth\Authenticatable;

/** What the screens know of who is signed in. */
final readonly class PersonView
{
    /** @return array{id: int, name: string, role: string, plans: bool, logs: bool}|null */
    public static function of(?Authenticatable $user): ?array
    {
        return $user instanceof User
            ? [
                'id' => $user->id,
                'name' => $user->name,
                'role' => $user->role->value,
                'plans' => $user->role->plans(),
                'logs' => $user->role->logs(),
            ]
            : null;
    }
}
