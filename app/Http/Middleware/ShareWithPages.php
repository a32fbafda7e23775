<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Http\Request;
use Inertia\Middleware;

/** What every page gets. */
final class ShareWithPages extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'person' => static function () use ($request): ?array {
                $user = $request->user();

                return $user instanceof User
                    ? [
                        'name' => $user->name,
                        'role' => $user->role->value,
                        'plans' => $user->role->plans(),
                        'logs' => $user->role->logs(),
                    ]
                    : null;
            },
        ];
    }
}
