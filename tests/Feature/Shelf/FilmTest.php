<?php

use App\Models\Film;
use App\Models\Recording;
use App\Shelf\Actions\ConvertFilm;
use App\Shelf\Actions\RestartConversions;
use App\Shelf\Jobs\FilmConversion;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/**
 * A film whose pictures carry their number in blocks of black and white along the foot, least bit first.
 *
 * @param  string  $times  when picture N is taken, as ffmpeg's expression in s
 */
function numberedFilm(
    string $name,
    int $pictures = 90,
    string $times = 'N/30',
    array $options = [],
    string $size = '320x240',
): string {
    $path = sys_get_temp_dir()."/vc-$name";
    $blocks =
        "geq=lum='if(lt(Y,H-40),90+40*sin(X/20+N/9),if(lt(X,240),if(bitand(N,pow(2,floor(X/20))),235,16),128))':cb=128:cr=128";
    $run = Process::timeout(60)->run([
        'ffmpeg',
        '-y',
        '-v',
        'error',
        '-f',
        'lavfi',
        '-i',
        "color=s=$size:r=30",
        '-frames:v',
        (string) $pictures,
        '-vf',
        "$blocks,settb=1/90000,setpts='($times)/TB'",
        '-fps_mode',
        'passthrough',
        '-enc_time_base',
        '1/90000',
        ...$options ?: ['-c:v', 'libx264', '-preset', 'ultrafast', '-video_track_timescale', '90000'],
        $path,
    ]);
    expect($run->successful())->toBeTrue($run->errorOutput());

    return $path;
}

/** @return list<int> the number each frame of a stream carries */
function numbersIn(Film $film): array
{
    $raw = Process::run([
        'ffmpeg',
        '-v',
        'error',
        '-i',
        Storage::disk('films')->path($film->path('stream.mp4')),
        '-f',
        'rawvideo',
        '-pix_fmt',
        'gray',
        '-',
    ])->output();
    [$w, $h] = [$film->width, $film->height];
    $out = [];
    for ($n = 0; $n < strlen($raw) / ($w * $h); $n++) {
        $row = $n * $w * $h + ($h - 20) * $w;
        $number = 0;
        for ($k = 0; $k < 12; $k++) {
            $number |= ord($raw[$row + 20 * $k + 10]) > 128 ? 1 << $k : 0;
        }
        $out[] = $number;
    }

    return $out;
}

function send(object $test, Recording $recording, string $path, string $view = 'face-on', array $more = []): Film
{
    $bytes = (string) file_get_contents($path);
    $test
        ->actingAs($test->headCoach())
        ->postJson("/bench/{$recording->public_id}/films", [
            'view' => $view,
            'name' => basename($path),
            'bytes' => strlen($bytes),
            ...$more,
        ])
        ->assertCreated();
    $film = Film::query()->where('recording_id', $recording->id)->where('view', $view)->sole();
    $size = max(1, intdiv(strlen($bytes), 3) + 1);
    for ($at = 0; $at < strlen($bytes); $at += $size) {
        part($test, $film, $at, substr($bytes, $at, $size))->assertOk();
    }

    return $film->refresh();
}

function part(object $test, Film $film, int $offset, string $bytes)
{
    return $test
        ->actingAs($test->headCoach())
        ->call(
            'PUT',
            "/films/{$film->public_id}?offset=$offset",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            $bytes,
        );
}

function unfilmed(): Recording
{
    return Recording::query()
        ->whereDoesntHave('films', fn ($q) => $q->where('state', '<>', 'refused'))
        ->orderBy('id')
        ->firstOrFail();
}

