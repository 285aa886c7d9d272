<?php

declare(strict_types=1);

use App\Film\FilmFiles;
use App\Http\StoredFile;
use App\Models\Film;
use App\Models\Recording;
use App\Shelf\Actions\ConvertFilm;
use App\Shelf\Actions\RestartConversions;
use App\Shelf\Jobs\FilmConversion;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;
use League\Flysystem\UnableToWriteFile;

/** A disk whose files are not this machine's, as far as anybody can tell. */
function distantDisk(): FilesystemAdapter
{
    $root = sys_get_temp_dir().'/vc-distant-'.bin2hex(random_bytes(6));
    $adapter = new LocalFilesystemAdapter($root);
    $disk = new FilesystemAdapter(new Filesystem($adapter), $adapter, ['throw' => true]);
    Storage::set('films', $disk);

    return $disk;
}

function colourBars(): string
{
    $path = sys_get_temp_dir().'/vc-bars.mp4';
    is_file($path) || Process::run([
        'ffmpeg', '-y', '-v', 'error', '-f', 'lavfi', '-i', 'testsrc2=size=160x120:rate=30:duration=2', '-pix_fmt',
        'yuv420p', $path,
    ])->throw();

    return $path;
}

/** @param  list<array{int, int}>  $parts  offset and length of each, in the order in which they are sent */
function announced(object $test, string $path): Film
{
    $recording = Recording::query()
        ->whereDoesntHave('films', static fn ($q) => $q->where('state', '<>', 'refused'))
        ->orderBy('id')
        ->firstOrFail();
    $test->actingAs($test->headCoach())->postJson("/bench/{$recording->public_id}/films", [
        'view' => 'face-on', 'name' => 'bars.mp4', 'bytes' => (int) filesize($path),
    ])->assertCreated();

    return Film::query()->where(['recording_id' => $recording->id, 'view' => 'face-on'])->sole();
}

function sentPart(object $test, Film $film, int $offset, int $length): Illuminate\Testing\TestResponse
{
    return $test->call(
        'PUT',
        "/films/{$film->public_id}?offset=$offset",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
        substr((string) file_get_contents(colourBars()), $offset, $length),
    );
}

it('makes one film of parts that lie on a distant disk, and answers ranges of it', function () {
    $disk = distantDisk();
    $path = colourBars();
    $film = announced($this, $path);
    $size = (int) filesize($path);
    sentPart($this, $film, 0, 5000)->assertOk()->assertJson(['received' => 5000]);
    expect($disk->files('arriving/'.$film->public_id))->toHaveCount(1);
    sentPart($this, $film, 5000, $size)->assertOk()->assertJson(['received' => $size]);

    $film->refresh();
    expect($film->state)
        ->toBe('ready', (string) $film->says())
        ->and($film->checksum)->toBe(hash_file('sha256', $path))
        ->and($disk->get($film->path('original.mp4')))->toBe(file_get_contents($path))
        ->and($disk->files('arriving/'.$film->public_id))->toBe([]);

    $stream = (string) $disk->get($film->path('stream.mp4'));
    $last = strlen($stream) - 1;
    $at = "/bench/{$film->recording()->firstOrFail()->public_id}/film/face-on/stream";
    foreach ([
        [null, 200, 0, $last],
        ['bytes=0-99', 206, 0, 99],
        ['bytes=100-', 206, 100, $last],
        ['bytes=-50', 206, $last - 49, $last],
        ['bytes=10-9999999999', 206, 10, $last],
        ['bytes=0-'.$last, 206, 0, $last],
        ['bytes=0-1,5-6', 200, 0, $last],
        ['bytes=9-3', 200, 0, $last],
        ['pages=1-2', 200, 0, $last],
        ['bytes=-', 200, 0, $last],
    ] as [$range, $status, $from, $to]) {
        $answer = $this->get($at, $range === null ? [] : ['Range' => $range]);
        expect($answer->getStatusCode())->toBe($status, (string) $range)
            ->and($answer->streamedContent())->toBe(substr($stream, $from, $to - $from + 1), (string) $range)
            ->and($answer->headers->get('Content-Length'))->toBe((string) ($to - $from + 1))
            ->and($answer->headers->get('Content-Range'))->toBe($status === 206 ? "bytes $from-$to/".($last + 1) : null);
    }
    $this->get($at, ['Range' => 'bytes='.($last + 1).'-'])->assertStatus(416)
        ->assertHeader('Content-Range', 'bytes */'.($last + 1));
    $this->get($at, ['Range' => 'bytes=-0'])->assertStatus(416);
    $this->get($at, ['Range' => 'bytes=0-9', 'If-Range' => '"another"'])->assertOk();
});

it('copies what is worked on to a folder for nobody else, which goes with the work, however that ends', function () {
    $disk = distantDisk();
    $disk->put('a/b.mp4', 'bytes');
    $seen = [];
    app(FilmFiles::class)->worked('a/b.mp4', function (string $file) use (&$seen): void {
        $seen = [file_get_contents($file), decoct(fileperms(dirname($file)) & 0777), dirname($file)];
    });
    expect($seen)->toBe(['bytes', '700', $seen[2]])->and(is_dir($seen[2]))->toBeFalse();
    $fails = function (string $file) use (&$seen): void {
        $seen = dirname($file);
        throw new RuntimeException('in the middle');
    };
    expect(fn () => app(FilmFiles::class)->worked('a/b.mp4', $fails))->toThrow(RuntimeException::class)
        ->and(is_dir($seen))->toBeFalse();
});

