<?php

declare(strict_types=1);

namespace App\Providers;

use App\Workshop\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    private const SIGN_INS_A_MINUTE = 6;

    public function register(): void
    {
        $this->app->scoped(Workshop::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict();
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(self::SIGN_INS_A_MINUTE)
            ->by(Str::lower($request->string('email')->toString()).'|'.$request->ip()));
        RateLimiter::for('edits', static fn (Request $request): Limit => Limit::perMinute(3000)->by($request->session()->getId()));
    }
}
