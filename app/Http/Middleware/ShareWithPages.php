<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\PersonView;
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
            'person' => static fn (): ?array => PersonView::of($request->user()),
        ];
    }
}
