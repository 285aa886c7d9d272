<?php

declare(strict_types=1);

namespace App\Demo;

use App\Agreement\Actions\PublishRound;
use App\Audit\RecordChain;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\Sitting;
use App\Models\User;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\OpenRound;
use App\Works\Progress;
use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Motion\Handedness;
use Core\Reading\CaseKind;
use Core\Sight\Role;
use Core\Sight\Scope;
use Core\Sight\SittingKind;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/**
 * Lays five years of an academy beside the demo: people, golfers, recordings, panel studies, published rounds, a long
 * record. Seeded, so that two such databases hold the same. Swings are simulated and measured as any; calls are drawn
 * in the database, from a truth of each case and fault and from how each reader errs, a million of them in a minute.
 */
final class GrowDemo
{
    private const SEED = 'five years';

    /** @var \Closure(string): void */
    private \Closure $tell;

    public function __construct(
        private readonly StoreRecording $store,
        private readonly MeasureRecording $measure,
        private readonly OpenRound $open,
        private readonly CloseRound $close,
        private readonly PublishRound $publish,
    ) {
        $this->tell = static fn (string $done): mixed => null;
    }

    /**
     * @param  float  $scale  1 is an academy of five years: 40 instructors, 800 recordings, five rounds of 200 cases
     * @param  \Closure(string): void  $tell  what is done, in a word
     */
    public function __invoke(float $scale, \Closure $tell): void
    {
        $this->tell = $tell;
        $of = static fn (int $whole): int => max(2, (int) round($whole * $scale));
        try {
            $head = User::query()->where('role', Role::HeadCoach)->orderBy('id')->firstOrFail();
            $staff = $this->people(Role::Instructor, $of(40));
            $panel = $this->people(Role::Panel, min(10, $of(10)));
            $recordings = $this->recordings($of(200), $of(800));
            $cases = $of(200);
            $today = Carbon::now();
            for ($n = 0; $n < 2; $n++) {
                Carbon::setTestNow($today->copy()->subDays(1700 - 700 * $n));
                $these = array_slice($recordings, $n * $cases, $cases);
                $this->read('Panel study '.($n + 1), SittingKind::Panel, $these, $panel, $head);
            }
            for ($n = 0; $n < 5; $n++) {
                Carbon::setTestNow($today->copy()->subDays(900 - 160 * $n));
                $these = array_slice($recordings, ($n % 2) * $cases, $cases);
                $this->read('Round of year '.($n + 1), SittingKind::Round, $these, $staff, $head);
            }
            Carbon::setTestNow($today);
            $this->record($of(100_000));
            // Within somebody's transaction the tables can be looked at, but not tidied.
            DB::statement(DB::transactionLevel() > 0 ? 'analyze' : 'vacuum analyze');
        } finally {
            Carbon::setTestNow();
        }
    }

    /** @return list<User> so many of a role, made where there are fewer */
    private function people(Role $role, int $wanted): array
    {
        $here = User::query()->where('role', $role)->count();
        $chance = new Chance(self::SEED.$role->value);
        $password = Hash::make(Fernhollow::PASSWORD);
        for ($n = $here; $n < $wanted; $n++) {
            (new User)->forceFill([
                'name' => self::name($chance, 1).' '.self::name($chance, 2),
                'email' => "$role->value-$n@fernhollow.example",
                'role' => $role,
                'password' => $password,
            ])->save();
        }
        ($this->tell)("$wanted × $role->value");

        return array_values(User::query()->where('role', $role)->orderBy('id')->limit($wanted)->get()->all());
    }

    /** @return list<int> ids */
    private function recordings(int $golfers, int $wanted): array
    {
        $chance = new Chance(self::SEED.'golfers');
        $faults = Plant::FAULTS;
        $ids = [];
        $each = max(1, intdiv($wanted, $golfers));
        for ($g = 0; count($ids) < $wanted; $g++) {
            $hand = $chance->between(0, 9) === 0 ? Handedness::Left : Handedness::Right;
            $golfer = Golfer::query()->create([
                'pseudonym' => self::name($chance, 2)." $g",
                'handedness' => $hand->value,
            ]);
            Consent::query()->insert(array_map(static fn (Scope $scope): array => [
                'golfer_id' => $golfer->id,
                'scope' => $scope->value,
                'given_on' => now()->subDays(1800)->toDateString(),
                'expires_on' => now()->addDays(700)->toDateString(),
            ], [Scope::Lessons, Scope::StaffTraining, Scope::DebriefFilm]));
            $fault = $faults[$chance->between(0, count($faults) - 1)];
            for ($i = 0; $i < $each && count($ids) < $wanted; $i++) {
                $swing = Swing::simulated(new GolferSpec(
                    self::SEED."|$g|$i",
                    new Plant($chance->between(0, 2) === 0 ? [] : [$fault => $chance->between(1, 3)]),
                    $hand,
                    DeviceClass::cases()[$g % 3],
                    1600.0 + 3.0 * ($g % 100),
                    60.0 + 0.4 * ($g % 100),
                ));
                $recording = ($this->store)(
                    $golfer,
                    ['club' => 'hybrid', 'source' => 'demo', 'device_name' => 'bench', 'series' => "evening $i"],
                    $swing->trace,
                    $swing->stations,
                    $swing->motion(),
                    false,
                );
                ($this->measure)($recording);
                $ids[] = $recording->id;
            }
            if ($g % 20 === 19) {
                ($this->tell)(count($ids).' recordings');
            }
        }

        return $ids;
    }