it('answers a disk of this machine and a distant one with the same ranges', function (string $asked) {
    $bytes = random_bytes(700);
    $answers = [];
    foreach (['here', 'far'] as $where) {
        $where === 'far' ? distantDisk() : Storage::fake('films');
        Storage::disk('films')->put('a/b.mp4', $bytes);
        $this->app['request']->headers->set('Range', $asked);
        $answer = StoredFile::answer('films', 'a/b.mp4', ['Content-Type' => 'video/mp4'])->prepare(request());
        ob_start();
        $answer->sendContent();
        $answers[] = [$answer->getStatusCode(), ob_get_clean(), $answer->headers->get('Content-Range')];
    }
    expect($answers[1])->toBe($answers[0]);
})->with(['bytes=0-0', 'bytes=3-', 'bytes=-7', 'bytes=699-', 'bytes=5-5', 'bytes=0-699']);

it('takes a part that comes twice once, and refuses one that leaves a hole; nothing is lost by either', function () {
    $film = announced($this, colourBars());
    $size = $film->bytes;
    sentPart($this, $film, 100, 50)->assertStatus(409);
    sentPart($this, $film, 0, 4000)->assertOk();
    sentPart($this, $film, 0, 4000)->assertOk()->assertJson(['received' => 4000]);
    sentPart($this, $film, 2000, 4000)->assertOk()->assertJson(['received' => 4000]);
    sentPart($this, $film, 4001, 100)->assertStatus(409);
    sentPart($this, $film, 4000, $size)->assertOk()->assertJson(['received' => $size]);
    expect($film->refresh()->checksum)->toBe(hash_file('sha256', colourBars()));
});

it('says that there is no room for a part, so that it is sent again, and keeps what came before', function () {
    $film = announced($this, colourBars());
    sentPart($this, $film, 0, 4000)->assertOk();
    $disk = Storage::disk('films');
    $full = Mockery::mock(FilesystemAdapter::class);
    $full->shouldReceive('put')->andThrow(UnableToWriteFile::atLocation('there', 'No space left on device'));
    Storage::set('films', $full);
    sentPart($this, $film, 4000, 1000)
        ->assertStatus(507)
        ->assertJsonPath('message', __('refusals.shelf.part-not-kept'));
    expect($film->refresh()->received)->toBe(4000);
    Storage::set('films', $disk);
    sentPart($this, $film, 4000, $film->bytes)->assertOk();
    expect($film->refresh()->checksum)->toBe(hash_file('sha256', colourBars()));
});

it('overwrites what a broken write left at a place', function () {
    $film = announced($this, colourBars());
    sentPart($this, $film, 0, 4000)->assertOk();
    // Written, and rolled back before it was acknowledged.
    app(FilmFiles::class)->putPart($film->public_id, 4000, str_repeat('x', 900));
    sentPart($this, $film, 4000, 1000)->assertOk();
    sentPart($this, $film, 5000, $film->bytes)->assertOk();
    expect($film->refresh()->checksum)->toBe(hash_file('sha256', colourBars()))->and($film->state)->toBe('ready');
});

it('says so where a part has gone, and never fills its place', function (Closure $spoil) {
    Queue::fake([FilmConversion::class]);
    $film = announced($this, colourBars());
    sentPart($this, $film, 0, 4000)->assertOk();
    sentPart($this, $film, 4000, 3000)->assertOk();
    sentPart($this, $film, 7000, $film->bytes)->assertOk();
    $parts = Storage::disk('films')->files('arriving/'.$film->public_id);
    sort($parts);
    $spoil($parts);
    app(ConvertFilm::class)($film->id);
    expect($film->refresh()->state)->toBe('refused')
        ->and($film->says())->toContain('send it again')
        ->and($film->checksum)->toBeNull()
        ->and(Storage::disk('films')->exists($film->path('original.mp4')))->toBeFalse();
})->with([
    'one in the middle' => [fn (array $parts) => Storage::disk('films')->delete($parts[1])],
    'the first' => [fn (array $parts) => Storage::disk('films')->delete($parts[0])],
    'the last' => [fn (array $parts) => Storage::disk('films')->delete($parts[2])],
    'all' => [fn (array $parts) => Storage::disk('films')->delete($parts)],
    'one cut short' => [fn (array $parts) => Storage::disk('films')->put($parts[1], 'short')],
    'the last cut short' => [fn (array $parts) => Storage::disk('films')->put($parts[2], 'short')],
    'one too long' => [fn (array $parts) => Storage::disk('films')->append($parts[0], 'more')],
]);

it('goes on where a run ended after it had joined the parts and before it said so', function () {
    Queue::fake([FilmConversion::class]);
    $film = announced($this, colourBars());
    sentPart($this, $film, 0, $film->bytes)->assertOk();
    Storage::disk('films')->put($film->path('original.mp4'), (string) file_get_contents(colourBars()));
    app(FilmFiles::class)->forgetParts($film->public_id);
    app(ConvertFilm::class)($film->id);
    expect($film->refresh()->state)->toBe('ready')->and($film->checksum)->toBe(hash_file('sha256', colourBars()));
});

it('asks the queue again for a film that nobody asked it for, once in a while', function () {
    Queue::fake([FilmConversion::class]);
    $film = announced($this, colourBars());
    sentPart($this, $film, 0, $film->bytes)->assertOk();
    Queue::fake([FilmConversion::class]);
    expect(app(RestartConversions::class)())->toBe(0);
    $this->travel(RestartConversions::FORGOTTEN_S + 1)->seconds();
    expect(app(RestartConversions::class)())->toBe(1)->and(app(RestartConversions::class)())->toBe(0);
    Queue::assertPushed(FilmConversion::class, 1);
});
