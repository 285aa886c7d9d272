<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\CloseRound;
use App\Actions\HandInReading;
use App\Actions\OpenRound;
use App\Actions\PublishRound;
use App\Actions\SaveReading;
use App\Actions\StoreRecording;
use App\Models\Call;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use Core\Codebook\Codebook;
use Core\Motion\StationTime;
use Core\Simulation\Chance;
use Core\Simulation\Plant;
use Core\Simulation\Rater;
use Core\Simulation\Swing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/**
 * Fills an empty database with the Fernhollow scenario through the same actions the pages use, at the dates
 * on which things are said to have happened. What was planted in a golfer is used here and stored nowhere.
 */
final class LoadDemo
{
    /** @var array<int, array{truth: array<string, int>, stations: array<string, float>}> by recording id */
    private array $made = [];

    /** @var array<int, Rater> by user id */
    private array $raters = [];

    public function __construct(
        private readonly StoreRecording $store,
        private readonly OpenRound $open,
        private readonly CloseRound $close,
        private readonly PublishRound $publish,
        private readonly SaveReading $save,
        private readonly HandInReading $handIn,
    ) {
    }

    /** @param  int|null  $limit only the first so many recordings, for tests */
    public function __invoke(?int $limit = null): void
    {
        try {
            DB::transaction(fn () => $this->load($limit));
        } finally {
            Carbon::setTestNow();
        }
    }

    private function load(?int $limit): void
    {
        $today = Carbon::now();
        Carbon::setTestNow($today->copy()->subDays(140));
        $password = Hash::make(Fernhollow::PASSWORD);
        foreach (Fernhollow::people() as [$name, $email, $role, $rater]) {
            $user = (new User)->forceFill(['name' => $name, 'email' => $email, 'role' => $role, 'password' => $password]);
            $user->save();
            if ($rater !== null) {
                $this->raters[$user->id] = $rater;
            }
        }
        $recordings = [];
        foreach (array_slice(Fernhollow::recordings(), 0, $limit) as $i => $row) {
            Carbon::setTestNow($today->copy()->subDays(138 - $i)->setTime(15, 10 + $i));
            $recordings[] = [$this->record($row), $row];
        }
        [$head] = $this->people(User::HEAD_COACH);
        $panel = $this->people(User::PANEL);
        $staff = $this->people(User::INSTRUCTOR);
        $half = (int) ceil(count($recordings) * 14 / 24);

        Carbon::setTestNow($today->copy()->subDays(108)->setTime(9, 0));
        $study = $this->round('Winter panel study', Round::PANEL, $recordings, $panel, $head);
        $this->answer($study, $today->copy()->subDays(104), 1.0);
        ($this->close)($study, $head);
        ($this->publish)($study->refresh(), $head);

        Carbon::setTestNow($today->copy()->subDays(80)->setTime(9, 0));
        $spring = $this->round('Spring round', Round::STAFF, array_slice($recordings, 0, $half), $staff, $head);
        $this->answer($spring, $today->copy()->subDays(76), 1.0);
        Carbon::setTestNow($today->copy()->subDays(66)->setTime(17, 0));
        ($this->close)($spring, $head);
        ($this->publish)($spring->refresh(), $head);

        Carbon::setTestNow($today->copy()->subDays(6)->setTime(9, 0));
        $autumn = $this->round('Autumn round', Round::STAFF, array_slice($recordings, $half), $staff, $head);
        $this->answer($autumn, $today->copy()->subDays(5), 0.5);
    }

    /** @return list<User> */
    private function people(string $role): array
    {
        return array_values(User::query()->where('role', $role)->orderBy('id')->get()->all());
    }

    /** @param  array{golfer: string, limits: ?string, club: string, shape: string, film: bool, trace: bool, looks: array<string, int>, spec: \Core\Simulation\GolferSpec}  $row */
    private function record(array $row): Recording
    {
        $spec = $row['spec'];
        $golfer = Golfer::query()->firstOrCreate(['pseudonym' => $row['golfer']], ['handedness' => $spec->hand->value, 'limits' => $row['limits']]);
        if ($golfer->wasRecentlyCreated) {
            Consent::query()->create(['golfer_id' => $golfer->id, 'scope' => 'training', 'given_on' => now()->toDateString(), 'expires_on' => now()->addDays($row['golfer'] === 'Redstart' ? 152 : 720)->toDateString()]);
        }
        $swing = Swing::of($spec);
        $recording = ($this->store)($golfer, [
            'club' => $row['club'], 'shape' => $row['shape'], 'device_name' => 'bench '.$spec->device->label(), 'source' => 'demo',
        ], $swing->trace, $swing->stations, $swing->motion());
        $this->made[$recording->id] = [
            'truth' => $spec->plant->faults + $row['looks'] + self::entailed($spec->plant->faults),
            'stations' => array_map(static fn (StationTime $t): float => $t->t, $swing->stations->all()),
        ];

        return $recording;
    }

    /**
     * What comes with the planted by definition; whoever sees the one sees the other.
     *
     * @param  array<string, int>  $planted
     * @return array<string, int>
     */
    private static function entailed(array $planted): array
    {
        $out = [];
        foreach ($planted as $fault => $severity) {
            $out += array_fill_keys(Plant::ENTAILS[$fault] ?? [], $severity);
        }

        return $out;
    }

    /**
     * @param  list<array{Recording, array{film: bool, trace: bool}}>  $recordings
     * @param  list<User>  $members
     */
    private function round(string $name, string $kind, array $recordings, array $members, User $head): Round
    {
        $round = Round::query()->create([
            'name' => $name, 'kind' => $kind, 'lens' => 'early-recentre', 'codebook_version' => \Core\Codebook\CodebookDocument::standard()->version(),
            'seed' => substr(hash('sha256', $name), 0, 32), 'created_by' => $head->id,
        ]);
        foreach ($recordings as [$recording, $row]) {
            $both = $kind === Round::PANEL;
            $round->cases()->create(['recording_id' => $recording->id, 'shows_film' => $both || $row['film'], 'shows_trace' => $both || $row['trace']]);
        }
        $round->members()->attach(array_map(static fn (User $u): int => $u->id, $members));
        ($this->open)($round, $head);

        return $round->refresh();
    }

    /** Members read their first cases, in their own order, up to the given share of them. */
    private function answer(Round $round, Carbon $start, float $share): void
    {
        $codebook = Codebook::standard();
        foreach ($round->members()->orderBy('users.id')->get() as $m => $member) {
            $readings = Reading::query()->whereIn('round_case_id', $round->cases()->select('id'))->where('user_id', $member->id)->with('case.recording')->orderBy('position')->get();
            // A half-answered round is not answered evenly: some are done, some have hardly begun.
            $until = $share >= 1.0 ? $readings->count() : (int) round($readings->count() * [0.5, 0.9, 0.3, 0.6, 0.0, 1.0, 0.4, 0.5][$m % 8]);
            foreach ($readings->take($until) as $n => $reading) {
                Carbon::setTestNow($start->copy()->addMinutes(60 * 9 + 7 * $n + 3 * $m));
                $made = $this->made[$reading->case->recording_id];
                $chance = new Chance("read|{$round->seed}|{$member->email}|{$reading->case->recording_id}");
                $core = $this->raters[$member->id]->read($codebook, $made['truth'], $reading->case->shown(), $n, $made['stations'], $chance);
                $calls = array_map(static fn ($c): array => Call::row($c), $core->calls);
                ($this->save)($reading, ['version' => 0, 'calls' => $calls, 'first_causes' => $core->firstCauses, 'cue' => '']);
                ($this->handIn)($reading, $member);
            }
        }
    }
}
