<?php

use App\Models\Reading;

it('gives a person what is held of them, and of nobody else', function () {
    $tam = $this->person('tam');
    $data = $this->actingAs($tam)->get('/own/data')->assertOk()->assertHeader('Content-Disposition')->json();
    expect($data['person']['address'])->toBe('tam@fernhollow.example')->and($data['readings'])->not->toBe([]);
    $spring = $this->round('Spring');
    expect(array_unique(array_column($data['readings'], 'round')))->toBe([$spring->name])
        ->and($data['readings'])->toHaveCount($spring->readings()->where('user_id', $tam->id)->count());
    foreach ($data['readings'] as $reading) {
        expect($reading['calls'])->toHaveCount(28);
    }
    $text = json_encode($data);
    foreach (['Ines', 'ines@', 'Maren', 'password', 'secret'] as $other) {
        expect($text)->not->toContain($other);
    }
});

it('holds back what is under way, and what waits to be read blind again', function () {
    $tam = $this->person('tam');
    $autumn = $this->round('Autumn');
    $done = $autumn->readings()->where('user_id', $tam->id)->whereNotNull('readings.handed_in_at')->count();
    $all = fn (): array => array_column($this->actingAs($tam)->get('/own/data')->json('readings'), 'round');
    expect($done)->toBeGreaterThan(0)->and($all())->not->toContain($autumn->name);
    $before = count($all());
    $recording = $this->round('Spring')->cases()->firstOrFail()->recording;
    $round = app(App\Sittings\Actions\PlanRound::class)('Again', Core\Sight\SittingKind::Round, [$recording->id],
        [$tam->id], 'both', $this->headCoach());
    app(App\Sittings\Actions\OpenRound::class)($round, $this->headCoach());
    app()->forgetScopedInstances();
    expect(count($all()))->toBe($before - 1);
    expect(Reading::query()->where('user_id', $tam->id)->count())->toBeGreaterThan($before);
    // A golfer who takes the consent back is in nobody's file.
    $other = $this->round('Spring')->cases()->with('recording.golfer')->get()
        ->first(fn ($case): bool => $case->recording->golfer_id !== $recording->golfer_id);
    $of = $this->round('Spring')->cases()->whereHas('recording', fn ($q) => $q
        ->where('golfer_id', $other->recording->golfer_id))->count();
    $other->recording->golfer->consents()->update(['withdrawn_at' => now()]);
    app()->forgetScopedInstances();
    expect(count($all()))->toBe($before - 1 - $of);
});
