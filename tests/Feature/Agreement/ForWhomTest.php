<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use Core\Agreement\Coefficient\Benchmark;
use Core\Chance\Chance;
use Illuminate\Support\Facades\DB;

/** Every call of a round anew, as readers who call present at random in a share of the questions. */
function atRandom(App\Models\Sitting $round, float $rate): void
{
    foreach (['sittings', 'readings', 'calls'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $chance = new Chance("random $rate");
    $calls = DB::table('calls')
        ->whereIn('reading_id', DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_id', $round->id)
            ->select('readings.id'))
        ->orderBy('id')
        ->pluck('id');
    $present = $calls->filter(fn (): bool => $chance->uniform() < $rate);
    DB::table('calls')->whereIn('id', $calls)->update([
        'presence' => 'absent', 'severity' => null, 'onset' => null, 'decision' => null, 'pins' => '[]',
        'reaction' => null, 'sound' => false,
    ]);
    DB::table('calls')->whereIn('id', $present)->update(['presence' => 'present', 'severity' => 1]);
    DB::table('sitting_results')->where('sitting_id', $round->id)->update(['core_version' => 'before']);
    app(ComputeResult::class)($round->refresh());
}

it('heads a round with agreement on present, for these readers and for readers like them', function () {
    $round = $this->round('Spring');
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}")->assertOk();
    $tiles = strstr(strstr($page->getContent(), '<div class="tiles">'), 'Words used here', true);
    expect(strpos($tiles, 'another says present when one does'))->toBeLessThan(strpos($tiles, 'Krippendorff’s α'))
        ->and(strpos($tiles, 'Krippendorff’s α'))->toBeLessThan(strpos($tiles, 'AC1, beyond chance'))
        ->and(substr_count($tiles, 'these 8 readers: '))->toBe(4)
        ->and(substr_count($tiles, 'readers like them: '))->toBe(4)
        ->and($tiles)->toContain('Agreement on “present” is the figure to go by');
    $page->assertSee('The cases come from few golfers')->assertSee('below 15 the interval is rough');
    // The band behind is never narrower than the interval.
    preg_match_all(
        '/<line class="band" x1="([\d.]+)" x2="([\d.]+)"[^>]*>\s*<line x1="([\d.]+)" x2="([\d.]+)"/',
        $page->getContent(),
        $lines,
        PREG_SET_ORDER,
    );
    foreach ($lines as [, $from, $to, $low, $high]) {
        expect((float) $from)->toBeLessThanOrEqual((float) $low)
            ->and((float) $to)->toBeGreaterThanOrEqual((float) $high);
    }
});

it('puts people in the order their calls allow, for the head coach only', function () {
    $round = $this->round('Spring');
    $order = KeptFigures::ofRound($round)->summary()->order;
    expect($order->people)->toHaveCount(8);
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}?part=people")->assertOk();
    $at = 0;
    foreach ($order->people as $person) {
        $name = App\Models\User::query()->findOrFail((int) substr($person->rater, 1))->name;
        $next = strpos($page->getContent(), $name, $at);
        expect($next)->not->toBeFalse($name);
        $at = (int) $next;
    }
    $page->assertSee('people whose ranges overlap are tied')->assertSee('If all had had the same questions');
    $this->actingAs($this->person('tam'))
        ->get("/agreement/{$round->public_id}")
        ->assertOk()
        ->assertDontSee('people whose ranges overlap are tied')
        ->assertDontSee('If all had had the same questions');
});

it('counts golfers on a person\'s page as on the round\'s', function () {
    $round = $this->round('Spring');
    $kit = $this->person('kit');
    $kept = KeptFigures::ofRound($round);
    $row = array_column($kept->summary()->againstKey, null, 'rater')["u$kit->id"];
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}/people/{$kit->id}")->assertOk();
    $percent = static fn (?float $v): string => (string) round(100 * $v).' %';
    $page->assertSee($percent($row->figures['sensitivity']->low).' to '.$percent($row->figures['sensitivity']->high))
        ->assertSee('intervals over golfers');
});

it('gives readers who call at random no word anywhere', function () {
    $round = $this->round('Spring');
    atRandom($round, 0.02);
    $summary = KeptFigures::ofRound($round)->summary();
    expect($summary->pooled->coefficients['gwet_ac1']->estimate)->toBeGreaterThan(0.9)
        ->and(abs($summary->pooled->coefficients['krippendorff_alpha']->estimate))->toBeLessThan(0.1);
    $words = [];
    foreach (Benchmark::cases() as $scale) {
        array_push($words, ...array_column($scale->levels(), 0));
    }
    // Words that a page may use of something else.
    $words = array_diff($words, ['poor', 'good', 'fair']);
    $kit = $this->person('kit');
    foreach (['', '?part=people', '?part=faults', '?part=pairs', '?part=shown', '?part=times', "/people/$kit->id"] as $part) {
        $text = strip_tags($this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}$part")->assertOk()->getContent());
        foreach ($words as $word) {
            expect($text)->not->toMatch('/\b'.preg_quote($word, '/').'\b/i', "$part: $word");
        }
    }
    $page = $this->get("/agreement/{$round->public_id}")->assertOk();
    $page->assertSee('people who call at random have a high AC1');
});

it('refuses to say what changed where a round before has other cases, and to whom it may not be told', function () {
    $round = $this->round('Spring');
    $this->actingAs($this->person('tam'))->get("/agreement/{$round->public_id}")->assertOk()->assertDontSee('Since ');
});
