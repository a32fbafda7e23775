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

    /** Prices, rates and margins: for whoever quotes, here and everywhere. */
    public function seeMoney(User $user): bool
    {
        return $user->role->plans();
    }

    public function readGauge(User $user): bool
    {
        return $user->role->logs();
    }
}
