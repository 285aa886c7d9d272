<?php

use App\Codebook\Codebooks;
use App\Models\ContrastSet;
use App\Models\MadeSwing;
use App\Models\Work;
use App\Practice\Actions\AskContrast;
use App\Practice\Actions\MakeContrast;
use App\Practice\Actions\StockPractice;
use App\Practice\MadeSwings;
use App\Practice\Pages\ContrastSetPage;
use App\Works\Jobs\DoWork;
use App\Works\Progress;
use App\Works\WorkStopped;
use Core\Codebook\StandardLenses;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Simulation\MadeSwing as MadeSpec;
use Core\Trace\DeviceClass;
use Core\Training\Mode;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

beforeEach(fn () => Queue::fake([DoWork::class]));

function specOf(ContrastKind $kind, string $fault, ?string $other = null, ?string $mishap = null, int $body = 0): Spec
{
    return new Spec(
        $kind,
        $fault,
        $other,
        $mishap,
        DeviceClass::DualPlate,
        Handedness::Right,
        StandardLenses::DEFAULT,
        $body,
    );
}

it('asks for sets that can be seen with what records them, of each kind, and only by faults the codebook has', function (Mode $mode) {
    $ines = $this->person('ines');
    foreach ([1, 2, 3, 4, 5, 6] as $turn) {
        app(StockPractice::class)->ask($ines, $mode, null);
        Work::query()->where('kind', 'contrast')->update(['state' => 'done']);
    }
    $sets = ContrastSet::query()->where('asked_by', $ines->id)->get();
    $codebook = app(Codebooks::class)->current();
    expect($sets->count())->toBeGreaterThan(5);
    foreach ($sets as $set) {
        expect($codebook->faults)->toHaveKey($set->fault)->and($set->spec()->key())->toBe($set->key);
        foreach ($set->mishap === null ? array_filter([$set->fault, $set->other]) : [] as $fault) {
            expect(MadeSwings::canBeSeen($codebook->faults[$fault], $set->device))->toBeTrue("$fault on {$set->device->value}");
        }
    }
    // Each topic once before any comes twice.
    $topics = $sets->map(fn (ContrastSet $s): string => "$s->fault $s->other $s->mishap")->countBy();
    expect($topics->max())->toBe(1);
})->with([[Mode::Fault], [Mode::Alike], [Mode::Artefact], [Mode::Speed]]);

it('makes nothing for kinds that ask of recorded swings', function (Mode $mode) {
    expect(app(StockPractice::class)->ask($this->person('ines'), $mode, null))->toBe(0)
        ->and(ContrastSet::query()->count())->toBe(0);
})->with([[Mode::Moment], [Mode::Seen], [Mode::Advice], [Mode::Whole]]);

it('shares what is made: the same swing of two sets is one, made side by side or one after the other', function () {
    $head = $this->headCoach();
    $ask = app(AskContrast::class);
    $one = $ask->written(specOf(ContrastKind::Fault, 'sway'), $head);
    $two = $ask->written(specOf(ContrastKind::Alike, 'sway', 'outer-edge'), $head);
    expect($ask->written(specOf(ContrastKind::Fault, 'sway'), $this->person('tam'))->id)->toBe($one->id);
    $make = app(MakeContrast::class);
    $make->carryOut($one, Progress::untold());
    $make->carryOut($two, Progress::untold());
    $make->carryOut($one->refresh(), Progress::untold());
    expect($one->swings()->count())->toBe(4)->and($two->swings()->count())->toBe(3)
        ->and($one->swings()->pluck('made_swings.id')->intersect($two->swings()->pluck('made_swings.id')))
        ->toHaveCount(1)
        ->and(MadeSwing::query()->count())->toBe(6);
});

