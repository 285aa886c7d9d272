<?php

use App\Agreement\Actions\ComputeResult;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\Reading;
use Illuminate\Support\Facades\DB;

it('shows one’s own calls that differ from the key by pages, as many as counting one by one finds', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    DB::statement('alter table calls disable trigger user');
    $readings = Reading::query()
        ->where('user_id', $kit->id)
        ->where('stage', 'blind')
        ->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->with('case')
        ->orderBy('position')
        ->get();
    // Everything is called present, so that there is more than a page.
    Call::query()->whereIn('reading_id', $readings->modelKeys())->where('presence', '<>', 'cannot-tell')->update([
        'presence' => 'present',
        'severity' => 1,
        'sound' => false,
    ]);
    $differ = 0;
    foreach ($readings as $reading) {
        foreach ($reading->calls()->get() as $call) {
            $entry = KeyEntry::query()
                ->where('key_version_id', $round->key_version_id)
                ->where('case_id', $reading->case->case_id)
                ->where('fault', $call->fault)
                ->first();
            $differ += $call->presence->value === 'present' && $entry?->scoredLabel() === 'absent' ? 1 : 0;
        }
    }
    $at = "/agreement/$round->public_id?part=calls";
    $rows = fn (string $at): int => substr_count($this->actingAs($kit)->get($at)->assertOk()->getContent(), '<tr>') - 1;
    expect($differ)->toBeGreaterThan(50);
    $this->actingAs($kit)->get($at)->assertSee("$differ calls differ");
    expect($rows($at))
        ->toBe(50)
        ->and($rows("$at&page=2"))
        ->toBe(min(50, $differ - 50));
    $this->get("$at&page=99")->assertOk();
    $this->get("$at&page=x")->assertOk();
});

it('tells a person of forty sure mistakes and where the others stand', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table readings disable trigger user');
    Call::query()
        ->whereIn('reading_id', Reading::query()->where('user_id', $kit->id)->select('id'))
        ->where('presence', 'absent')
        ->update(['presence' => 'present', 'severity' => 1, 'confidence' => 100, 'sound' => false]);
    $round->readings()->update(['readings.version' => 9]);
    app(ComputeResult::class)($round->refresh());
    $page = $this->actingAs($this->headCoach())->get("/agreement/$round->public_id/people/$kit->id")->assertOk();
    preg_match('/(\d+) calls sure and wrong/', $page->getContent(), $all);
    expect((int) $all[1])->toBeGreaterThan(41);
    $page->assertSee(((int) $all[1] - 40).' less sure calls stand in the file');
});
