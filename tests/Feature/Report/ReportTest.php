<?php

use App\Models\DebriefDecision;
use App\Models\Golfer;
use App\Models\RoundReport;
use App\Models\Sitting;
use App\Report\Actions\WriteReport;
use App\Report\Pages\BoardPage;
use App\Report\Pages\ReportPage;
use App\Report\ReportFacts;
use App\Sight\Onlookers;
use App\Sittings\Actions\PlanRound;
use Core\Consensus\LiesIn;
use Core\Sight\SittingKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

function reportOf(object $test, string $form = '', string $asks = 'maren')
{
    return $test->actingAs($test->person($asks))->get("/reports/{$test->round('Spring')->public_id}$form");
}

/** The report's own text, without the frame of its page. */
function reportText(object $test, string $form = ''): string
{
    $html = (string) reportOf($test, $form)->assertOk()->getContent();

    return html_entity_decode(strip_tags(substr($html, (int) strpos($html, '<article'))), ENT_QUOTES);
}

it('answers every item of the guideline, each under a heading that stands in the report', function () {
    $page = app(ReportPage::class)->of($this->round('Spring'));
    $text = reportText($this);
    expect(array_column($page['items'], 'number'))->toBe(range(1, 15));
    foreach ($page['items'] as $item) {
        expect($item['says'])->not->toStartWith('report.')->and($item['in'])->not->toBe('');
        foreach (explode('; ', $item['in']) as $head) {
            $head === 'the title' || expect(substr_count($text, $head))->toBeGreaterThan(1);
        }
    }
});

it('says how the round was held, as it was', function () {
    $round = $this->round('Spring');
    $facts = ReportFacts::of($round);
    $readings = $round->readings()->whereNotNull('handed_in_at');
    expect($facts->numbers->readers)->toBe((clone $readings)->distinct()->count('user_id'))
        ->and($facts->numbers->handedIn)->toBe($readings->count())
        ->and($facts->numbers->calls)->toBe(DB::table('calls')->whereIn('reading_id', $readings->select('readings.id'))
        ->count())
        ->and($facts->numbers->members)->toBe($round->keyVersion->sitting->members()->count())
        ->and(array_sum($facts->kinds))->toBe($facts->numbers->cases)
        ->and(array_sum($facts->shown))->toBe($facts->numbers->cases)
        ->and($facts->questions())->toBe($round->keyVersion->entries()
        ->whereIn('case_id', $round->cases()->select('case_id'))->count());
    $text = reportText($this);
    expect($text)->toContain($round->seed)
        ->toContain((string) $round->result->inputs_checksum)
        ->toContain((string) $round->keyVersion->inputs_checksum)
        ->toContain("{$facts->numbers->handedIn} of {$facts->numbers->dealt} sheets");
});

it('names no golfer and no reader, on the page, on paper and on the board’s page', function () {
    $round = $this->round('Spring');
    $names = [
        ...$round->members()->pluck('name'), ...$round->keyVersion->sitting->members()->pluck('name'),
        ...Golfer::query()->pluck('pseudonym'),
    ];
    $paper = view('report.paper', app(ReportPage::class)->printed($round))->render();
    $board = view('report.board-paper', app(BoardPage::class)->of($round))->render();
    foreach ([reportText($this), reportText($this, '/board'), $paper, $board] as $text) {
        foreach ($names as $name) {
            foreach ([$name, explode(' ', $name)[0], explode(' ', $name)[1] ?? $name] as $part) {
                expect(preg_match('/\b'.preg_quote($part, '/').'\b/', $text))->toBe(0, "$part is named");
            }
        }
        expect($text)->not->toMatch('/\bu\d+\b/')->not->toMatch('/report\.[a-z]/')->not->toContain(':share');
    }
});

it('shows nobody’s figures where fewer than five read', function () {
    $round = $this->round('Spring');
    $keep = $round->members()->orderBy('users.id')->limit(4)->pluck('users.id');
    DB::statement('alter table readings disable trigger user');
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table reading_changes disable trigger user');
    $round->readings()->whereNotIn('readings.user_id', $keep)->delete();
    app(App\Agreement\Actions\ComputeResult::class)->keep(
        $round,
        app(App\Agreement\Actions\ComputeResult::class)->make($round->refresh(), App\Works\Progress::untold()),
    );
    $page = app(ReportPage::class)->of($round->refresh());
    expect($page['key']['shown'])->toBeFalse()
        ->and($page['key']['rows'])->toBe([])
        ->and($page['advice']['beside'] ?? [])->toBe([]);
    expect(reportText($this))->toContain('fewer than five readers')->not->toContain('Reader 1')
        ->not->toContain('the middle reader');
    expect(reportText($this, '/board'))->toContain('Fewer than five instructors took part')->not->toContain('%');
});

