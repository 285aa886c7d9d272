<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use App\Agreement\Pages\PersonPage;
use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;

function pageOf(Sitting $round, User $person, User $asking): array
{
    return app(PersonPage::class)->of($round, $person, $asking);
}

it('is the head coach’s and one’s own, of a published round one is in', function () {
    $spring = $this->round('Spring');
    $tam = $this->person('tam');
    $kit = $this->person('kit');
    $at = fn (Sitting $round, User $person): string => "/agreement/{$round->public_id}/people/{$person->id}";
    $this->actingAs($tam)->get($at($spring, $tam))->assertOk()->assertSee('calls scored against the key');
    $this->actingAs($tam)->get($at($spring, $kit))->assertNotFound();
    $this->actingAs($this->headCoach())->get($at($spring, $kit))->assertOk()->assertSee('Kit Marlpit');
    $this->actingAs($this->headCoach())->get($at($spring, $this->person('odile')))->assertNotFound();
    $this->actingAs($tam)->get($at($this->round('Autumn'), $tam))->assertNotFound();
    $this->actingAs($this->person('odile'))->get($at($spring, $tam))->assertNotFound();
});

it('counts what the map of the round counts, fault by fault', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    $map = keptBodies($round)['map']['u'.$kit->id];
    $faults = pageOf($round, $kit, $this->headCoach())['faults'];
    expect($faults)->not->toBeEmpty();
    foreach ($faults as $f) {
        expect($f['cells'])->toBe($map[$f['key']]);
    }
    $wrong = array_map(fn (array $f): int => $f['cells'][1] + $f['cells'][2], $faults);
    $sorted = $wrong;
    rsort($sorted);
    expect($wrong)->toBe($sorted);
});

it('tells somebody nothing of a recording that waits for a blind reading of theirs', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    $before = pageOf($round, $kit, $kit);
    $case = $round->cases()->firstOrFail();
    DB::statement('alter table sitting_cases disable trigger user');
    $open = $this->round('Autumn');
    $open->addCase(CaseKind::Single, [$case->recording->id], true, true);
    app(Onlookers::class)->forget();
    $after = pageOf($round->refresh(), $kit, $kit);
    expect($after['n'])->toBeLessThan($before['n'])
        ->and(array_filter($after['sure'], fn (array $s): bool => $s['recording']->is($case->recording)))->toBe([])
        ->and(pageOf($round, $kit, $this->headCoach())['n'])->toBe($before['n']);
});

it('says how right somebody is where surest, beside colleagues at the same share', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    $curve = KeptFigures::ofRound($round)->person($kit->id)->curve;
    $n = pageOf($round, $kit, $kit)['n'];
    expect($curve->answered)->toBe($n)
        ->and($curve->questions)->toBe($n + RoundRatings::ofRound($round, app(Codebooks::class))->leftBy($kit->id))
        ->and($curve->others)->not->toBe([]);
    foreach ([$kit, $this->headCoach()] as $asking) {
        $this->actingAs($asking)
            ->get("/agreement/{$round->public_id}/people/{$kit->id}")
            ->assertOk()
            ->assertSee(__('agreement.person.surest.others'))
            ->assertSee('the surest 50 %');
    }
    // One case that waits for a blind reading of the asker is in it and cannot be taken out.
    DB::statement('alter table sitting_cases disable trigger user');
    $this->round('Autumn')->addCase(CaseKind::Single, [$round->cases()->firstOrFail()->recording->id], true, true);
    app(Onlookers::class)->forget();
    expect(pageOf($round->refresh(), $kit, $kit)['surest'])->toBeNull()
        ->and(pageOf($round, $kit, $this->headCoach())['surest'])->not->toBeNull();
});

it('says what somebody would do beside the panel, and nothing of it while a case waits for the asker', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    $own = collect(KeptFigures::ofRound($round)->advice()->beside)->firstWhere('rater', "u{$kit->id}");
    $rows = pageOf($round, $kit, $kit)['advice'];
    expect($rows)->not->toBe([])
        ->and(array_column($rows, 'figure'))->toEqual(array_values(array_filter(
            $own->figures,
            static fn ($f): bool => $f->estimate !== null,
        )));
    $this->actingAs($kit)->get("/agreement/{$round->public_id}/people/{$kit->id}")->assertOk()
        ->assertSee('First to work on')
        ->assertSee('licensed professionals');
    DB::statement('alter table sitting_cases disable trigger user');
    $this->round('Autumn')->addCase(CaseKind::Single, [$round->cases()->firstOrFail()->recording->id], true, true);
    app(Onlookers::class)->forget();
    expect(pageOf($round->refresh(), $kit, $kit)['advice'])->toBe([])
        ->and(pageOf($round, $kit, $this->headCoach())['advice'])->not->toBe([]);
});