it(
    'takes a film in parts, keeps and sums the original, and makes a stream of constant rate with poster and stills',
    function () {
        $recording = unfilmed();
        $path = numberedFilm('even.mp4');
        $film = send($this, $recording, $path);
        expect($film->state)
            ->toBe('ready')
            ->and($film->checksum)
            ->toBe(hash_file('sha256', $path))
            ->and($film->rate_hz)
            ->toBe(30.0)
            ->and($film->frames)
            ->toBe(90)
            ->and($film->progress)
            ->toBe(1.0)
            ->and(numbersIn($film))
            ->toBe(range(0, 89));
        expect(Storage::disk('films')->get($film->path('original.mp4')))->toBe(file_get_contents($path));
        $stations = array_filter(
            $recording->stationTimes()->all(),
            static fn ($s): bool => $s->t - $film->offset_s < 90 / 30,
        );
        expect(array_keys($film->stills))->toEqualCanonicalizing(array_keys($stations));
        $this->get("/bench/{$recording->public_id}/film/face-on/poster")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        $this->get("/bench/{$recording->public_id}/film/face-on/TP")->assertOk();
        $this->get("/bench/{$recording->public_id}/film/down-the-line/TP")->assertNotFound();
        $this->get("/films/{$film->public_id}/original")->assertOk();
    },
);

it(
    'brings a phone\'s uneven, turned film upright, each frame within half a frame of when its picture was taken',
    function () {
        // About 60 a second, shaken by up to a quarter of a frame, and lying on its side.
        $times = static fn (int $n): float => ($n + 0.24 * sin(1.7 * $n)) / 60;
        $flat = numberedFilm('flat.mp4', 120, '(N+0.24*sin(1.7*N))/60');
        $path = sys_get_temp_dir().'/vc-phone.mov';
        Process::run([
            'ffmpeg',
            '-y',
            '-v',
            'error',
            '-i',
            $flat,
            '-c',
            'copy',
            '-metadata:s:v',
            'rotate=90',
            '-metadata',
            'location=+00.0000+000.0000/',
            $path,
        ])->throw();
        $film = send($this, unfilmed(), $path);
        expect($film->state)
            ->toBe('ready')
            ->and([$film->width, $film->height])
            ->toBe([240, 320])
            ->and($film->facts['rotation'])
            ->not->toBe(0)
            ->and($film->facts['uneven'])
            ->toBeTrue()
            ->and($film->rate_hz)
            ->toBe(60.0);
        // Turned back, so that the blocks lie along the foot again.
        $back = sys_get_temp_dir().'/vc-back.mp4';
        Process::run([
            'ffmpeg',
            '-y',
            '-v',
            'error',
            '-noautorotate',
            '-i',
            Storage::disk('films')->path($film->path('stream.mp4')),
            '-vf',
            $film->facts['rotation'] === 270 ? 'transpose=2' : 'transpose=1',
            '-c:v',
            'libx264',
            '-preset',
            'ultrafast',
            '-qp',
            '10',
            $back,
        ])->throw();
        Storage::disk('films')->put($film->path('stream.mp4'), file_get_contents($back));
        [$film->width, $film->height] = [320, 240];
        $shown = numbersIn($film);
        expect(count($shown))->toBe($film->frames)->toBe(120);
        foreach ($shown as $n => $number) {
            expect(abs($times($number) - $times(0) - $film->taken[$n]))
                ->toBeLessThan(2e-4, "frame $n")
                ->and(abs($film->taken[$n] - $n / 60))
                ->toBeLessThanOrEqual(0.5 / 60 + 2e-4, "frame $n");
        }
        expect(
            Process::run([
                'ffprobe',
                '-v',
                'error',
                '-show_entries',
                'format_tags',
                Storage::disk('films')->path($film->path('stream.mp4')),
            ])->output(),
        )->not->toContain('location');
    },
);

it('shows a picture over the gap a camera left, and says when it was taken', function () {
    $film = send($this, unfilmed(), numberedFilm('gap.mp4', 60, 'N/30+if(gt(N,20),0.1,0)'));
    $shown = numbersIn($film);
    expect(array_slice($shown, 19, 6))
        ->toBe([19, 20, 20, 20, 20, 21])
        ->and($film->taken[22])
        ->toEqualWithDelta(20 / 30, 1e-4);
});

