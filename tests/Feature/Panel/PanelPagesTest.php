<?php

use App\Models\KeyEntry;
use App\Models\User;
use App\Panel\UnsettledEntries;
use App\Sight\Onlookers;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    DB::statement('alter table key_entries disable trigger user');
    $this->panel = $this->round('Winter');
    $this->key = $this->panel->keys()->firstOrFail();
    $this->key->entries()->update(['grade' => 'contested', 'label' => 'none', 'ruling' => null]);
});

it('shows decisions by pages, open conflicts first, then rulings, and goes to the one asked for', function () {
    $ids = $this->key->entries()->orderBy('id')->pluck('id')->all();
    KeyEntry::query()->whereKey([$ids[60], $ids[80]])->update(['grade' => 'conflict', 'label' => 'present']);
    KeyEntry::query()->whereKey($ids[70])->update([
        'grade' => 'conflict',
        'label' => 'present',
        'ruling' => 'absent',
        'ruling_reason' => 'seen again by two of us',
        'ruled_by' => $this->headCoach()->id,
        'ruled_at' => now(),
    ]);
    $order = array_column(
        app(UnsettledEntries::class)->ofKeys(new Collection([$this->key->load('sitting')]), $this->headCoach()),
        'id',
    );
    expect(array_slice($order, 0, 4))
        ->toBe([$ids[60], $ids[80], $ids[70], $ids[0]])
        ->and($order)
        ->toHaveCount(count($ids));
    $at = "/panel/{$this->panel->public_id}";
    $shown = function (string $at): array {
        $page = $this->actingAs($this->headCoach())->get($at)->assertOk()->getContent();
        preg_match_all('/id="e(\d+)"/', $page, $found);

        return array_map(intval(...), $found[1]);
    };
    expect($shown($at))
        ->toBe(array_slice($order, 0, 15))
        ->and($shown("$at?decide=2"))
        ->toBe(array_slice($order, 15, 15))
        ->and($shown("$at?entry=$order[100]"))
        ->toContain($order[100])
        ->and($shown("$at?entry=999999999"))
        ->toBe(array_slice($order, 0, 15));
    foreach (['entry=x', 'decide=0', 'page=-1', 'decide[]=1'] as $ask) {
        $this->get("$at?$ask")->assertRedirect();
    }
    // Today shows ten, and says how many stand elsewhere.
    $this->get('/')
        ->assertOk()
        ->assertSee('2 in conflict, '.(count($ids) - 3).' contested')
        ->assertSee((count($ids) - 11).' more stand with their panels')
        ->assertSee("entry=$ids[60]", false);
});

it('counts nobody’s decision on a swing that waits for a blind reading of theirs', function () {
    $reader = User::query()->create([
        'name' => 'Head who reads',
        'email' => 'reads@fernhollow.example',
        'password' => 'x',
        'role' => 'head-coach',
    ]);
    $count = fn (User $user): int => count(
        app(UnsettledEntries::class)->ofKeys(new Collection([$this->key->load('sitting')]), $user),
    );
    $all = $count($reader);
    DB::statement('alter table seats disable trigger user');
    $open = $this->round('Autumn');
    $open->members()->attach($reader);
    app(Onlookers::class)->forget();
    $hidden = $this->key->entries()->whereIn('case_id', $open->cases()->select('case_id'))->count();
    expect($hidden)->toBeGreaterThan(0)->and($count($reader))->toBe($all - $hidden);
    $page = $this->actingAs($reader)->get("/panel/{$this->panel->public_id}")->assertOk();
    $page->assertDontSee((string) $all);
    foreach ($open->cases()->with('recording.golfer')->get() as $case) {
        $page->assertDontSee($case->recording->golfer->pseudonym);
    }
});