it('lists the surest wrong calls, and holds confidence against what was right', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    DB::statement('alter table calls disable trigger user');
    Call::query()
        ->whereIn(
            'reading_id',
            Reading::query()
                ->where('user_id', $kit->id)
                ->whereIn('sitting_case_id', $round->cases()->select('id'))
                ->select('id'),
        )
        ->where('presence', '<>', 'cannot-tell')
        ->update(['confidence' => 100]);
    DB::statement('alter table readings disable trigger user');
    $round->readings()->update(['readings.version' => 9]);
    app(ComputeResult::class)($round->refresh());
    $page = pageOf($round, $kit, $this->headCoach());
    $wrong = array_sum(array_map(fn (array $f): int => $f['cells'][1] + $f['cells'][2], $page['faults']));
    expect($page['sure'])
        ->toHaveCount($wrong)
        ->and($page['calibration'])
        ->toHaveCount(1)
        ->and($page['swagger'])
        ->toEqualWithDelta($wrong / $page['n'], 1e-9)
        ->and($page['sure'][0]['entry'])
        ->not->toBeNull();
    $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}/people/{$kit->id}")
        ->assertOk()
        ->assertSee("$wrong calls sure and wrong")
        ->assertSee('more</summary>', false);
});

it('follows a person over all published rounds, in the order handed in', function () {
    $spring = $this->round('Spring');
    $kit = $this->person('kit');
    $one = pageOf($spring, $kit, $this->headCoach());
    DB::statement('alter table sittings disable trigger user');
    DB::statement('alter table readings disable trigger user');
    DB::statement('alter table calls disable trigger user');
    $autumn = $this->round('Autumn');
    Reading::query()
        ->where('user_id', $kit->id)
        ->whereIn('sitting_case_id', $autumn->cases()->select('id'))
        ->whereNull('handed_in_at')
        ->get()
        ->each(function (Reading $r): void {
            Call::query()->upsert(
                [
                    [
                        'reading_id' => $r->id,
                        'fault' => 'sway',
                        'presence' => 'absent',
                        'confidence' => 70,
                        'pins' => '[]',
                    ],
                ],
                ['reading_id', 'fault'],
                ['confidence'],
            );
            Reading::query()
                ->whereKey($r->id)
                ->update(['handed_in_at' => now()]);
        });
    Sitting::query()
        ->whereKey($autumn->id)
        ->update(['state' => 'published', 'published_at' => now(), 'closed_at' => now()]);
    app(ComputeResult::class)($autumn->refresh());
    $two = pageOf($spring, $kit, $this->headCoach());
    expect($two['rounds']->pluck('name')->all())->toBe([$spring->name, $autumn->name])->and($two['n'])->toBe($one['n']);
    foreach ([$spring, $autumn] as $round) {
        foreach ([$this->headCoach(), $kit] as $who) {
            $this->actingAs($who)
                ->get("/agreement/{$round->public_id}/people/{$kit->id}")
                ->assertOk()
                ->assertSee('Without the key');
        }
        $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}")->assertOk();
        $this->actingAs($this->headCoach())->get("/debrief/{$round->public_id}/1")->assertOk();
    }
});

it('scores nobody who helped to make the key, and needs three readers for a model of the calls', function () {
    $round = $this->round('Spring');
    $tam = $this->person('tam');
    DB::statement('alter table sittings disable trigger user');
    $round->keyVersion->sitting->members()->attach($tam);
    app(ComputeResult::class)($round->refresh());
    $page = pageOf($round, $tam, $this->headCoach());
    expect($page['n'])
        ->toBe(0)
        ->and(implode(' ', $page['about']))
        ->toContain('helped to make a key')
        ->and(implode(' ', $page['withoutKey']))
        ->toContain('of 5 starts');
    $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}/people/{$tam->id}")
        ->assertOk()
        ->assertSee('not scored in this round');
    DB::statement('alter table readings disable trigger user');
    Reading::query()
        ->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->whereNotIn('user_id', [$tam->id, $this->person('kit')->id])
        ->update(['handed_in_at' => null]);
    app(ComputeResult::class)($round->refresh());
    expect(pageOf($round, $tam, $this->headCoach())['withoutKey'])->toBe([__('agreement.person.latent.few')]);
});

it('gives a person their record as a file, and nobody a colleague\'s', function () {
    $round = $this->round('Spring');
    $tam = $this->person('tam');
    $path = "/agreement/{$round->public_id}/people/{$tam->id}";
    $this->actingAs($tam)
        ->get($path)
        ->assertOk()
        ->assertSee("$path/record");
    $file = $this->get("$path/record")
        ->assertOk()
        ->assertHeader('Content-Disposition')
        ->json();
    expect($file['version'])
        ->toBe(1)
        ->and($file['calls'])
        ->not->toBe([])
        ->and($file['figures']['sensitivity']['estimate'])
        ->toBeFloat()
        ->and(array_sum(array_column($file['items'], 'found')) + array_sum(array_column($file['items'], 'missed')))
        ->toBe(count(array_filter($file['calls'], fn (array $c): bool => $c['key'])));
    foreach (
        App\Models\User::query()
            ->whereNotIn('id', [$tam->id])
            ->get() as $other
    ) {
        expect(
            $this->actingAs($other)
                ->get("$path/record")
                ->status(),
        )->toBe($other->isHeadCoach() ? 200 : 404, $other->name);
    }
});
