<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** Everyone may read what the shop works by; its owner says it. */
final class ShopPolicy
{
    public function viewAny(User $user): bool
    {
        return true;
    }

    public function change(User $user): bool
    {
        return $user->role->owns();
    }

    public function readGauge(User $user): bool
    {
        return $user->role->logs();
    }
}
