<?php

use App\Models\AuditEntry;
use App\Models\Call;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sittings\Actions\HandInReading;
use Core\Codebook\Codebook;
use Core\Reading\Stage;
use Core\Sight\Scope;
use Core\Sight\SittingKind;

/** Makes a person the golfer of this recording. */
function isGolfer(User $user, Recording $recording): Recording
{
    $user->forceFill(['golfer_id' => $recording->golfer_id])->save();

    return $recording;
}

/** A reading with every call made. */
function called(Reading $reading): Reading
{
    foreach (Codebook::standard()->keys() as $fault) {
        Call::query()->updateOrCreate(['reading_id' => $reading->id, 'fault' => $fault],
            ['presence' => 'absent', 'confidence' => 70]);
    }

    return $reading->fresh();
}

it('opens a person’s own swing in a private review: blind, then with the ball and the numbers', function () {
    $kit = $this->person('kit');
    $mine = isGolfer($kit, Recording::query()->orderBy('id')->firstOrFail());
    $this->actingAs($kit)->get('/account')->assertSee('/own');
    $this->get('/own')->assertOk()->assertSee($mine->club)->assertSee('not looked at');
    $this->get("/bench/$mine->public_id")->assertNotFound();
    $to = $this->post("/own/$mine->public_id")->headers->get('Location');
    $reading = Reading::query()->whereHas('case.sitting', fn ($q) => $q->where('kind', SittingKind::Review))->sole();
    expect($to)->toEndWith("/read/$reading->public_id");
    // Begun once, however often it is pressed.
    expect($this->post("/own/$mine->public_id")->headers->get('Location'))->toBe($to);
    $page = $this->get($to)->assertOk();
    expect($page->getContent())->not->toContain('class="outcome"');
    $this->get("$to/evidence/1")->assertOk();
    $this->postJson("$to/changes", $this->changes($this->sheet()))->assertOk();
    app(HandInReading::class)(called($reading), $kit);
    $second = Reading::query()->where('sitting_case_id', $reading->sitting_case_id)
        ->where('stage', Stage::Reveal)->sole();
    $this->get("/read/$second->public_id")->assertOk()->assertSee('class="outcome"', false);
    $this->get('/own')->assertSee('the ball and the numbers are in sight')->assertSee("/read/$second->public_id");
    // Nor does it wait for anybody today.
    $this->get('/')->assertOk()->assertDontSee("/read/$second->public_id");
});

it('lets nobody see that there is a private review, and counts it nowhere', function () {
    $kit = $this->person('kit');
    $head = $this->headCoach();
    $mine = isGolfer($kit, Recording::query()->orderBy('id')->firstOrFail());
    $pages = ['/', '/rounds', '/people', "/people/$kit->id", '/panel', '/agreement', '/debrief', '/record',
        '/search?q=review', "/golfers/$mine->golfer_id", '/shelf', "/bench/$mine->public_id", '/rounds/plan'];
    $seen = fn (): array => array_map(fn (string $path): string => (string) preg_replace(
        ['/csrf-token" content="[^"]*/', '/name="_token" value="[^"]*/'],
        '',
        $this->actingAs($head)->get($path)->getContent(),
    ), $pages);
    $before = $seen();
    $entries = AuditEntry::query()->count();
    $this->actingAs($kit)->post("/own/$mine->public_id")->assertRedirect();
    $reading = Reading::query()->latest('id')->firstOrFail();
    app(HandInReading::class)(called($reading), $kit);
    expect(AuditEntry::query()->count())->toBe($entries);
    foreach ($seen() as $i => $page) {
        expect($page === $before[$i])->toBeTrue($pages[$i].' tells of a private review');
    }
    $review = Sitting::query()->withoutGlobalScopes()->where('kind', SittingKind::Review)->sole();
    foreach (['', '/open', '/close', '/publish'] as $path) {
        expect($this->actingAs($head)->call($path === '' ? 'GET' : 'POST', "/rounds/$review->public_id$path")->status())
            ->toBe(404);
    }
    foreach ([$head, $this->person('tam')] as $other) {
        $this->actingAs($other)->get("/read/$reading->public_id")->assertNotFound();
        $this->actingAs($other)->get("/read/$reading->public_id/sheet")->assertNotFound();
        $this->actingAs($other)->post("/own/$mine->public_id")->assertNotFound();
    }
    expect(Sitting::query()->where('kind', SittingKind::Review)->exists())->toBeFalse();
});

it('opens no review of another’s swing, of what may not be used, or of what was erased', function () {
    $kit = $this->person('kit');
    $all = Recording::query()->with('golfer')->orderBy('id')->get();
    $mine = isGolfer($kit, $all[0]);
    $this->actingAs($kit)->post('/own/'.$all->firstWhere('golfer_id', '<>', $mine->golfer_id)->public_id)
        ->assertNotFound();
    $mine->golfer->consents()->whereNot('scope', Scope::Lessons)->delete();
    $this->post("/own/$mine->public_id")->assertRedirect();
    $reading = Reading::query()->latest('id')->firstOrFail();
    $this->get("/read/$reading->public_id/evidence/1")->assertOk();
    $mine->golfer->consents()->update(['withdrawn_at' => now()]);
    $this->get("/read/$reading->public_id/evidence/1")->assertGone();
    $this->post("/own/$mine->public_id")->assertNotFound();
    $this->get('/own')->assertOk()->assertDontSee($mine->public_id);
    // Whoever is that golfer no more has nothing of it.
    $mine->golfer->consents()->update(['withdrawn_at' => null]);
    $this->get("/read/$reading->public_id/evidence/1")->assertOk();
    $kit->forceFill(['golfer_id' => null])->save();
    $this->actingAs($kit->fresh())->get("/read/$reading->public_id/evidence/1")->assertNotFound();
});

it('is a golfer too: a head coach sees nothing of an own swing but in a review', function () {
    $head = $this->headCoach();
    $mine = isGolfer($head, Recording::query()->orderBy('id')->firstOrFail());
    $this->actingAs($head)->get("/bench/$mine->public_id")->assertNotFound();
    $this->get('/shelf')->assertDontSee($mine->public_id);
    $this->get("/bench/$mine->public_id/facts")->assertNotFound();
    $this->post("/own/$mine->public_id")->assertRedirect();
    $reading = Reading::query()->latest('id')->firstOrFail();
    $this->get("/read/$reading->public_id")->assertOk();
});

it('opens the second look although the swing still lies in an open round, dealt before it was known whose it is', function () {
    $tam = $this->person('tam');
    $open = $this->openReading($tam);
    $mine = isGolfer($tam, $open->case->recording);
    $this->actingAs($tam)->get("/read/$open->public_id")->assertNotFound();
    $this->post("/own/$mine->public_id")->assertRedirect();
    $reading = Reading::query()->latest('id')->firstOrFail();
    app(HandInReading::class)(called($reading), $tam);
    $second = Reading::query()
        ->where('sitting_case_id', $reading->sitting_case_id)
        ->where('stage', Stage::Reveal)
        ->sole();
    $this->get("/read/$second->public_id")->assertOk()->assertSee('class="outcome"', false);
});
