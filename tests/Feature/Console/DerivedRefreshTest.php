<?php

use App\Agreement\Actions\ComputeResult;
use App\Models\Sitting;
use App\Models\SittingResult;
use Core\Sight\SittingState;
use Core\Version;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

it('works out every published round that another version worked out, however many there are', function (): void {
    $rounds = [$this->round('Spring'), $this->round('Autumn')];
    $rounds[1]->update(['state' => SittingState::Published, 'closed_at' => now(), 'published_at' => now()]);
    foreach ($rounds as $round) {
        app(ComputeResult::class)($round->refresh());
    }
    $kept = static fn (): array => DB::table('result_parts')
        ->orderBy('sitting_result_id')->orderBy('part')->orderBy('subject')->pluck('body')->all();
    $figures = $kept();
    SittingResult::query()->update(['core_version' => 'another']);

    expect(Artisan::call('derived:refresh'))
        ->toBe(0)
        ->and(Artisan::output())->toContain('the figures of 2 rounds')
        ->and(SittingResult::query()->pluck('core_version')->unique()->all())->toBe([Version::AGREEMENT])
        ->and($kept())->toBe($figures)
        ->and(Sitting::query()->where('state', SittingState::Published)->where('kind', 'round')->count())->toBe(2);
});