it('takes webm and HEVC, and a film that was slowed down', function (
    string $name,
    array $options,
    array $more,
    float $rate,
) {
    $film = send($this, unfilmed(), numberedFilm($name, 60, 'N/30', $options), 'down-the-line', $more);
    expect($film->state)
        ->toBe('ready', (string) $film->says())
        ->and($film->rate_hz)
        ->toBe($rate)
        ->and(numbersIn($film))
        ->toBe(range(0, 59));
})->with([
    'webm' => ['a.webm', ['-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-crf', '20', '-b:v', '0'], [], 30.0],
    'HEVC' => [
        'a.mov',
        [
            '-c:v',
            'libx265',
            '-preset',
            'ultrafast',
            '-x265-params',
            'log-level=none',
            '-video_track_timescale',
            '90000',
        ],
        [],
        30.0,
    ],
    'slowed' => ['slow.mp4', [], ['slowed' => 4], 120.0],
]);

it('refuses what is no film, in a sentence, and keeps nothing of it', function (string $bytes, string $says) {
    $recording = unfilmed();
    $this->actingAs($this->headCoach())
        ->postJson("/bench/{$recording->public_id}/films", [
            'view' => 'face-on',
            'name' => 'x.mp4',
            'bytes' => strlen($bytes),
        ])
        ->assertCreated();
    $film = Film::query()->where('recording_id', $recording->id)->sole();
    $answer = part($this, $film, 0, $bytes);
    $film->refresh();
    expect($film->state)->toBe('refused')->and($film->says().$answer->json('message'))->toContain($says)
        ->and(Storage::disk('films')->exists($film->path('stream.mp4')))->toBeFalse();
    // Another try replaces it.
    $this->postJson("/bench/{$recording->public_id}/films", [
        'view' => 'face-on',
        'name' => 'y.mp4',
        'bytes' => 10,
    ])->assertCreated();
    expect(Film::query()->where('recording_id', $recording->id)->count())->toBe(1);
})->with([
    'a play list that would open another file' => ["#EXTM3U\n#EXTINF:1\n/etc/passwd\n", 'not a film'],
    'a list of files' => ["ffconcat version 1.0\nfile /etc/passwd\n", 'not a film'],
    'a page' => ['<html><script>alert(1)</script></html>', 'not a film'],
    'a shell in a film\'s clothes' => ["\0\0\0\x18ftypmp42".str_repeat("\xff", 400), 'damaged'],
    'an empty matroska' => ["\x1A\x45\xDF\xA3".str_repeat("\0", 60), 'damaged'],
]);

it('refuses a film cut off in the middle, one too long, and one of sound alone', function () {
    $whole = (string) file_get_contents(
        numberedFilm('cut.mp4', 90, 'N/30', [
            '-c:v',
            'libx264',
            '-preset',
            'ultrafast',
            '-movflags',
            '+faststart',
            '-video_track_timescale',
            '90000',
        ]),
    );
    file_put_contents($cut = sys_get_temp_dir().'/vc-cut2.mp4', substr($whole, 0, (int) (0.4 * strlen($whole))));
    expect(send($this, unfilmed(), $cut)->says())->toContain('cut off');
    $long = send($this, unfilmed(), numberedFilm('long.mp4', 40, 'N*5'));
    expect($long->state)->toBe('refused')->and($long->says())->toContain('at most 120 s');
    Process::run([
        'ffmpeg',
        '-y',
        '-v',
        'error',
        '-f',
        'lavfi',
        '-i',
        'sine=d=1',
        '-c:a',
        'aac',
        ($sound = sys_get_temp_dir().'/vc-sound.mp4'),
    ])->throw();
    expect(send($this, unfilmed(), $sound)->says())->toContain('no film');
    $this->postJson('/bench/'.unfilmed()->public_id.'/films', [
        'view' => 'face-on',
        'name' => 'huge.mov',
        'bytes' => 9_000_000_000,
    ])
        ->assertUnprocessable()
        ->assertJsonPath(
            'message',
            'The film has 8583 MB; at most 600 MB are taken. Cut it to the swing, or film in a smaller size.',
        );
});

