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
use Illuminate\Database\Eloquent\Collection;
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
            $others = Rendition::query()
                ->whereRelation('case', 'sitting_id', $sitting->id)
                ->where('recording_id', $recording->id)
                ->orderBy('id')
                ->get();
            $rendition =
                $others->firstWhere('sitting_case_id', $case->id) ??
                $case->renditions()->create([
                    'recording_id' => $recording->id,
                    'public_id' => Str::lower(Str::random(26)),
                    ...self::drawn($case, $recording, $sitting, self::starts($others)),
                ]);
            $others = $others->reject(static fn (Rendition $r): bool => $r->is($rendition));
            foreach ($this->shows($case) as $view) {
                $film = $recording->films->first(
                    static fn (Film $f): bool => $f->isReady() && $f->coreView() === $view,
                );
                if ($film !== null && ! isset($rendition->films[$view->value])) {
                    $this->film($rendition, $film, $recording->stationTimes()->all(), $others);
                }
            }
            $progress->tell(($i + 1) / count($order));
        }
    }

    /**
     * @param  list<float>  $taken  where the recording's other places begin, s
     * @return array{start_s: float, end_s: float, nudges: list<float>}
     */
    private static function drawn(
        SittingCase $case,
        \App\Models\Recording $recording,
        Sitting $sitting,
        array $taken = [],
    ): array {
        $chance = new Chance("rendition|{$sitting->seed}|{$case->id}|{$recording->id}");
        $made = CoreRendition::draw(
            $chance,
            $recording->t0,
            $recording->t0 + ($recording->samples - 1) / $recording->rate_hz,
            $recording->stationTimes(),
            $taken,
        );

        return ['start_s' => $made->start, 'end_s' => $made->end, 'nudges' => $made->nudges];
    }

    /**
     * @param  Collection<int, Rendition>  $others
     * @return list<float>
     */
    private static function starts(Collection $others): array
    {
        return array_values($others->map(static fn (Rendition $r): float => $r->start_s)->all());
    }

    /** @return list<View> */
    private function shows(SittingCase $case): array
    {
        return $case->arm === null || $case->arm->film ? $case->filmedViews() : [];
    }

    /**
     * Another first frame and another fineness than the recording's other places: otherwise one picture in a hundred
     * pairs would be the same to the byte.
     *
     * @param  array<string, StationTime>  $stations
     * @param  Collection<int, Rendition>  $others  the recording's other places, as they were made
     *
     * @throws CoreException
     */
    private function film(Rendition $rendition, Film $film, array $stations, Collection $others): void
    {
        $core = $rendition->toCore();
        $rate = $film->clock()->rate((float) $film->rate_hz);
        $made = array_filter($others->map(static fn (Rendition $r): ?array => $r->films[$film->view] ?? null)->all());
        [$first, $last] = $core->frames(
            $film->offset_s,
            $rate,
            (int) $film->frames,
            array_column($made, 'first'),
        );
        $target = sys_get_temp_dir().'/rendition-'.bin2hex(random_bytes(8)).'.mp4';
        try {
            $fine = (new Chance("fine|{$rendition->public_id}|{$film->view}"))->shuffled(self::FINENESS);
            $fineness = array_values(array_diff($fine, array_column($made, 'fine')))[0] ?? $fine[0];
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
                    $film->view => ['first' => $first, 'last' => $last, 'fine' => $fineness, 'stills' => $frames],
                ],
            ]);
        } finally {
            @unlink($target);
        }
    }
}
