<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\LoadDemo;
use App\Http\Middleware\FreshLogin;
use App\Http\Middleware\StillHere;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Operations\AppRole;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\Connection;
use Illuminate\Database\Events\ConnectionEstablished;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use PDO;
use PDOException;

/**
 * Tests of pages and database: a fresh schema with a part of the invented scenario is laid once a run, and
 * every test works in a transaction that is rolled back.
 */
abstract class TestCase extends BaseTestCase
{
    use DatabaseTransactions;

    /**
     * What the tests do beside the application: lay tables bare, or falsify the record as somebody with the database.
     */
    private const OWNERS = '/^\s*(alter|truncate|create|drop|grant|revoke|do |set local session_replication|lock table "?users'
        .'|select setval|(update|delete from) "?audit_)/i';

    private static bool $laid = false;

    /** @var list<object> connections that switch roles */
    private array $hooked = [];

    /** When somebody entered by the test's word, without a log-in. */
    private ?int $entered = null;

    /** Whether everything is done as the owner of the tables, as migrations are. */
    protected bool $asOwner = false;

    /**
     * One connection, within one transaction, for the tests and the application: it is the owner's, and acts as the
     * role that the application has wherever it is not the tests that lay tables bare.
     */
    protected function refreshApplication(): void
    {
        parent::refreshApplication();
        $app = (string) config('database.app_role');
        config(['database.connections.pgsql' => config('database.connections.owner')]);
        $is = null;
        Event::listen(TransactionRolledBack::class, static function () use (&$is): void {
            $is = null;
        });
        Event::listen(ConnectionEstablished::class, function (ConnectionEstablished $new) use (&$is, $app): void {
            $on = $new->connection;
            $is = null;
            if ($on->getName() !== 'pgsql' || in_array($on, $this->hooked, true)) {
                return;
            }
            $this->hooked[] = $on;
            $on->beforeExecuting(function (string $sql) use ($on, &$is, $app): void {
                $must = $this->asOwner || preg_match(self::OWNERS, $sql) === 1 ? 'owner' : 'app';
                if ($must !== $is && self::isThere($on)) {
                    $on->getPdo()->exec($must === 'owner' ? 'reset role' : "set role $app");
                    $is = $must;
                }
            });
        });
    }

    /** Where there is no database the statement itself says so. */
    private static function isThere(Connection $on): bool
    {
        try {
            return $on->getPdo() instanceof PDO;
        } catch (PDOException) {
            return false;
        }
    }

    protected function setUpTraits(): array
    {
        if (! self::$laid) {
            Artisan::call('migrate:fresh', ['--force' => true, '--database' => 'owner']);
            AppRole::grant();
            $this->app->make(LoadDemo::class)(8);
            self::$laid = true;
        }

        // A connection of the owner's that stayed open would stand in the way of copies.
        DB::purge('owner');
        $this->beforeApplicationDestroyed(static fn () => DB::purge('owner'));

        return parent::setUpTraits();
    }

    /** Whoever acts has logged in and given the password just now, whatever the clock is set to meanwhile. */
    public function be(Authenticatable $user, $guard = null)
    {
        $this->entersNow();

        return parent::be($user, $guard);
    }

    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        // Unless the test has said another time.
        if ($this->entered !== null && session(FreshLogin::SINCE) === $this->entered) {
            $this->entersNow();
        }

        return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
    }

    private function entersNow(): void
    {
        $this->entered = now()->getTimestamp();
        $this->withSession([FreshLogin::SINCE => $this->entered, StillHere::SINCE => $this->entered]);
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
