<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Exceptions\ActionException;
use App\Film\FilmFiles;
use App\Models\Film;
use App\Models\Recording;
use App\Shelf\Actions\ReceiveFilm;
use App\Shelf\Events\FilmArrived;
use Core\Film\Container;
use Core\Motion\View;
use Core\Trace\Limits;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/** Films that come in a library's archive: each is held against its sum, and made ready by the queue like any other. */
final readonly class TakeArchivedFilm
{
    public function __construct(private FilmFiles $files)
    {
    }

    /**
     * Within the transaction of its recording.
     *
     * @param  array<string, string>  $row  of films.csv
     *
     * @throws ActionException where it is none, or not the one that was packed
     */
    public function __invoke(Recording $recording, ZipArchive $zip, array $row): void
    {
        $view = View::tryFrom($row['view']);
        $stat = $zip->statName($row['file']);
        $slowed = (int) $row['slowed'];
        if (
            $view === null || $view === View::Points || $stat === false || $stat['size'] > ReceiveFilm::LARGEST ||
            $slowed < 1 || $slowed > 64
        ) {
            throw ActionException::because('refusals.operations.film-not-there', ['file' => basename($row['file'])]);
        }
        $here = (string) tempnam(sys_get_temp_dir(), 'vc-film-');
        try {
            $from = $zip->getStream($row['file']);
            $to = fopen($here, 'wb');
            $got = $from === false || $to === false ? false : @stream_copy_to_stream($from, $to);
            $from === false || fclose($from);
            $to === false || fclose($to);
            $container = Container::recognised((string) file_get_contents($here, false, null, 0, 64));
            if ($got !== $stat['size'] || $container === null || hash_file('sha256', $here) !== $row['sha256']) {
                throw ActionException::because('refusals.operations.film-spoilt', [
                    'file' => basename($row['file']),
                ]);
            }
            $number = static fn (string $name, float $most): ?float => $row[$name] === ''
                ? null
                : ImportLibrary::number($row[$name], $most, $name);
            $film = Film::query()->create([
                'recording_id' => $recording->id,
                'view' => $view->value,
                'name' => mb_substr($row['name'], 0, 160),
                'bytes' => $got,
                'received' => $got,
                'slowed' => $slowed,
                'container' => $container->value,
                'checksum' => $row['sha256'],
                'state' => 'waiting',
                'offset_s' => $number('offset_s', Limits::TIME_S) ?? 0.0,
                'drift_ppm' => $number('drift_ppm', 1e5) ?? 0.0,
                'clock_uncertainty_s' => $number('clock_uncertainty_s', Limits::TIME_S),
                'clock_by' => $row['clock_by'] === '' ? null : mb_substr($row['clock_by'], 0, 20),
                'camera_height_cm' => $number('camera_height_cm', 1000.0),
                'camera_tilt_deg' => $number('camera_tilt_deg', 90.0),
            ]);
            DB::afterRollBack(fn () => $this->files->forget($film->public_id));
            $this->files->put($film->path('original.'.$container->extension()), $here);
            DB::afterCommit(static fn () => event(new FilmArrived($film->id)));
        } finally {
            @unlink($here);
        }
    }
}
