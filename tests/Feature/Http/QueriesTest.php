<?php

use App\Agreement\Pages\AgreementPage;
use App\Bench\Pages\EvidencePayload;
use App\Bench\Pages\MeasurementRows;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Today\Pages\TodayPage;
use Core\Codebook\Codebook;
use Core\Measurement\Measure;

it('sends exactly what is shown, each part with its own clock', function () {
    $recording = Recording::query()->where('device_class', 'dual-plate')->firstOrFail();
    $payload = new EvidencePayload;
    $nowhere = static fn (string $view, string $part): string => "/$view/$part";
    $none = $payload->of($recording->fresh(), false, [], false, $nowhere);
    expect($none['motion'])
        ->toBeNull()
        ->and($none['trace'])
        ->toBeNull()
        ->and(array_keys($none['stations']))
        ->toHaveCount(9);
    $filmed = Recording::query()
        ->whereHas('films', fn ($q) => $q->where('state', 'ready'))
        ->with('films')
        ->firstOrFail();
    $films = $payload->of($filmed->fresh(), false, $filmed->filmedViews(), false, $nowhere);
    expect($films['motion'])
        ->toBeNull()
        ->and($films['films'])
        ->toHaveCount(count($filmed->filmedViews()))
        ->and($films['films'][0]['url'])
        ->toBe("/{$films['films'][0]['view']}/stream")
        ->and($payload->of($filmed->fresh(), true, [], false, $nowhere)['films'])
        ->toBe([]);
    $both = $payload->of($recording->fresh(), true, [], true, $nowhere);
    expect($both['motion']['rate'])
        ->toBe(120.0)
        ->and($both['trace']['rate'])
        ->toBe(1000.0)
        ->and($both['trace']['feet'])
        ->toHaveKeys(['lead', 'trail'])
        ->and($both['trace']['total'])
        ->toHaveCount($recording->samples)
        ->and($both['trace']['derived'])
        ->toBeFalse();
});

it('marks what a plate derives and leaves out what a mat cannot know', function () {
    $payload = new EvidencePayload;
    $nowhere = static fn (string $view, string $part): string => "/$view/$part";
    $plate = $payload->of(Recording::query()->where('device_class', 'plate')->firstOrFail(), false, [], true, $nowhere)[
        'trace'
    ];
    $mat = $payload->of(Recording::query()->where('device_class', 'mat')->firstOrFail(), false, [], true, $nowhere)[
        'trace'
    ];
    expect($plate['derived'])
        ->toBeTrue()
        ->and($plate['feet'])
        ->toBeNull()
        ->and($plate['total'])
        ->not->toBeNull()
        ->and($mat['total'])
        ->toBeNull()
        ->and($mat['feet'])
        ->not->toBeNull();
});

it('sends a missing sample as missing', function () {
    $recording = Recording::query()->where('device_class', 'mat')->firstOrFail();
    $channel = $recording->channels()->where('name', 'copx_mm')->sole();
    $samples = $channel->samples;
    $samples[5] = NAN;
    $channel->update(['samples' => $samples]);
    $trace = (new EvidencePayload())->of($recording->fresh(), false, [], true, static fn (): string => '')['trace'];
    expect($trace['cop'][0][5])
        ->toBeNull()
        ->and($trace['cop'][0][6])
        ->toBeNumeric()
        ->and(json_encode($trace))
        ->toBeString();
});

it('lists every measure once, with its band under the lens and whether it lies inside', function () {
    foreach (MeasurementSet::query()->get() as $set) {
        $rows = app(MeasurementRows::class)->of($set, Codebook::standard()->lens);
        expect(array_column($rows, 'key'))->toBe(
            array_values(array_diff(array_column(Measure::cases(), 'value'), ['lead_share'])),
        );
        foreach ($rows as $row) {
            if (is_float($row['value']) && $row['band'] !== null) {
                expect($row['inside'])->toBe($row['value'] >= $row['band'][0] && $row['value'] <= $row['band'][1]);
            }
            if ($row['value'] === null) {
                expect($row['reason'])->toBeString()->not->toBe('');
            } elseif ($row['value'] !== null) {
                expect($row['unit'])->not->toBe('')->and($row['definition'])->not->toBe('');
            }
        }
    }
});

it('gives the head coach everybody by name and an instructor only themselves', function () {
    $page = app(AgreementPage::class);
    $round = $this->round('Spring');
    $head = $this->headCoach();
    $people = $page->of($round, $head, 'people')['people'];
    $one = $page->of($round, $this->person('tam'), 'overview')['people'];
    expect(array_unique(array_column($people, 'name')))
        ->toHaveCount(8)
        ->and($page->of($round, $head, 'pairs')['pairs'])
        ->toHaveCount(28)
        ->and($one)
        ->toHaveCount(8)
        ->and(array_column($one, 'name'))
        ->toBe(['you', ...array_fill(0, 7, 'a colleague')])
        ->and($page->of($round, $this->person('tam'), 'overview')['pairs'])
        ->toHaveCount(7);
    foreach (array_slice($one, 1) as $other) {
        expect(array_keys($other['figures']))
            ->toBe(['sensitivity', 'specificity'])
            ->and($other['url'])
            ->toBeNull()
            ->and($other['n'])
            ->toBeNull()
            ->and($other['rest']->estimate)
            ->toBeNull();
    }
});

it('shows an instructor where their calls differ from the key, and only there', function () {
    $round = $this->round('Spring');
    $calls = app(AgreementPage::class)->of($round, $this->person('tam'), 'calls')['calls'];
    expect(count($calls))->toBeGreaterThan(3);
    foreach ($calls as $row) {
        $recording = Recording::query()->where('public_id', basename($row['url']))->sole();
        $case = App\Models\RatedCase::ofRecordings(Core\Reading\CaseKind::Single, [$recording->id]);
        $fault = array_search($row['fault'], array_map(fn ($f) => $f->name, Codebook::standard()->faults), true);
        $entry = $round->keyVersion->entries()->where('case_id', $case->id)->where('fault', $fault)->sole();
        expect($row['call'])
            ->not->toBe($row['truth'])
            ->not->toBe('cannot-tell')
            ->and($entry->scoredLabel())
            ->toBe($row['truth']);
    }
});

it('counts a reader\'s cases by round', function () {
    $page = app(TodayPage::class)->forReader($this->person('tam'));
    expect($page['open'])
        ->toHaveCount(1)
        ->and($page['published'])
        ->toHaveCount(1)
        ->and($page['next']->handed_in_at)
        ->toBeNull()
        ->and($page['open'][0]['readings'])
        ->toHaveCount(3)
        ->and($page['next']->position)
        ->toBe($this->openReading($this->person('tam'))->position);
    $coach = app(TodayPage::class)->forHeadCoach($this->headCoach());
    expect($coach['open'])->toHaveCount(1)
        ->and(array_sum(array_column($coach['open'][0]['people'], 'of')))->toBe(24);
});