it('is laid out as PDF with its figures in it, the board’s page on one page however much is said', function () {
    $round = $this->round('Spring');
    $write = app(WriteReport::class);
    $write($round, ['purpose' => 'Why', 'readers' => 'Who', 'meaning' => str_repeat("Much is said here.\n", 40)],
        0, $this->headCoach());
    $session = heldDebrief($this);
    foreach (range(1, 20) as $i) {
        DebriefDecision::query()->create(['debrief_session_id' => $session->id, 'fault' => '',
            'lies' => LiesIn::cases()[0], 'what' => "Decision $i ".str_repeat('long ', 70),
            'owner_id' => $this->headCoach()->id, 'decided_at' => now()]);
    }
    $report = (string) reportOf($this, '/report.pdf')->assertOk()->assertHeader('Content-Type', 'application/pdf')
        ->baseResponse->getContent();
    $board = (string) reportOf($this, '/board.pdf')->assertOk()->baseResponse->getContent();
    $pages = static fn (string $pdf): int => preg_match_all('#/Type\s*/Page\b#', $pdf);
    expect($report)->toStartWith('%PDF-')->not->toContain('/JavaScript')->not->toContain('/URI')
        ->and($pages($report))->toBeGreaterThan(3)
        ->and($pages($board))->toBe(1);
    // Its figures are drawn: every fault's name and mark stands in the picture.
    $printed = app(ReportPage::class)->printed($round);
    $svg = base64_decode(substr($printed['pictures']['faults'], strlen('data:image/svg+xml;base64,')));
    expect(substr_count($svg, '<circle'))->toBe(count($printed['byFault']['broad']->marks))
        ->and(simplexml_load_string($svg))->not->toBeFalse()
        ->and($svg)->not->toContain('class=')->not->toContain('style=');
});

it('escapes what the head coach says, and keeps line breaks', function () {
    $round = $this->round('Spring');
    $this->actingAs($this->headCoach())->put("/reports/{$round->public_id}", [
        'purpose' => "<script>alert(1)</script>\r\nSecond line", 'readers' => '', 'meaning' => '<img src=x>',
        'revision' => 0,
    ])->assertRedirect("/reports/{$round->public_id}")->assertSessionHas('done');
    expect(RoundReport::of($round)->purpose)->toBe("<script>alert(1)</script>\nSecond line");
    $html = (string) reportOf($this)->getContent().reportOf($this, '/board')->getContent();
    expect($html)->not->toContain('<script>alert')->not->toContain('<img src=x')
        ->toContain('&lt;script&gt;alert(1)&lt;/script&gt;');
});

it('loses nobody’s words when two change them: the second is told, and finds theirs still there', function () {
    $round = $this->round('Spring');
    $this->actingAs($this->headCoach());
    $url = "/reports/{$round->public_id}";
    $this->put($url, ['purpose' => 'First', 'readers' => '', 'meaning' => '', 'revision' => 0])
        ->assertSessionHas('done');
    $this->from($url)->put($url, ['purpose' => 'Second', 'readers' => '', 'meaning' => '', 'revision' => 0])
        ->assertRedirect($url)->assertSessionHas('refused');
    expect(RoundReport::of($round)->purpose)->toBe('First');
    $this->get($url)->assertSee('Somebody else changed these words')->assertSee('Second')
        ->assertSee('name="revision" value="1"', false);
    // The same once more, as a reload would send it, is no change and no conflict.
    $this->put($url, ['purpose' => 'First', 'readers' => '', 'meaning' => '', 'revision' => 0])
        ->assertSessionHas('done');
    expect(RoundReport::of($round)->revision)->toBe(1);
    foreach ([['meaning' => str_repeat('x', 1201)], ['revision' => 'x'], ['purpose' => ['a']]] as $wrong) {
        $this->from($url)->put($url, ['purpose' => '', 'readers' => '', 'meaning' => '', 'revision' => 1, ...$wrong])
            ->assertRedirect($url)->assertSessionHasErrors();
    }
    expect(fn () => DB::table('round_reports')->update(['meaning' => str_repeat('x', 1201)]))
        ->toThrow(QueryException::class);
});

it('is the head coach’s alone, of a published round alone, and waits with what waits', function () {
    foreach (['tam', 'odile'] as $who) {
        foreach (['', '/board', '/report.pdf', '/board.pdf'] as $form) {
            reportOf($this, $form, $who)->assertNotFound();
        }
        $this->actingAs($this->person($who))->get('/reports')->assertForbidden();
    }
    $this->actingAs($this->headCoach())->get('/reports')->assertOk()->assertSee('Spring round');
    foreach (['Autumn', 'Winter'] as $other) {
        $this->get("/reports/{$this->round($other)->public_id}")->assertNotFound();
    }
    // A head coach who is still to read one of its swings blind.
    $round = $this->round('Spring');
    $recordings = $round->cases()->with('swings')->get()
        ->map(static fn ($c): int => $c->swings->firstOrFail()->recording_id)->unique()->values()->all();
    $again = app(PlanRound::class)('Again', SittingKind::Round, $recordings, [$this->person('kit')->id], 'both',
        $this->headCoach());
    DB::statement('alter table sittings disable trigger user');
    $again->members()->attach($this->headCoach());
    $again->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    reportOf($this)->assertOk()->assertDontSee('In short');
    reportOf($this, '/board')->assertOk()->assertDontSee('Surely');
    reportOf($this, '/report.pdf')->assertRedirect();
    reportOf($this, '/board.pdf')->assertRedirect();
    $this->get('/reports')->assertSee('waits')->assertDontSee('report.pdf');
    expect(Sitting::query()->count())->toBeGreaterThan(2);
});
