<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
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

    public function store(SignInRequest $request): RedirectResponse
    {
        $key = $request->limiterKey();
        abort_if(RateLimiter::tooManyAttempts($key, self::GUESSES_A_MINUTE), 429);
        if (! Auth::attempt($request->only('email', 'password'), true)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => 'No person here has this address and password.']);
        }
        RateLimiter::clear($key);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