    /**
     * A sitting planned, opened, read by all, closed and published.
     *
     * @param  list<int>  $recordings
     * @param  list<User>  $members
     */
    private function read(string $name, SittingKind $kind, array $recordings, array $members, User $head): void
    {
        $round = Sitting::query()->create([
            'name' => $name,
            'kind' => $kind,
            'lens' => 'early-recentre',
            'codebook_version' => CodebookDocument::standard()->version(),
            'seed' => substr(hash('sha256', self::SEED.$name), 0, 32),
            'created_by' => $head->id,
        ]);
        foreach ($recordings as $id) {
            $round->addCase(CaseKind::Single, [$id], true, true);
        }
        $round->members()->attach(array_map(static fn (User $u): int => $u->id, $members));
        $this->open->carryOut($round, $head, Progress::untold());
        ($this->tell)("$name: opened");
        DB::transaction(fn () => $this->calls($round));
        ($this->tell)("$name: read");
        $this->close->now($round->refresh(), $head);
        ($this->tell)("$name: closed");
        $this->publish->carryOut($round->refresh(), $head, Progress::untold());
        // Later rounds ask about the same cases: without this nobody would read them blind, and there were no figures.
        DB::table('exposures')->where('sitting_id', $round->id)->delete();
        ($this->tell)("$name: published");
    }

    /**
     * Calls of all faults in all readings of a sitting, and these handed in. A quarter of cases and faults are present
     * in truth; a reader errs in 4 to 20 of 100, and cannot tell in 3.
     */
    private function calls(Sitting $round): void
    {
        // A number from 0 to 1 that stands for what it is drawn for.
        $drawn = static fn (string $for): string => "(('x' || substr(md5($for), 1, 8))::bit(32)::bigint & 65535) / 65536.0";
        $seed = DB::getPdo()->quote(self::SEED);
        $truth = $drawn("$seed || c.case_id || f.key");
        $errs = "0.04 + 0.16 * {$drawn("$seed || r.user_id || 'errs'")}";
        $slips = $drawn("$seed || r.id || f.key || 'slips'");
        $tells = $drawn("$seed || r.id || f.key || 'tells'");
        $how = $drawn("$seed || r.id || f.key || 'how'");
        // What guards single calls would be asked two hundred thousand times of readings that nobody has locked.
        DB::statement('alter table calls disable trigger calls_locked');
        DB::statement(<<<SQL
            insert into calls (reading_id, fault, presence, severity, confidence)
            select id, key, presence,
                   case when presence = 'present' then 1 + floor(3 * how)::int end,
                   case when presence <> 'cannot-tell' then 50 + floor(10 * how)::int * 5 end
            from (
                select r.id, f.key, $how as how,
                       case when $tells < 0.03 then 'cannot-tell'
                            when ($truth < 0.25) <> ($slips < $errs) then 'present' else 'absent' end as presence
                from readings r
                join sitting_cases c on c.id = r.sitting_case_id
                cross join unnest(?::text[]) f (key)
                where c.sitting_id = ?
            ) drawn
            SQL, ['{'.implode(',', Codebook::standard()->keys()).'}', $round->id]);
        DB::statement('alter table calls enable trigger calls_locked');
        DB::statement(<<<'SQL'
            update readings r set version = 1, handed_in_at = ?::timestamptz + r.position * interval '7 minutes',
                   first_causes = coalesce((select jsonb_agg(fault) from (select fault from calls k
                       where k.reading_id = r.id and k.presence = 'present' order by fault limit 1) one), '[]'::jsonb)
            from sitting_cases c where c.id = r.sitting_case_id and c.sitting_id = ?
            SQL, [now()->toIso8601String(), $round->id]);
    }

    private function record(int $entries): void
    {
        $by = Cell::int(DB::table('users')->min('id'));
        $now = now();
        foreach (array_chunk(range(1, $entries), 2000) as $some) {
            DB::table('audit_entries')->insert(array_map(static function (int $n) use ($by, $now): array {
                Carbon::setTestNow($now->copy()->subDays($n % 1800)->subMinutes($n % 1440));

                return RecordChain::row($by, 'logged-in', "person $by", [], null);
            }, $some));
        }
        Carbon::setTestNow();
        ($this->tell)("$entries entries of the record");
    }

    /** A name that nobody has: so many syllables and an end. */
    private static function name(Chance $chance, int $syllables): string
    {
        $of = ['bra', 'cor', 'dun', 'el', 'fen', 'gar', 'hol', 'in', 'kes', 'lor', 'mar', 'nor', 'os', 'pel', 'tor'];
        $name = '';
        for ($i = 0; $i < $syllables; $i++) {
            $name .= $of[$chance->between(0, count($of) - 1)];
        }

        return ucfirst($name).['wick', 'ley', 'ford', 'by', 'more'][$chance->between(0, 4)];
    }
}
