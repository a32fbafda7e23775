<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\StoreItem;
use App\Models\User;

/** Who works at the bench takes from the stores and counts them; places, prices and new items are for who plans. */
final class StoreItemPolicy
{
    public function create(User $user): bool
    {
        return $user->role->plans();
    }

    public function update(User $user, StoreItem $item): bool
    {
        return $user->role->plans();
    }

    public function enter(User $user, StoreItem $item): bool
    {
        return $user->role->logs();
    }
}