it('goes on where a broken upload stopped, and counts a part sent twice once', function () {
    $recording = unfilmed();
    $bytes = (string) file_get_contents(numberedFilm('again.mp4'));
    $half = intdiv(strlen($bytes), 2);
    $this->actingAs($this->headCoach())
        ->postJson("/bench/{$recording->public_id}/films", [
            'view' => 'face-on',
            'name' => 'a.mp4',
            'bytes' => strlen($bytes),
        ])
        ->assertCreated();
    $film = Film::query()->where('recording_id', $recording->id)->sole();
    part($this, $film, 0, substr($bytes, 0, $half))->assertJsonPath('received', $half);
    part($this, $film, 0, substr($bytes, 0, $half))->assertJsonPath('received', $half);
    part($this, $film, $half + 7, substr($bytes, $half + 7))->assertStatus(409);
    expect($film->refresh()->received)->toBe($half);
    part($this, $film, $half, substr($bytes, $half).'more')->assertUnprocessable();
    part($this, $film, $half, substr($bytes, $half))->assertJsonPath('received', strlen($bytes));
    expect($film->refresh()->state)->toBe('ready')->and($film->checksum)->toBe(hash('sha256', $bytes));
});

it('takes a conversion up again when its run was killed, and lets only one run hold a film', function () {
    Queue::fake();
    $film = send($this, unfilmed(), numberedFilm('killed.mp4'));
    expect($film->state)->toBe('waiting');
    // A run that took the film and was killed without a word.
    $film->update(['state' => 'converting', 'attempts' => 1, 'beat_at' => Carbon::now()->subSeconds(5)]);
    app(ConvertFilm::class)($film->id);
    expect($film->refresh()->state)->toBe('converting');
    expect(app(RestartConversions::class)())->toBe(0);
    $film->update(['beat_at' => Carbon::now()->subSeconds(40)]);
    expect(app(RestartConversions::class)())->toBe(1);
    Queue::assertPushed(FilmConversion::class, 2);
    app(ConvertFilm::class)($film->id);
    expect($film->refresh()->state)
        ->toBe('ready')
        ->and($film->attempts)
        ->toBe(2)
        ->and(numbersIn($film))
        ->toBe(range(0, 89));
    $film->update(['state' => 'waiting', 'attempts' => 5]);
    app(ConvertFilm::class)($film->id);
    expect($film->refresh()->state)->toBe('refused')->and($film->says())->toContain('5 attempts');
});

it('gives a film in byte ranges, to nobody who may not see it', function () {
    $film = Film::query()->where('state', 'ready')->firstOrFail();
    $url = "/bench/{$film->recording->public_id}/film/{$film->view}/stream";
    $whole = $this->actingAs($this->headCoach())
        ->get($url)
        ->assertOk()
        ->assertHeader('Accept-Ranges', 'bytes')
        ->assertHeader('Content-Type', 'video/mp4');
    $size = $whole->baseResponse->getFile()->getSize();
    $this->get($url, ['Range' => 'bytes=100-299'])
        ->assertStatus(206)
        ->assertHeader('Content-Range', "bytes 100-299/$size");
    $this->get($url, ['Range' => 'bytes=99999999-99999999'])->assertStatus(416);
    $this->get("/bench/{$film->recording->public_id}/film/{$film->view}/original.mp4")->assertNotFound();
    $this->get("/bench/{$film->recording->public_id}/film/{$film->view}/..%2f..%2f.env")->assertNotFound();
    $this->actingAs($this->person('tam'))->get("/films/{$film->public_id}/original")->assertNotFound();
    $this->actingAs($this->person('tam'))->getJson("/films/{$film->public_id}")->assertNotFound();
    auth()->logout();
    $this->get($url)->assertRedirect('/login');
});

