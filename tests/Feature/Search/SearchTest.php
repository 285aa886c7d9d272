<?php

use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** @return array<string, list<string>> names found, by kind */
function foundFor(TestCase $test, User $user, string $asked): array
{
    app(Onlookers::class)->forget();

    return collect($test->actingAs($user)->getJson('/search?q='.urlencode($asked))->assertOk()->json('groups'))
        ->mapWithKeys(fn (array $g): array => [$g['name'] => array_column($g['hits'], 'name')])
        ->all();
}

it('leads the head coach to golfers, recordings, people, rounds, faults, measures, words and pages', function () {
    $golfer = Recording::query()->with('golfer')->firstOrFail()->golfer->pseudonym;
    $coach = $this->headCoach();
    expect(foundFor($this, $coach, mb_strtoupper($golfer))['Golfers'])->toBe([$golfer])
        ->and(foundFor($this, $coach, "$golfer iron")['Recordings'] ?? [])->each->toStartWith($golfer)
        ->and(foundFor($this, $coach, 'kit')['People'])->toBe(['Kit Marlpit'])
        ->and(foundFor($this, $coach, 'spring')['Rounds and panel studies'])->toContain('Spring round')
        ->and(foundFor($this, $coach, 'spinning out')['Faults'])->toBe(['Spinning out'])
        ->and(foundFor($this, $coach, 'lead share impact')['Measures'])->toContain('Lead share at impact')
        ->and(foundFor($this, $coach, 'lens')['Words'])->toContain('lens')
        ->and(foundFor($this, $coach, 'record')['Pages'])->toBe(['Record']);
    foreach (collect($this->getJson('/search?q=s')->json('groups'))->pluck('hits')->flatten(1) as $hit) {
        $this->actingAs($coach)->get($hit['url'])->assertOk();
    }
});

it('finds for anybody only what they may open, and says no more of the rest than of what is not there', function () {
    foreach (['maren', 'odile', 'piet', 'tam', 'kit', 'bea', 'vesna'] as $name) {
        $user = $this->person($name);
        $found = [];
        foreach (['a', 'e', 'iron', 'round', 'panel', 'autumn', 'spring', 'o'] as $asked) {
            app(Onlookers::class)->forget();
            $groups = $this->actingAs($user)->getJson("/search?q=$asked")->json('groups');
            $found += array_fill_keys(collect($groups)->pluck('hits')->flatten(1)->pluck('url')->all(), $asked);
        }
        foreach ($found as $url => $asked) {
            $status = $this->followingRedirects()->get($url)->getStatusCode();
            expect($status)->toBe(200, "$asked, $url for $user->name");
        }
    }
    $tam = $this->person('tam');
    expect(foundFor($this, $tam, 'kit'))->toBe([])
        ->and(foundFor($this, $tam, 'tam')['People'])->toBe(['Tam Brackley'])
        ->and(foundFor($this, $tam, 'shelf'))->not->toHaveKey('Pages');
});

it('does not find what waits for a blind reading of one’s own, be one the head coach', function () {
    $coach = $this->headCoach();
    $recording = $this->round('Spring')->cases()->with('recording.golfer')->firstOrFail()->recording;
    $golfer = $recording->golfer;
    Recording::query()
        ->where('golfer_id', $golfer->id)
        ->whereKeyNot($recording->id)
        ->update(['golfer_id' => DB::table('golfers')->where('id', '<>', $golfer->id)->value('id')]);
    expect(foundFor($this, $coach, $golfer->pseudonym))->toHaveKeys(['Golfers', 'Recordings']);
    DB::statement('alter table sitting_cases disable trigger user');
    $open = $this->round('Autumn');
    $open->members()->syncWithoutDetaching([$coach->id]);
    $open->addCase(CaseKind::Single, [$recording->id], true, true);
    expect(foundFor($this, $coach, $golfer->pseudonym))->not->toHaveKeys(['Golfers'])->not->toHaveKey('Recordings')
        ->and(foundFor($this, $coach, 'no such thing'))->toBe([]);
});

it('takes signs of a pattern for what they are, and refuses what is no text', function () {
    $coach = $this->headCoach();
    expect(array_keys(foundFor($this, $coach, '%')))->toBe(['Words'])
        ->and(foundFor($this, $coach, '_'))->not->toHaveKey('Golfers')
        ->and(foundFor($this, $coach, '\\'))->toBe([])
        ->and(foundFor($this, $coach, "' or 1=1 --"))->toBe([])
        ->and(foundFor($this, $coach, '   '))->toBe([]);
    $this->getJson('/search?q[]=a')->assertStatus(422);
    $this->getJson('/search?q='.str_repeat('a', 81))->assertStatus(422);
    $this->get('/search?q=<script>alert(1)</script>')->assertOk()->assertDontSee('<script>alert', false);
    $this->get('/search?q=kit')->assertOk()->assertSee('Kit Marlpit')->assertSee('One place to go to');
    app('auth')->forgetGuards();
    $this->get('/search?q=kit')->assertRedirect('/login');
});
