<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PersonView;
use App\Http\Requests\SignInRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final readonly class SessionController
{
    private const GUESSES_A_MINUTE = 6;

    public function create(): Response
    {
        return Inertia::render('sign-in');
    }

    /** Who is signed in; asking also brings the token that the next change needs. */
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(['person' => PersonView::of($request->user())]);
    }

    public function store(SignInRequest $request): RedirectResponse|JsonResponse
    {
        $key = $request->limiterKey();
        abort_if(RateLimiter::tooManyAttempts($key, self::GUESSES_A_MINUTE), 429);
        if (! Auth::attempt($request->only('email', 'password'), true)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => 'No person here has this address and password.']);
        }
        RateLimiter::clear($key);
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