it('shows nothing of a set whose work was taken over or stopped', function () {
    $set = app(AskContrast::class)(specOf(ContrastKind::Fault, 'slide'), $this->headCoach());
    $work = Work::query()->where('contrast_set_id', $set->id)->sole();
    DB::table('works')->where('id', $work->id)->update(['state' => 'running', 'attempts' => 2]);
    // A run of before, that another has taken over.
    expect(fn () => app(MakeContrast::class)->carryOut($set, Progress::ofWork($work)))->toThrow(WorkStopped::class)
        ->and($set->fresh()->made_at)->toBeNull()->and($set->swings()->count())->toBe(0);
    DB::table('works')->where('id', $work->id)->update(['cancelling' => true]);
    expect(fn () => app(MakeContrast::class)->carryOut($set, Progress::ofWork($work->fresh())))
        ->toThrow(WorkStopped::class);
    // Asked for again it is made all the same.
    DB::table('works')->where('id', $work->id)->update(['state' => 'cancelled']);
    app(AskContrast::class)(specOf(ContrastKind::Fault, 'slide'), $this->headCoach());
    app()->call([new DoWork(Work::query()->latest('id')->value('id')), 'handle']);
    expect($set->fresh()->made_at)->not->toBeNull()->and($set->swings()->count())->toBe(4);
});

it('is watched by who asked for it, and by the head coach', function () {
    $tam = $this->person('tam');
    app(AskContrast::class)(specOf(ContrastKind::Fault, 'sway'), $tam);
    $work = Work::query()->sole();
    $url = route('works.show', $work);
    $this->actingAs($tam)->getJson($url)->assertOk()->assertJsonPath('state', 'waiting');
    $this->actingAs($this->headCoach())->getJson($url)->assertOk();
    $this->actingAs($this->person('ines'))->getJson($url)->assertNotFound();
    $this->actingAs($tam)->delete(route('works.cancel', $work))->assertRedirect();
    expect($work->fresh()->cancelling || $work->fresh()->state->value === 'cancelled')->toBeTrue();
});

it('judges by the codebook of now what was made under another', function () {
    $set = app(AskContrast::class)->written(specOf(ContrastKind::Fault, 'hang-back'), $this->headCoach());
    app(MakeContrast::class)->carryOut($set, Progress::untold());
    $made = $set->swings()->get()[3];
    $settled = fn (): array => collect(app(MadeSwings::class)->of(ContrastKind::Fault))
        ->firstWhere('id', $made->id)['settled'];
    $kept = $settled();
    expect($kept['hang-back'])->toBeTrue();
    $made->update(['settled' => ['version' => '0.9', 'lenses' => [StandardLenses::DEFAULT => ['hang-back' => false]]]]);
    expect($settled())->toEqual($kept);
});

it('is harder where it is slight and easier where it is dominant', function () {
    $of = fn (float $severity): float => MadeSwings::difficulty(
        new MadeSpec(1, ['sway' => $severity], Handedness::Right, DeviceClass::Mat),
        'sway',
    );
    expect($of(1.0))->toBeGreaterThan($of(2.0))->and($of(2.0))->toBeGreaterThan($of(3.0))
        ->and(MadeSwings::difficulty(new MadeSpec(1, [], Handedness::Right, DeviceClass::Mat), 'sway'))->toBe(0.0);
});

it('lists the measures that tell most first, and says so where an instrument tells nothing', function () {
    $page = fn (Spec $spec): array => (function () use ($spec): array {
        $set = app(AskContrast::class)->written($spec, test()->headCoach());
        app(MakeContrast::class)->carryOut($set, Progress::untold());

        return app(ContrastSetPage::class)->of($set->refresh(), test()->headCoach());
    })();
    $set = $page(specOf(ContrastKind::Fault, 'hang-back'));
    expect($set['rows'][0]['tells'])->toBeTrue()->and($set['tells'])->toContain('lead share')
        ->and(array_column($set['swings'], 'name'))->toBe(['not there', 'slight', 'clear', 'dominant']);
    // A single plate knows nothing of where one foot is pressed.
    $blind = $page(new Spec(
        ContrastKind::Fault, 'outer-edge', null, null, DeviceClass::Plate, Handedness::Right, StandardLenses::DEFAULT,
        0,
    ));
    expect($blind['tells'])->toBe('')->and($blind['swings'][3]['verdicts'][0]['said'])->toBe('not-observable');
    $this->actingAs($this->headCoach())->get(route('contrast.show', $blind['set']))->assertOk()
        ->assertSee('No measure of this instrument tells them apart');
});
