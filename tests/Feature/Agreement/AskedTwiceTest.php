<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use App\Agreement\Pages\AgreementAgain;
use App\Agreement\Pages\CallsBehind;
use App\Agreement\Pages\RaterNames;
use App\Agreement\SecondLooks;
use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Works\Progress;
use Core\Agreement\Study\SecondLookStudy;
use Core\Chance\Chance;
use Core\Reading\Stage;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Everybody's readings of a published round once more, each call another one so often: a second look, or a repeat. */
function calledAgain(Sitting $round, string $seed, float $changes, bool $repeat): Sitting
{
    foreach (['sittings', 'sitting_cases', 'readings', 'calls'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $chance = new Chance($seed);
    DB::table('sittings')->where('id', $round->id)->update(['reveals' => ! $repeat]);
    $place = null;
    if ($repeat) {
        $first = (array) DB::table('sitting_cases')->where('sitting_id', $round->id)->orderBy('id')->first();
        $place = DB::table('sitting_cases')->insertGetId([...array_diff_key($first, ['id' => 0]), 'occasion' => 2]);
    }
    foreach (Reading::query()
        ->whereIn('sitting_case_id', $repeat ? [$first['id']] : $round->cases()->select('id'))
        ->where('stage', 'blind')
        ->get() as $blind) {
        $row = array_diff_key((array) DB::table('readings')->where('id', $blind->id)->first(), ['id' => 0]);
        $again = DB::table('readings')->insertGetId([
            ...$row,
            'public_id' => Str::lower((string) Str::ulid()),
            'stage' => $repeat ? 'blind' : 'reveal',
            'sitting_case_id' => $place ?? $blind->sitting_case_id,
        ]);
        $rows = [];
        foreach (DB::table('calls')->where('reading_id', $blind->id)->get() as $call) {
            $other = ['present', 'absent', 'cannot-tell'][$chance->between(0, 2)];
            $rows[] = [
                ...array_diff_key((array) $call, ['id' => 0]),
                'reading_id' => $again,
                ...$chance->uniform() < $changes ? ['presence' => $other,
                    'sound' => false, 'severity' => $other === 'present' ? 2 : null,
                    'decision' => $other === 'present' ? 'now' : null, 'onset' => null, 'trend' => null,
                    'reaction' => null, 'pins' => '[]', 'confidence' => $other === 'cannot-tell' ? null : 60] : [],
            ];
        }
        DB::table('calls')->insert($rows);
    }

    return $round->refresh();
}

it('counts second looks as they are counted call by call', function () {
    $round = calledAgain($this->round('Spring'), 'second looks', 0.3, false);
    $panel = $round->keyVersion->sitting->members()->pluck('users.id')->all();
    $changed = $toward = $away = $calls = 0;
    $keys = KeyEntry::query()->where('key_version_id', $round->key_version_id)->get()
        ->keyBy(static fn (KeyEntry $e): string => "$e->case_id|$e->fault");
    $readings = Reading::query()
        ->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->with(['calls', 'case'])
        ->get();
    $blind = $readings->where('stage', Stage::Blind)
        ->keyBy(static fn (Reading $r): string => "$r->sitting_case_id|$r->user_id");
    foreach ($readings->where('stage', Stage::Reveal)->whereNotIn('user_id', $panel)->where('exposed', false) as $after) {
        $before = $blind["$after->sitting_case_id|$after->user_id"]->calls->keyBy('fault');
        foreach ($after->calls as $call) {
            $was = $before[$call->fault]->presence->value;
            $truth = ($keys["{$after->case->case_id}|$call->fault"] ?? null)?->scoredLabel();
            $calls++;
            $changed += $was !== $call->presence->value ? 1 : 0;
            $toward += $truth !== null && $was !== $truth && $call->presence->value === $truth ? 1 : 0;
            $away += $truth !== null && $was === $truth && $call->presence->value !== $truth ? 1 : 0;
        }
    }
    $all = (new SecondLookStudy(SecondLooks::pairs($round)))->all();
    expect($calls)->toBeGreaterThan(500)
        ->and([$all->calls, $all->toward, $all->away])->toBe([$calls, $toward, $away])
        ->and($all->changed->estimate)->toEqualWithDelta($changed / $calls, 1e-12)
        // Call by call in the files as well.
        ->and(iterator_to_array(SecondLooks::rows($round), false))->toHaveCount($calls)
        ->and(array_filter(
            iterator_to_array(SecondLooks::rows($round), false),
            static fn (array $row): bool => $row[4] !== $row[6],
        ))->toHaveCount($changed);

    $at = "/agreement/{$round->public_id}";
    $this->actingAs($this->headCoach())->get("$at?part=shown")->assertOk()->assertSee('calls changed with the ball and the numbers in view')
        // What was drawn by lot leads away.
        ->assertSee("more of them away from the key ($away) than toward it ($toward)");
    $tam = $this->person('tam');
    $this->get("$at/people/{$tam->id}")->assertOk()->assertSee('With the ball and the numbers in view');
    $this->get($at.'/cases/'.$round->cases()->orderBy('id')->firstOrFail()->id)
        ->assertOk()
        ->assertSee('with the ball in view');
    // Nobody else is told of others.
    $this->actingAs($tam)->get("$at?part=shown")->assertDontSee('Settled by the key');
});

it('tells who said the same of a case that came back, and what was said then', function () {
    $round = calledAgain($this->round('Spring'), 'repeats', 0.4, true);
    $compute = app(ComputeResult::class);
    $compute->keep($round, $compute->make($round, Progress::untold()));
    $head = $this->headCoach();
    $again = AgreementAgain::repeats($round, KeptFigures::ofRound($round), new RaterNames($round, $head));
    $case = $round->cases()->where('occasion', 1)->orderBy('id')->firstOrFail();
    expect($again['cases'])->toHaveCount(1)->and($again['cases'][0]['name'])->toBe($case->called());
    foreach ($again['rows'] as $row) {
        $user = User::query()->where('name', $row['name'])->sole();
        $said = [];
        foreach (Reading::query()->where('user_id', $user->id)->whereIn('sitting_case_id',
            $round->cases()->where('case_id', $case->case_id)->select('id'))->with('calls')->get() as $reading) {
            foreach ($reading->calls as $call) {
                $said[$call->fault][] = $call->presence->value;
            }
        }
        $said = array_filter($said, static fn (array $s): bool => ! in_array('cannot-tell', $s, true));
        $same = count(array_filter($said, static fn (array $s): bool => $s[0] === $s[1]));
        expect($row['n'])->toBe(count($said))
            ->and($row['same']->estimate)->toEqualWithDelta($same / count($said), 1e-12)
            // One golfer tells of no other.
            ->and($row['same']->low)->toBeNull();
    }
    expect(count($again['rows']))->toBeGreaterThan(2);
    $page = app(CallsBehind::class)->ofCase($round, $case, app(Codebooks::class)->of($round));
    $later = array_merge(...array_map(
        static fn (array $row): array => array_merge(
            ...array_map(static fn ($c): array => $c?->later ?? [], $row['cells']),
        ),
        $page['rows'],
    ));
    expect($later)->not->toBe([])->and($later[0])->toStartWith('when it came back: ');
    $at = "/agreement/{$round->public_id}";
    $this->actingAs($head)->get("$at?part=people")->assertOk()->assertSee('Said the same again');
    $this->get("$at/people/{$this->person('tam')->id}")->assertOk()->assertSee('asked again unannounced');
});
