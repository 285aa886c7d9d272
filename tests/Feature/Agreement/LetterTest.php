<?php

use App\Sight\Onlookers;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

function letterOf(object $test, string $of, string $asks, string $form = '')
{
    $round = $test->round('Spring');

    return $test->actingAs($test->person($asks))
        ->get("/agreement/{$round->public_id}/people/{$test->person($of)->id}/letter$form");
}

it('writes to an instructor what is seen well, what to look at next, and what cannot be said yet', function () {
    letterOf($this, 'tam', 'tam')->assertOk()
        ->assertSee('Dear Tam')
        ->assertSee('What you see well')
        ->assertSee('What to look at next')
        ->assertSee('What your drills would have done')
        ->assertSee('What cannot be said yet')
        ->assertSee('Warm up');
    letterOf($this, 'tam', 'maren')->assertOk()->assertSee('Dear Tam');
    foreach (['kit', 'odile'] as $other) {
        letterOf($this, 'tam', $other)->assertNotFound();
        letterOf($this, 'tam', $other, '.pdf')->assertNotFound();
    }
});

it('lays it out as a PDF that holds no script and fetches nothing', function () {
    $answer = letterOf($this, 'tam', 'tam', '.pdf')->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $pdf = (string) $answer->baseResponse->getContent();
    expect($pdf)->toStartWith('%PDF-')->not->toContain('/JavaScript')->not->toContain('/URI')
        ->and(strlen($pdf))->toBeGreaterThan(5_000)
        ->and($answer->headers->get('Content-Disposition'))->toContain('letter-Spring-round-Tam-Brackley.pdf');
});

it('tells nobody by a letter of a swing that waits to be read blind again', function () {
    $before = (string) letterOf($this, 'tam', 'tam')->getContent();
    $recordings = $this->round('Spring')->cases()->with('swings')->get()
        ->map(fn ($c): int => $c->swings->firstOrFail()->recording_id)->all();
    $round = app(PlanRound::class)('Again', SittingKind::Round, array_values(array_unique($recordings)),
        [$this->person('kit')->id], 'both', $this->headCoach());
    DB::statement('alter table sittings disable trigger user');
    $round->members()->attach($this->person('tam'));
    $round->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    $after = (string) letterOf($this, 'tam', 'tam')->assertOk()->getContent();
    expect($before)->toContain('What you see well')
        ->and($after)->toContain('None of your calls of this round is scored')
        ->not->toContain('What you see well')
        ->not->toContain('on average');
});

it('gives the same file for the same letter', function () {
    $this->freezeTime();
    $once = (string) letterOf($this, 'tam', 'tam', '.pdf')->baseResponse->getContent();
    expect((string) letterOf($this, 'tam', 'tam', '.pdf')->baseResponse->getContent() === $once)->toBeTrue()
        ->and((string) letterOf($this, 'kit', 'kit', '.pdf')->baseResponse->getContent() === $once)->toBeFalse();
});
