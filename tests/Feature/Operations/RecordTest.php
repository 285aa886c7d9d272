<?php

use App\Models\AuditEntry;
use App\Models\Recording;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

it('tells what was done in words, by day, and leads to the swing', function () {
    $recording = Recording::query()->with('golfer')->firstOrFail();
    noted($this->headCoach(), 'mark', "station IM, recording {$recording->public_id}", ['t_s' => 1.25]);
    $this->actingAs($this->headCoach())
        ->get('/record')
        ->assertOk()
        ->assertSee('marked a station')
        ->assertSee("IM of {$recording->golfer->pseudonym}, {$recording->club}")
        ->assertSee('at 1.25 s')
        ->assertSee(now()->timezone(config('academy.zone'))->isoFormat('dddd D MMMM YYYY'))
        ->assertDontSee('t_s');
});

it('has words for every action that is written down', function () {
    preg_match_all(
        '/new Entry\(\s*[^,]+,\s*([^;]*?),\s*"/s',
        implode("\n", array_map(file_get_contents(...), glob(app_path('*/Events/*.php')))),
        $calls,
    );
    preg_match_all("/'([a-z-]{3,})'/", implode(' ', $calls[1]), $codes);
    expect(array_unique($codes[1]))->toContain('open', 'mark', 'hand-in-again', 'device-revoked');
    foreach (array_unique($codes[1]) as $code) {
        expect(__("record.actions.$code"))->not->toBe("record.actions.$code");
    }
});

it('goes by what, who and day, and refuses what is none', function () {
    $tam = $this->person('tam');
    $head = $this->actingAs($this->headCoach());
    $head->get("/record?who={$tam->id}&action=hand-in")->assertOk()->assertSee('<td>handed in a reading</td>', false)
        ->assertDontSee('<td>published</td>', false)
        ->assertDontSee('<td>Bea Thornley</td>', false);
    $head->get('/record?from=2001-01-01&to=2001-12-31')->assertOk()->assertSee('Nothing of this kind was done.');
    $head->get('/record?action=no-such-thing')->assertOk()->assertSee('Nothing of this kind was done.');
    $head->get('/record?from=yesterday')->assertSessionHasErrors('from');
    $head->get('/record?who[]=1')->assertSessionHasErrors('who');
});

it('goes out as a file that tells everything, safe to open, in the order of time', function () {
    noted($this->headCoach(), 'rule', '=1+1', ['reason' => '@bad, "quoted"']);
    $rows = array_map(
        static fn (string $line): array => str_getcsv($line, escape: ''),
        explode("\n", trim($this->actingAs($this->headCoach())->get('/record/file')->assertOk()->streamedContent())),
    );
    expect($rows[0])->toBe(['time_utc', 'person', 'action', 'subject', 'details'])
        ->and($rows)->toHaveCount(AuditEntry::query()->count() + 1)
        ->and(end($rows)[3])->toBe("'=1+1")
        ->and(json_decode(end($rows)[4], true))->toBe(['reason' => '@bad, "quoted"']);
    $this->actingAs($this->person('tam'))->get('/record/file')->assertForbidden();
});

it('keeps back what would tell a head coach of a swing they are to read', function () {
    $head = $this->headCoach();
    $reading = $this->openReading($this->person('tam'));
    $swing = $reading->case->recording;
    DB::table('seats')->insert(['sitting_id' => $reading->case->sitting_id, 'user_id' => $head->id]);
    DB::table('readings')->insert([
        ...collect((array) DB::table('readings')->find($reading->id))->except(['id'])->all(),
        'public_id' => strtolower((string) Str::ulid()),
        'user_id' => $head->id,
    ]);
    noted($head, 'rule', "fault hang-back, recording {$swing->public_id}",
        ['recording' => $swing->public_id]);
    noted($head, 'mark', "station IM, recording {$swing->public_id}");
    $this->actingAs($head)->get('/record')->assertOk()->assertDontSee('Somebody');
    expect($this->get('/record/file')->streamedContent())->not->toContain('Somebody')
        ->not->toContain("station IM, recording {$swing->public_id}");
});

it('writes everything that is told as an event, and nothing past it', function (): void {
    foreach (glob(app_path('*/Events/*.php')) as $file) {
        $class = 'App\\'.str_replace('/', '\\', substr($file, strlen(app_path()) + 1, -4));
        $told = is_a($class, App\Audit\Audited::class, true);
        expect($told || in_array(class_basename($class), ['FilmArrived', 'FilmMatched'], true))->toBeTrue($class);
    }
    $past = array_filter(
        glob(app_path('*/{Actions,Http,Jobs,Pages}/*.php'), GLOB_BRACE),
        fn (string $file): bool => str_contains((string) file_get_contents($file), 'RecordChain::row'),
    );
    expect($past)->toBe([]);
});

it('writes down who lets a device send and who ends that, once', function (): void {
    $head = $this->headCoach();
    $this->actingAs($head)->post('/capture/devices', ['name' => 'Bay 9'])->assertRedirect('/capture');
    $device = App\Models\Device::query()->where('name', 'Bay 9')->sole();
    foreach ([1, 2] as $time) {
        $this->delete("/capture/devices/{$device->public_id}")->assertRedirect('/capture');
    }
    $entries = AuditEntry::query()->where('subject', 'device Bay 9')->orderBy('id')->get();
    expect($entries->pluck('action')->all())->toBe(['device', 'device-revoked'])
        ->and($entries->pluck('user_id')->unique()->all())->toBe([$head->id])
        ->and(json_encode($entries))->not->toContain($device->token_hash);
    $this->get('/record')->assertOk()->assertSee('let a device send')->assertSee('Bay 9');
});

it('keeps nothing of an event whose work is rolled back', function (): void {
    $before = AuditEntry::query()->count();
    $thrown = false;
    try {
        DB::transaction(function (): void {
            event(new App\Capture\Events\DeviceRegistered(
                App\Models\Device::query()->create(['name' => 'Never', 'token_hash' => str_repeat('0', 64)]),
                $this->headCoach(),
            ));
            throw new RuntimeException('the rest failed');
        });
    } catch (RuntimeException) {
        $thrown = true;
    }
    expect([$thrown, AuditEntry::query()->count()])->toBe([true, $before]);
});
