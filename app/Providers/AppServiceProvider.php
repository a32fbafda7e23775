<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\SparingSessions;
use App\Models\Job;
use App\Models\StoreItem;
use App\Models\User;
use App\Workshop\KnownPlans;
use App\Workshop\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** Our own choice: more often than anybody presses a button for it. */
    private const HEAVY_A_MINUTE = 60;

    private const PICTURES_A_MINUTE = 1200;

    public function register(): void
    {
        $this->app->scoped(Workshop::class);
        $this->app->scoped(KnownPlans::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Session::extend('database', static fn (Application $app): SparingSessions => new SparingSessions(
            DB::connection(),
            config()->string('session.table'),
            config()->integer('session.lifetime'),
            $app,
        ));
        Model::shouldBeStrict();
        // Without its database nothing here is well.
        Event::listen(DiagnosingHealth::class, static fn (): array => DB::select('select 1'));
        Route::pattern('job', '[0-9]{1,12}');
        Route::pattern('other', '[0-9]{1,12}');
        Route::model('job', Job::class);
        Route::pattern('item', '[0-9]{1,12}');
        Route::model('item', StoreItem::class);
        RateLimiter::for('customers', static fn (Request $request): Limit => Limit::perMinute(self::HEAVY_A_MINUTE)->by((string) $request->ip()));
        // A page of a record asks for each of its pictures.
        RateLimiter::for('pictures', static fn (Request $request): Limit => Limit::perMinute(self::PICTURES_A_MINUTE)->by('pictures-'.$request->ip()));
        RateLimiter::for('heavy', static fn (Request $request): Limit => Limit::perMinute(self::HEAVY_A_MINUTE)->by(self::personOf($request)));
        RateLimiter::for(
            'edits',
            static fn (Request $request): Limit => Limit::perMinute(3000)->by($request->session()->getId()),
        );
    }

    private static function personOf(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? "person-$user->id" : (string) $request->ip();
    }
}
