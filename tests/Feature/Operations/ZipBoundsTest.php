<?php

use App\Exceptions\ActionException;
use App\Operations\Actions\ImportLibrary;
use App\Operations\ZipBounds;
use Core\Chance\Chance;
use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Shelf/hostile-files.php';

/** @param  array<string, string>  $entries */
function zipFile(array $entries): string
{
    $path = tempnam(sys_get_temp_dir(), 'zip');
    file_put_contents($path, zipOf($entries));

    return $path;
}

it('refuses an archive that would swell before anything of it is opened', function () {
    $path = zipFile(['recordings.csv' => str_repeat('0', 20_000_000), 'golfers.csv' => 'pseudonym']);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    expect(fn () => app(ImportLibrary::class)($path))->toThrow(ActionException::class, 'hundreds of times its size')
        ->and(memory_get_peak_usage() - $before)->toBeLessThan(4_000_000);
    unlink($path);
});

it('refuses none that people make: text of numbers, films, small files of one letter', function () {
    $chance = new Chance('zip');
    $numbers = implode(
        "\n",
        array_map(
            fn (int $i): string => sprintf('%.4f,%.2f,%.2f', $i / 1000, 50 + $chance->normal(), $chance->normal()),
            range(0, 60_000),
        ),
    );
    $path = zipFile(
        [
            'trace.csv' => $numbers,
            'film.mp4' => random_text($chance, 2_000_000),
            'flat.csv' => str_repeat('1', 900_000),
        ],
    );
    $zip = new ZipArchive;
    $zip->open($path);
    ZipBounds::hold($zip);
    expect($zip->numFiles)->toBe(3);
    unlink($path);
});

it('ends with a sentence whatever archive is given to it', function () {
    $chance = new Chance('archives');
    $good = zipOf(
        [
            'golfers.csv' => "pseudonym,handedness,limits,is_minor\nWren,right,,false\n",
            'recordings.csv' => 'id',
            'stations.csv' => 'recording',
        ],
    );
    foreach (range(1, many(12, 50)) as $i) {
        $bytes = match ($i % 6) {
            0 => flipped($good, $chance, $chance->between(1, 40)),
            1 => substr($good, 0, $chance->between(1, strlen($good))),
            2 => random_text($chance, $chance->between(1, 5000)),
            3 => zipOf(['../../etc/passwd' => 'x', 'golfers.csv' => random_text($chance, 2000)]),
            4 => zipOf(
                [
                    'golfers.csv' => str_repeat("a,b\n", $chance->between(1, 50_000)),
                    'recordings.csv' => str_repeat(',', 5000),
                ],
            ),
            default => zipOf(array_fill_keys(array_map(static fn (int $n): string => "entry-$n", range(1, 2000)), '')),
        };
        $path = tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $bytes);
        try {
            DB::transaction(fn () => app(ImportLibrary::class)($path));
        } catch (ActionException|Core\CoreException $e) {
            expect(App\Exceptions\Refusal::sentenceOf($e))->not->toBe('');
        } finally {
            unlink($path);
        }
    }
})->group('study');
