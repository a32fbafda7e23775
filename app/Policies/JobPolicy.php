<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Job;
use App\Models\User;

/** Everyone who signs in may look; planning, releasing and logging go by role. */
final class JobPolicy
{
    public function viewAny(User $user): bool
    {
        return true;
    }

    public function view(User $user, Job $job): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return $user->role->plans();
    }

    public function update(User $user, Job $job): bool
    {
        return $user->role->plans();
    }

    public function delete(User $user, Job $job): bool
    {
        return $user->role->plans();
    }

    public function log(User $user, Job $job): bool
    {
        return $user->role->logs();
    }
}
