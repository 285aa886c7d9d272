<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\LoadDemo;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Artisan;

/**
 * Tests of pages and database: a fresh schema with a part of the invented scenario is laid once a run, and
 * every test works in a transaction that is rolled back.
 */
abstract class TestCase extends BaseTestCase
{
    use DatabaseTransactions;

    private static bool $laid = false;

    protected function setUpTraits(): array
    {
        if (! self::$laid) {
            Artisan::call('migrate:fresh', ['--force' => true]);
            $this->app->make(LoadDemo::class)(8);
            self::$laid = true;
        }

        return parent::setUpTraits();
    }

    /** Whoever acts has given the password just now, and still has whatever the clock is set to. */
    public function be(Authenticatable $user, $guard = null)
    {
        $this->withSession(['auth.password_confirmed_at' => 4_102_444_800]);

        return parent::be($user, $guard);
    }

    public function person(string $first): User
    {
        return User::query()->where('email', $first.'@fernhollow.example')->sole();
    }

    public function headCoach(): User
    {
        return $this->person('maren');
    }

    public function round(string $name): Sitting
    {
        return Sitting::query()->where('name', 'like', $name.'%')->sole();
    }

    /** A reading of this person in the open round that is not handed in. */
    public function openReading(User $user): Reading
    {
        return Reading::query()->where('user_id', $user->id)->whereNull('handed_in_at')->orderBy('position')
            ->whereHas('case.sitting', fn ($q) => $q->where('state', 'open'))->firstOrFail();
    }

    /**
     * Changes of a reading as a window would send them.
     *
     * @param  array<string, mixed>  $edits  value by target
     */
    public function changes(array $edits, int $base = 0, string $writer = 'window-one'): array
    {
        $out = [];
        foreach ($edits as $target => $value) {
            $out[] = [
                'id' => 'c-'.bin2hex(random_bytes(8)),
                'target' => $target,
                'value' => $value,
                'base' => $base,
                'at' => 1_764_000_000_000 + 100 * count($out),
            ];
        }

        return ['writer' => $writer, 'changes' => $out];
    }

    /** A complete sheet: everything absent but what is given, whose first is the first cause. */
    public function sheet(array $present = [], array $more = []): array
    {
        $edits = [];
        foreach (\Core\Codebook\Codebook::standard()->keys() as $key) {
            $edits["call:$key"] = in_array($key, $present, true)
                ? [
                    'presence' => 'present',
                    'severity' => 2,
                    'onset' => 'TP',
                    'decision' => 'now',
                    'confidence' => 80,
                    'pins' => [['on' => 'film', 't' => 1.2]],
                ]
                : ['presence' => 'absent', 'confidence' => 75, 'pins' => []];
        }

        return [...$edits, 'causes' => array_slice($present, 0, 1), ...$more];
    }
}
