<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Film\FilmFiles;
use App\Models\Film;
use App\Models\Recording;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * One part of a ready film – the stream, its poster, the picture of a station – in byte ranges. Asks nobody: the door
 * does.
 */
final readonly class FilmPart
{
    private const PARTS = '/^(stream|poster|(AD|TB|LB|TP|LD|SD|IM|ST|FI))$/';

    public function __construct(private FilmFiles $files)
    {
    }

    /** @param  (callable(string): string)|null  $path  of a file made anew for one place in a sitting */
    public function answer(
        Recording $recording,
        string $view,
        string $part,
        ?callable $path = null,
    ): BinaryFileResponse {
        abort_unless(preg_match(self::PARTS, $part) === 1, 404);
        $film = Film::query()
            ->where('state', 'ready')
            ->where('recording_id', $recording->id)
            ->where('view', $view)
            ->firstOrFail();
        $file = ($path ?? $film->path(...))($part === 'stream' ? 'stream.mp4' : "$part.jpg");
        abort_unless(Storage::disk('films')->exists($file), 404);
        $response = response()->file($this->files->local($file), [
            'Content-Type' => $part === 'stream' ? 'video/mp4' : 'image/jpeg',
            'Accept-Ranges' => 'bytes',
        ]);
        if ($path !== null) {
            // When it was made would tell what was made next to it.
            $response->headers->remove('Last-Modified');
        }

        return $response;
    }
}
