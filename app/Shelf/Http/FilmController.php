<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Http\StoredFile;
use App\Models\Film;
use App\Models\Recording;
use App\Shelf\Actions\MatchFilm;
use App\Shelf\Actions\ReceiveFilm;
use App\Shelf\Actions\RemoveFilm;
use App\Undo\Undos;
use App\Words\Term;
use Core\Film\Container;
use Core\Motion\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** Films in, and out again in byte ranges to those who may see them. */
final class FilmController extends Controller
{
    /** @throws ActionException */
    public function store(FilmRequest $request, Recording $recording, ReceiveFilm $receive): JsonResponse
    {
        $film = $receive->begin(
            $recording,
            View::from($request->string('view')->value()),
            $request->string('name')->value(),
            $request->integer('bytes'),
            $request->integer('slowed', 1),
            $this->user(),
        );

        return response()->json(
            ['part' => ReceiveFilm::PART, 'to' => route('films.append', $film), 'state' => route('films.state', $film)],
            201,
        );
    }

    /** @throws ActionException */
    public function append(FilmPartRequest $request, Film $film, ReceiveFilm $receive): JsonResponse
    {
        return response()->json([
            'received' => $receive->append($film, $request->integer('offset'), $request->getContent()),
        ]);
    }

    public function state(Film $film): JsonResponse
    {
        return response()->json([
            'state' => $film->state,
            'progress' => round($film->progress, 3),
            'received' => $film->received,
            'bytes' => $film->bytes,
            'message' => $film->says(),
        ]);
    }

    public function destroy(Film $film, RemoveFilm $remove, Undos $undos): RedirectResponse
    {
        $recording = $film->recording()->firstOrFail();
        try {
            $was = $remove($film, $this->user());
        } catch (ActionException $e) {
            return redirect()->route('bench', $recording)->with('refused', $e->getMessage());
        }

        if ($film->isReady()) {
            $undos->offer($this->user(), 'film', [
                'subject' => "recording $recording->public_id",
                'recording' => $recording->id,
                'folder' => $film->public_id,
                'parts' => [$was],
            ]);
        }

        return redirect()
            ->route('bench', $recording)
            ->with('done', (string) __('notices.shelf.taken-away-with-its', [
                'core-view' => Term::view($film->coreView()),
            ]));
    }

    /** @throws ActionException */
    public function clock(FilmClockRequest $request, Film $film, MatchFilm $match): RedirectResponse
    {
        $bench = $this->backTo(route('bench', $film->recording()->firstOrFail()));

        return redirect()->to($bench)->with('done', $match($film, $request->change(), $this->user()));
    }

    public function original(Film $film): Response
    {
        abort_if($film->checksum === null, 404);
        $kind = Container::from((string) $film->container)->extension();

        return StoredFile::answer('films', $film->path("original.$kind"), [
            'Content-Type' => $kind === 'webm' ? 'video/webm' : 'video/mp4',
            'Content-Disposition' => "attachment; filename={$film->view}-{$film->public_id}.$kind",
        ]);
    }

    public function onBench(Recording $recording, string $view, string $part, FilmPart $film): Response
    {
        return $film->answer($recording, $view, $part);
    }
}
