<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\MeasureWhatIsStale;
use App\Actions\RestartConversions;
use App\Models\User;
use App\Queries\AcademyNorms;
use App\Queries\Codebooks;
use App\Sight\Onlookers;
use App\Time\Clock;
use App\Words\Wording;
use App\Works\Works;
use Core\Remark\InWords;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Casts\Json;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(InWords::class, Wording::class);
        $this->app->singleton(
            ClockInterface::class,
            static fn (): Clock => new Clock(is_string($file = config('academy.clock_file')) ? $file : null),
        );
        $this->app->alias(ClockInterface::class, Clock::class);
        $this->app->scoped(Codebooks::class);
        $this->app->scoped(AcademyNorms::class);
        $this->app->scoped(Onlookers::class);
    }

    public function boot(): void
    {
        $this->app->make(Clock::class)->install();
        // Facts about sight are those of one request.
        /** @var Application $app */
        $app = $this->app;
        $app->rebinding(
            'request',
            static fn (Application $app) => $app->resolved(Onlookers::class)
                ? $app->make(Onlookers::class)->forget()
                : null,
        );
        // Whole numbers stay numbers of their kind: 55.0 is not stored as 55.
        Json::encodeUsing(
            static fn (mixed $value, int $flags = 0): string => json_encode(
                $value,
                $flags | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
            ),
        );
        Blade::directive(
            'said',
            static fn (string $of): string => "<?php echo e(app(\\App\\Words\\Wording::class)->said($of)); ?>",
        );
        Model::shouldBeStrict(config('app.env') !== 'production');
        RateLimiter::for(
            'login',
            static fn (Request $request): array => [
                Limit::perMinute(8)->by(Str::lower((string) $request->input('email')).'|'.$request->ip()),
                Limit::perMinute(60)->by((string) $request->ip()),
            ],
        );
        RateLimiter::for(
            'ingest',
            static fn (Request $request): Limit => Limit::perMinute(3000)->by((string) $request->bearerToken()),
        );
        // A worker looks, between jobs, for conversions whose worker was killed.
        Queue::looping(static function (): void {
            static $next = 0.0;
            if (microtime(true) >= $next) {
                $next = microtime(true) + 5.0;
                app(RestartConversions::class)();
                app(Works::class)->takeUp();
                app(MeasureWhatIsStale::class)();
            }
        });
        Gate::define('run-academy', static fn (User $user): bool => $user->isHeadCoach());
    }
}
