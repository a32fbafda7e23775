<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\PersonView;
use App\Workshop\Workshop;
use Illuminate\Http\Request;
use Inertia\Middleware;

/** What every page gets. */
final class ShareWithPages extends Middleware
{
    protected $rootView = 'app';

    public function __construct(private readonly Workshop $workshop) {}

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'currency' => fn (): string => $request->user() === null ? '' : $this->workshop->shop()->money->currency,
            'person' => static fn (): ?array => PersonView::of($request->user()),
        ];
    }
}
