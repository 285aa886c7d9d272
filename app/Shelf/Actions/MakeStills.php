<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Film\Ffmpeg;
use App\Film\FilmFiles;
use App\Models\Film;
use Core\Motion\StationTime;
use Illuminate\Support\Facades\Storage;

/** A poster, and a still at each station the film shows; made anew when a station or the film's clock moves. */
final readonly class MakeStills
{
    public function __construct(private Ffmpeg $ffmpeg, private FilmFiles $files)
    {
    }

    public function __invoke(Film $film): void
    {
        if (! $film->isReady()) {
            return;
        }
        $frames = array_filter(array_map(
            static fn (StationTime $s): int => (int) floor($film->clock()->toOwn($s->t) * (float) $film->rate_hz + 0.5),
            $film->recording()->with('stations')->firstOrFail()->stationTimes()->all(),
        ), static fn (int $n): bool => $n >= 0 && $n < $film->frames);
        $pictures = $this->files->worked(
            $film->path('stream.mp4'),
            fn (string $stream): array => $this->ffmpeg->stills($stream, $frames + ['poster' => 0]),
        );
        foreach ($pictures as $name => $bytes) {
            Storage::disk('films')->put($film->path("$name.jpg"), $bytes);
        }
        $film->update(['stills' => array_intersect_key($frames, $pictures)]);
    }
}
