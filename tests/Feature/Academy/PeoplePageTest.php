<?php

use App\Models\Enums\UserState;
use App\Models\Group;
use App\Models\User;
use Core\Sight\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** @return list<string> the names a page of people lists, in its order */
function namesOn(TestResponse $page): array
{
    preg_match_all('#/people/\d+">([^<]+)</a>#', $page->assertOk()->getContent(), $m);

    return $m[1];
}

it('lists head coaches first, then the panel, then instructors, each by name', function () {
    $names = namesOn($this->actingAs($this->headCoach())->get('/people'));
    $by = User::query()->get()->keyBy('name');
    $rank = [Role::HeadCoach->value => 0, Role::Panel->value => 1, Role::Instructor->value => 2];
    $ranks = array_map(fn (string $name): int => $rank[$by[$name]->role->value], $names);
    $sorted = $ranks;
    sort($sorted);
    expect($names)->toHaveCount(User::query()->count())->and($ranks)->toBe($sorted);
    foreach ([1, 2] as $of) {
        $those = array_values(array_intersect_key($names, array_filter($ranks, fn (int $r): bool => $r === $of)));
        $inOrder = $those;
        sort($inOrder);
        expect($those)->toBe($inOrder);
    }
});

it('finds by name, address and group, and shows those who left only when asked', function () {
    $this->actingAs($this->headCoach());
    expect(namesOn($this->get('/people?find=brack')))->toBe(['Tam Brackley'])
        ->and(namesOn($this->get('/people?find=INES@')))->toBe(['Ines Foxcroft'])
        ->and(namesOn($this->get('/people?find=%25')))->toBe([])
        ->and(namesOn($this->get('/people?find=nobody-at-all')))->toBe([]);
    $group = Group::query()->where('name', 'Lake range')->sole();
    expect(namesOn($this->get("/people?group=$group->id")))->toHaveCount(4);
    $this->person('kit')->forceFill(['state' => UserState::Left])->save();
    expect(namesOn($this->get('/people')))->not->toContain('Kit Marlpit')
        ->and(namesOn($this->get('/people?gone=1')))->toContain('Kit Marlpit');
    foreach (['group=x', 'group=99999999999999999999', 'group[]=1', 'find[]=a', 'gone[]=1', 'page=0',
        'page=x'] as $odd) {
        $this->get("/people?$odd")->assertOk();
    }
});

it('shows many people by pages, with as many queries as few', function () {
    $this->actingAs($this->headCoach());
    $count = function (): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->get('/people')->assertOk();
        DB::disableQueryLog();

        return count(DB::getQueryLog());
    };
    // What is kept for a request is kept.
    $count();
    $few = $count();
    for ($i = 0; $i < 90; $i++) {
        User::query()->create(['name' => sprintf('Zed %03d', $i), 'email' => "z$i@f.example", 'password' => 'x',
            'role' => Role::Instructor]);
    }
    expect($count())->toBe($few)->toBeLessThan(20);
    $first = namesOn($this->get('/people'));
    $second = namesOn($this->get('/people?page=2'));
    expect($first)->toHaveCount(60)->and(array_intersect($first, $second))->toBe([])
        ->and(count($first) + count($second))->toBe(User::query()->count());
});

it('says how many cases wait for whom, without those left out and without what is private', function () {
    $tam = $this->person('tam');
    $autumn = $this->round('Autumn');
    $left = $autumn->readings()->where('user_id', $tam->id)->whereNull('readings.handed_in_at')->count();
    $this->actingAs($this->headCoach());
    $row = function () use ($tam): string {
        preg_match("#/people/$tam->id\">.*?</tr>#s", $this->get('/people')->getContent(), $m);

        return preg_replace('/\s+/', ' ', strip_tags($m[0]));
    };
    expect($left)->toBeGreaterThan(0)->and($row())->toContain($left === 1 ? 'one case' : "$left cases");
    DB::table('seats')->where('user_id', $tam->id)->update(['left_out_at' => now()]);
    expect($row())->not->toContain('case');
});

it('names the browser of a session by how it signs itself, and nothing it cannot tell', function (string $signed,
    string $says) {
    $tam = $this->person('tam');
    DB::table('sessions')->insert(['id' => 'a', 'user_id' => $tam->id, 'payload' => '', 'last_activity' => time(),
        'user_agent' => $signed, 'ip_address' => '127.0.0.1']);
    $this->actingAs($tam)->get('/account')->assertOk()->assertSee($says);
})->with([
    ['Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 Chrome/130.0 Safari/537.36 Edg/130.0',
        'Edge on Windows'],
    ['Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) AppleWebKit/605.1.15 Version/17.0 Safari/604.1', 'Safari on iPad'],
    ['Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/130.0 Mobile Safari/537.36', 'Chrome on Android'],
    ['Mozilla/5.0 (Macintosh; Intel Mac OS X 14_0) AppleWebKit/605.1.15 Version/17.0 Safari/605.1.15', 'Safari on Mac'],
    ['curl/8.0', 'another program'],
    ['<script>alert(1)</script>', 'another program'],
    ['', 'another program'],
]);
