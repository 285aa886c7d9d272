<?php

use App\Models\CaseSwing;
use App\Models\RatedCase;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;

it('offers what is chosen first, then what fits, and knows nothing of what is hidden from who plans', function () {
    $head = $this->headCoach();
    $all = Recording::query()->with('golfer')->orderBy('id')->get();
    [$first, $last] = [$all->first(), $all->last()];
    $name = fn (Recording $r): string => "{$r->golfer->pseudonym}, $r->club";
    $page = fn (User $user, array $ask) => $this->actingAs($user)->get('/rounds/plan/choices?'.http_build_query($ask));
    $page($head, ['find' => $last->golfer->pseudonym, 'recordings' => [$first->id]])
        ->assertOk()
        ->assertSeeInOrder([$name($first), $name($last)])
        ->assertSee('value="'.$first->id.'" checked', false);
    // Signs of a pattern stand for themselves; nothing fits them, and what is chosen stays.
    foreach (['%', '_', '\\', "' or true --", '<b>'] as $find) {
        $page($head, ['find' => $find, 'recordings' => [$first->id]])
            ->assertOk()
            ->assertSee($name($first))
            ->assertDontSee($name($last))
            ->assertDontSee('<b>', false);
    }
    // Who still reads a recording blind cannot have it shown by choosing it.
    $reader = User::query()->create([
        'name' => 'Head who reads',
        'email' => 'reads@fernhollow.example',
        'password' => 'x',
        'role' => 'head-coach',
    ]);
    $round = $this->round('Autumn');
    DB::statement('alter table sittings disable trigger user');
    DB::statement('alter table seats disable trigger user');
    $round->members()->attach($reader);
    $hidden = $round->cases()->with('recording.golfer')->firstOrFail()->recording;
    foreach ([[], ['recordings' => [$hidden->id]], ['pairs' => [['before' => $hidden->id]]]] as $ask) {
        $page($reader, ['find' => $hidden->golfer->pseudonym, ...$ask])
            ->assertOk()
            ->assertDontSee('value="'.$hidden->id.'"', false);
    }
    $this->actingAs($reader)
        ->post('/rounds', [
            'name' => 'x',
            'kind' => 'round',
            'show' => 'both',
            'recordings' => [$hidden->id],
            'members' => [$this->person('tam')->id],
        ])
        ->assertSessionHasErrors('recordings');
});

it('takes no choice that is none', function () {
    $this->actingAs($this->headCoach());
    $long = 'find='.str_repeat('a', 90);
    foreach (['recordings[]=x', 'recordings=3', 'pairs[0][before]=x', 'find[]=a', 'series=a', $long] as $ask) {
        $this->get("/rounds/plan/choices?$ask")->assertRedirect();
    }
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get('/rounds/plan/choices')->assertForbidden();
    }
});

it('plans nothing with people or recordings that are not there, and asks for all at once', function () {
    $head = $this->headCoach();
    $ids = Recording::query()->orderBy('id')->pluck('id')->all();
    $plan = fn (array $with) => $this->actingAs($head)->post('/rounds', [
        'name' => 'Many',
        'kind' => 'round',
        'show' => 'both',
        'recordings' => array_slice($ids, 0, 4),
        'members' => [$this->person('tam')->id],
        ...$with,
    ]);
    $before = Sitting::query()->count();
    $plan(['recordings' => [$ids[0], 999999]])->assertSessionHasErrors('recordings');
    $plan(['members' => [999999]])->assertSessionHasErrors('members');
    $plan(['pairs' => [['before' => $ids[0], 'after' => 999999]]])->assertSessionHasErrors('recordings');
    $plan(['recordings' => [$ids[0], $ids[0]]])->assertSessionHasErrors();
    $plan(['recordings' => [[$ids[0]]]])->assertSessionHasErrors();
    expect(Sitting::query()->count())->toBe($before);
    $asked = function (int $n) use ($plan, $ids): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $plan(['recordings' => array_slice($ids, 0, $n)])->assertSessionHas('done');

        return count(DB::getQueryLog());
    };
    $asked(3);
    expect($asked(8))->toBe($asked(4));
});

it('makes a case once, whoever asks how often', function () {
    $ids = Recording::query()->orderBy('id')->limit(3)->pluck('id')->all();
    $single = static fn (int $id): array => ['kind' => CaseKind::Single, 'recordings' => [$id]];
    $series = ['kind' => CaseKind::Series, 'recordings' => $ids];
    $before = RatedCase::query()->count();
    $made = RatedCase::of([$single($ids[1]), $series, $single($ids[0]), $series]);
    expect($made[1])
        ->toBe($made[3])
        ->and(RatedCase::of([$series]))
        ->toBe([$made[1]])
        ->and(RatedCase::ofRecordings(CaseKind::Single, [$ids[0]])->id)
        ->toBe($made[2])
        ->and(RatedCase::query()->count())
        ->toBe($before + 1)
        ->and(CaseSwing::query()->where('case_id', $made[1])->orderBy('position')->pluck('recording_id')->all())
        ->toBe($ids);
});

it('says while a round is planned what it will be able to say, from what may be planned with', function () {
    $ids = Recording::query()->orderBy('id')->limit(12)->pluck('id')->all();
    $ask = fn (array $with) => $this->actingAs($this->headCoach())
        ->get('/rounds/plan/forecast?'.http_build_query($with));
    $n = count($ids);
    $golfers = Recording::query()->whereKey($ids)->distinct()->count('golfer_id');
    $minutes = 4 * ($n + 2);
    $hours = number_format($minutes * 8 / 60, 1);
    $ask(['recordings' => $ids, 'readers' => 8, 'again' => 2])->assertOk()
        ->assertSee("$n cases of $golfers golfers, read by 8 people")
        ->assertSee("about $minutes minutes, $hours hours together")
        ->assertDontSee('<html', false);
    $ask([])->assertOk()->assertSee('Tick cases and people');
    // What is hidden from who plans is not counted; what is no number is refused.
    $ask(['recordings' => [...$ids, 999_999_999], 'readers' => 1])->assertSee("$n cases");
    $this->getJson('/rounds/plan/forecast?recordings[]=x')->assertUnprocessable();
    $this->actingAs($this->person('tam'))->get('/rounds/plan/forecast')->assertForbidden();
});
