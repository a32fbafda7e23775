<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PersonView;
use App\Http\Requests\SignInRequest;
use App\Http\SignInGate;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final readonly class SessionController
{
    public function create(): Response
    {
        return Inertia::render('sign-in');
    }

    /** Who is signed in; asking also brings the token that the next change needs. */
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(['person' => PersonView::of($request->user())]);
    }

    public function store(SignInRequest $request, SignInGate $gate): RedirectResponse|JsonResponse
    {
        if (! $gate->lets($request)) {
            throw ValidationException::withMessages(['email' => 'No person here has this address and password.']);
        }
        $request->session()->regenerate();

        // A page that lost its session signs in where it is.
        return $request->expectsJson() && ! $request->hasHeader('X-Inertia')
            ? $this->show($request)
            : redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
