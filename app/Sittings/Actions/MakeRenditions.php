<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Film\Ffmpeg;
use App\Film\FilmFiles;
use App\Models\Film;
use App\Models\Rendition;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Works\Progress;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\StationTime;
use Core\Motion\View;
use Core\Planning\Rendition as CoreRendition;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Makes what each place of a sitting with hidden repeats shows: of every case, so that nothing tells the repeated ones,
 * and in an order of chance, so that what is made one after the other does not belong together. What an earlier run
 * has made is kept.
 */
final readonly class MakeRenditions
{
    /** The draws of a picture's fineness, so that no two streams are of one size. */
    private const FINENESS = [19, 20, 21, 22];

    public function __construct(private Ffmpeg $ffmpeg, private FilmFiles $files)
    {
    }

    public function __invoke(Sitting $sitting, Progress $progress): void
    {
        $places = [];
        foreach (
            $sitting
                ->cases()
                ->with(['swings.recording.films', 'swings.recording.stations', 'arm'])
                ->orderBy('id')
                ->get() as $case
        ) {
            foreach ($case->swings as $swing) {
                $places[] = [$case, $swing->recording];
            }
        }
        $order = (new Chance("made|{$sitting->seed}|".bin2hex(random_bytes(8))))->shuffled($places);
        foreach ($order as $i => [$case, $recording]) {
            $rendition =
                $case->renditions()->where('recording_id', $recording->id)->first() ??
                $case->renditions()->create([
                    'recording_id' => $recording->id,
                    'public_id' => Str::lower(Str::random(26)),
                    ...self::drawn($case, $recording, $sitting),
                ]);
            foreach ($this->shows($case) as $view) {
                $film = $recording->films->first(
                    static fn (Film $f): bool => $f->isReady() && $f->coreView() === $view,
                );
                if ($film !== null && ! isset($rendition->films[$view->value])) {
                    $this->film($rendition, $film, $recording->stationTimes()->all());
                }
            }
            $progress->tell(($i + 1) / count($order));
        }
    }

    /** @return array{start_s: float, end_s: float, nudges: list<float>} */
    private static function drawn(SittingCase $case, \App\Models\Recording $recording, Sitting $sitting): array
    {
        $chance = new Chance("rendition|{$sitting->seed}|{$case->id}|{$recording->id}");
        $made = CoreRendition::draw(
            $chance,
            $recording->t0,
            $recording->t0 + ($recording->samples - 1) / $recording->rate_hz,
            $recording->stationTimes(),
        );

        return ['start_s' => $made->start, 'end_s' => $made->end, 'nudges' => $made->nudges];
    }

    /** @return list<View> */
    private function shows(SittingCase $case): array
    {
        return $case->arm === null || $case->arm->film ? $case->filmedViews() : [];
    }

    /**
     * @param  array<string, StationTime>  $stations
     *
     * @throws CoreException
     */
    private function film(Rendition $rendition, Film $film, array $stations): void
    {
        $core = $rendition->toCore();
        $rate = $film->clock()->rate((float) $film->rate_hz);
        [$first, $last] = $core->frames($film->offset_s, $rate, (int) $film->frames);
        $target = sys_get_temp_dir().'/rendition-'.bin2hex(random_bytes(8)).'.mp4';
        try {
            $fineness =
                self::FINENESS[
                    (new Chance("fine|{$rendition->public_id}|{$film->view}"))->between(0, count(self::FINENESS) - 1)
                ];
            $this->files->worked($film->path('stream.mp4'), fn (string $stream) => $this->ffmpeg->cut(
                $stream,
                $first,
                $last,
                (float) $film->rate_hz,
                $fineness,
                $target,
            ));
            $this->files->put($rendition->path($film->view, 'stream.mp4'), $target);
            $frames = array_filter(
                array_map(
                    static fn (StationTime $s): int => (int) floor(
                        $film->clock()->toOwn($s->t) * (float) $film->rate_hz + 0.5,
                    ) - $first,
                    $stations,
                ),
                static fn (int $n): bool => $n >= 0 && $n <= $last - $first,
            );
            foreach ($this->ffmpeg->stills($target, $frames + ['poster' => 0]) as $name => $bytes) {
                Storage::disk('films')->put($rendition->path($film->view, "$name.jpg"), $bytes);
            }
            $rendition->update([
                'films' => [
                    ...$rendition->films,
                    $film->view => ['first' => $first, 'last' => $last, 'stills' => $frames],
                ],
            ]);
        } finally {
            @unlink($target);
        }
    }
}