it('sets a film\'s clock by one event, by several with their drift, and by hand', function () {
    $film = Film::query()->where('state', 'ready')->with('recording.stations')->firstOrFail();
    $head = $this->actingAs($this->headCoach());
    $im = $film->recording->stationTimes()->all()['IM']->t;
    $head
        ->post("/films/{$film->public_id}/clock", ['by' => 'event', 'code' => 'IM', 'film_s' => 1.25, 'trace_s' => 0])
        ->assertSessionHas('done');
    expect($film->refresh()->offset_s)
        ->toEqualWithDelta($im - 1.25, 1e-9)
        ->and($film->clock_by)
        ->toBe('event')
        ->and($film->stills['IM'])
        ->toBe((int) round(1.25 * $film->rate_hz));
    // A second event 2 % of a second off its place would be a drift of 1 %: beyond the uncertainty, it is taken.
    $head
        ->post("/films/{$film->public_id}/clock", [
            'by' => 'event',
            'film_s' => 0.05,
            'trace_s' => $film->offset_s + 0.05 - 0.012,
        ])
        ->assertSessionHas('done');
    expect($film->refresh()->clock_by)
        ->toBe('events')
        ->and($film->drift_ppm)
        ->toEqualWithDelta(10_000, 50)
        ->and($film->clock()->toRecording(1.25))
        ->toEqualWithDelta($im, 1e-6)
        ->and($film->clock()->toOwn($im))
        ->toEqualWithDelta(1.25, 1e-6);
    $head
        ->post("/films/{$film->public_id}/clock", ['by' => 'event', 'film_s' => 0.4, 'trace_s' => 1.4])
        ->assertSessionHas('refused');
    $head->post("/films/{$film->public_id}/clock", ['by' => 'forget'])->assertSessionHas('done');
    $before = $film->refresh()->offset_s;
    $head->post("/films/{$film->public_id}/clock", ['by' => 'hand', 'shift' => 0.01])->assertSessionHas('done');
    expect($film->refresh()->offset_s)
        ->toEqualWithDelta($before + 0.01, 1e-9)
        ->and($film->clock_events)
        ->toBe([]);
    $head
        ->post("/films/{$film->public_id}/clock", ['by' => 'event', 'film_s' => 99, 'trace_s' => 1])
        ->assertSessionHas('refused', 'The film is not as long as that; nothing was changed.');
    $this->actingAs($this->person('tam'))
        ->post("/films/{$film->public_id}/clock", ['by' => 'forget'])
        ->assertNotFound();
});

it('keeps a film that readings point into, and lets another go with everything of it', function () {
    $shown = Film::query()->where('state', 'ready')->firstOrFail();
    $this->actingAs($this->headCoach())->delete("/films/{$shown->public_id}")->assertSessionHas('refused');
    expect($shown->fresh())->not->toBeNull();
    $film = send($this, unfilmed(), numberedFilm('gone.mp4'), 'down-the-line');
    expect(Storage::disk('films')->files($film->public_id))->not->toBe([]);
    $this->delete("/films/{$film->public_id}")->assertSessionHas('done');
    expect($film->fresh())->toBeNull()->and(Storage::disk('films')->files($film->public_id))->toBe([]);
});

it('shows a case the films there were when its round opened, whatever comes later', function () {
    $reading = $this->openReading($this->person('tam'));
    $case = $reading->case;
    $views = $case->film_views;
    $case->recording->films()->delete();
    send($this, $case->recording, numberedFilm('later.mp4'));
    expect($case->refresh()->film_views)->toBe($views);
    $case->update(['film_views' => []]);
    $json = $this->actingAs($this->person('tam'))
        ->getJson("/read/{$reading->public_id}/evidence/1")
        ->assertOk()
        ->json();
    expect($json['films'])->toBe([])->and($json['motion'])->not->toBeNull();
    $this->get("/read/{$reading->public_id}/film/1/face-on/stream")->assertNotFound();
    $case->update(['film_views' => ['face-on']]);
    $json = $this->getJson("/read/{$reading->public_id}/evidence/1")->assertOk()->json();
    expect(array_column($json['films'], 'view'))->toBe(['face-on'])->and($json['motion'])->toBeNull();
    $this->get("/read/{$reading->public_id}/film/1/face-on/stream")->assertOk();
    $this->actingAs($this->person('bea'))->get("/read/{$reading->public_id}/film/1/face-on/stream")->assertNotFound();
});
