<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\Refusal;
use App\Film\Ffmpeg;
use App\Film\FilmFiles;
use App\Models\Film;
use Core\CoreException;
use Core\Film\Container;
use Core\Film\FilmException;
use Core\Film\FrameClock;
use Illuminate\Support\Carbon;

/**
 * Makes a film's stream from its original, and that from the parts it came in. One run holds a film by a beat it
 * renews; a run that was killed stops beating and another takes over, and only the run that holds it may say it is
 * ready.
 */
final readonly class ConvertFilm
{
    public const STALE_S = 15;

    private const MOST_ATTEMPTS = 5;

    public function __construct(private Ffmpeg $ffmpeg, private FilmFiles $files, private MakeStills $stills)
    {
    }

    public function __invoke(int $id): void
    {
        $taken = Film::query()
            ->whereKey($id)
            ->where('attempts', '<', self::MOST_ATTEMPTS)
            ->where(
                static fn ($q) => $q
                    ->where('state', 'waiting')
                    ->orWhere(
                        static fn ($q) => $q
                            ->where('state', 'converting')
                            ->where('beat_at', '<', Carbon::now()->subSeconds(self::STALE_S)),
                    ),
            )
            ->increment('attempts', 1, [
                'state' => 'converting',
                'progress' => 0,
                'beat_at' => Carbon::now(),
                'message' => null,
            ]);
        $film = Film::query()->find($id);
        if ($film === null) {
            return;
        }
        if ($taken === 0) {
            if ($film->state === 'waiting') {
                $film->update([
                    'state' => 'refused',
                    'message' => (new Refusal('refusals.shelf.film-not-made-ready', [
                        'attempts' => self::MOST_ATTEMPTS,
                    ]))->toJson(),
                ]);
            }

            return;
        }
        $mine = $film->attempts;
        try {
            $this->convert($film, $mine);
        } catch (CoreException $e) {
            $this->settle($film, $mine, ['state' => 'refused', 'message' => Refusal::of($e)->toJson()]);
        } catch (\Throwable $e) {
            $this->settle($film, $mine, [
                'state' => 'waiting',
                'message' => (new Refusal('refusals.shelf.interrupted'))->toJson(),
            ]);

            throw $e;
        }
    }

    private function convert(Film $film, int $mine): void
    {
        $kept = $film->path('original.'.Container::from((string) $film->container)->extension());
        $beat = self::beating($film, $mine);
        if ($film->checksum !== null || $this->join($film, $mine, $kept, $beat)) {
            $this->files->forgetParts($film->public_id);
        }
        $this->files->worked($kept, fn (string $original) => $this->stream($film, $mine, $original, $beat), $beat);
        ($this->stills)($film->refresh());
    }

    /**
     * Makes the original of the parts that came.
     *
     * @param  \Closure(?float=): void  $beat
     * @return bool whether this run still holds the film; another may need the parts
     *
     * @throws CoreException
     */
    private function join(Film $film, int $mine, string $kept, \Closure $beat): bool
    {
        return $this->files->apart(function (string $folder) use ($film, $mine, $kept, $beat): bool {
            $whole = "$folder/original";
            $sum = $this->files->join($film->public_id, $film->bytes, $whole, $beat);
            if ($sum !== null) {
                $this->files->put($kept, $whole, $beat);
            } elseif ($this->files->size($kept) === $film->bytes) {
                // Joined by a run that ended before it could say so, or before the tables were copied.
                $sum = $this->files->worked($kept, static fn (string $it): string => (string) hash_file('sha256', $it));
            } else {
                throw FilmException::because('not-whole');
            }

            return $this->settle($film, $mine, ['checksum' => $sum]);
        });
    }

    /**
     * @param  \Closure(?float=): void  $beat
     *
     * @throws CoreException
     */
    private function stream(Film $film, int $mine, string $original, \Closure $beat): void
    {
        $facts = $this->ffmpeg->probe($original);
        $target = sys_get_temp_dir()."/stream-{$film->public_id}-$mine.mp4";
        try {
            $clock = $this->ffmpeg->convert($original, $facts, $film->slowed, $target, $beat);
            $this->files->put($film->path('stream.mp4'), $target, $beat);
            [$width, $height] = $this->ffmpeg->size($target);
            $this->settle($film, $mine, self::row($clock, $width, $height) + ['facts' => Film::factsOf($facts)]);
        } finally {
            @unlink($target);
        }
    }

    /**
     * Takes a stream that is one already, such as the demo's, as it is.
     *
     * @throws CoreException
     */
    public function adopt(Film $film, string $stream): void
    {
        $facts = $this->ffmpeg->probe($stream);
        $this->files->put($film->path('stream.mp4'), $stream);
        $this->files->put($film->path('original.mp4'), $stream);
        $film->update(
            self::row(
                FrameClock::fromTimes($facts->times, FrameClock::rateFor($facts->times)),
                $facts->width,
                $facts->height,
            ) + [
                'facts' => Film::factsOf($facts),
                'received' => $film->bytes,
                'container' => 'mov',
                'checksum' => hash_file('sha256', $stream),
            ],
        );
        ($this->stills)($film);
    }

    /** @return array<string, mixed> */
    private static function row(FrameClock $clock, int $width, int $height): array
    {
        return [
            'state' => 'ready',
            'progress' => 1.0,
            'message' => null,
            'rate_hz' => $clock->rate,
            'frames' => $clock->frames(),
            'taken' => $clock->taken,
            'width' => $width,
            'height' => $height,
        ];
    }

    /** @return \Closure(?float=): void  told how far it is, where that is known; says so, and that it lives */
    private static function beating(Film $film, int $mine): \Closure
    {
        $last = 0.0;

        return static function (?float $part = null) use ($film, $mine, &$last): void {
            if (microtime(true) - $last > 0.4) {
                $last = microtime(true);
                Film::query()
                    ->whereKey($film->id)
                    ->where('attempts', $mine)
                    ->update(['beat_at' => Carbon::now(), ...($part === null ? [] : [
                        'progress' => round(0.97 * $part, 3),
                    ])]);
            }
        };
    }

    /**
     * @param  array<string, mixed>  $change
     * @return bool whether this run still holds the film
     */
    private function settle(Film $film, int $mine, array $change): bool
    {
        $held = Film::query()->whereKey($film->id)->where(['attempts' => $mine, 'state' => 'converting'])->first();
        $held?->update($change);

        return $held !== null;
    }
}
