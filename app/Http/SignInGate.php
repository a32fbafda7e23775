<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;

/** Lets a person in, and slows down who guesses: by the address that is tried, and by where the tries come from. */
final readonly class SignInGate
{
    // Our own choice: enough for a gloved hand, far too few for a list of words.
    private const TRIES_AN_ADDRESS = 6;

    /** A whole shop may sit behind one place: one person's wrong guesses are no reason to keep the others out. */
    private const TRIES_A_PLACE = 300;

    private const SECONDS = 60;

    public function __construct(private Repository $cache) {}

    /** Whether the address and the password belong together. Too many tries end with 429. */
    public function lets(SignInRequest $request): bool
    {
        $address = 'sign-in|'.Str::lower($request->string('email')->toString()).'|'.$request->ip();
        $place = 'sign-in|'.$request->ip();
        // Counted before the password is looked at, so that tries at the same moment count as well.
        foreach ([$address => self::TRIES_AN_ADDRESS, $place => self::TRIES_A_PLACE] as $key => $most) {
            if (RateLimiter::hit($key, self::SECONDS) > $most) {
                $waitS = max(1, RateLimiter::availableIn($key));
                abort(429, "Too many tries; wait $waitS s and try again.", ['Retry-After' => (string) $waitS]);
            }
        }
        $known = User::query()->where('email', $request->string('email')->toString())->exists();
        if (! $known) {
            // An unknown address takes as long as a known one.
            Hash::check($request->string('password')->toString(), $this->nobodysHash());

            return false;
        }
        if (! Auth::attempt($request->only('email', 'password'), $request->boolean('remember'))) {
            return false;
        }
        RateLimiter::clear($address);
        // Many people behind one address are no guesser.
        RateLimiter::decrement($place, self::SECONDS);

        return true;
    }

    private function nobodysHash(): string
    {
        return $this->cache->rememberForever('nobodys-hash', static fn (): string => Hash::make(Str::random(40)));
    }
}
