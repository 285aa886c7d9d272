<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Exceptions\ActionException;
use App\Film\FilmFiles;
use App\Http\Controller;
use App\Models\AuditEntry;
use App\Models\Film;
use App\Models\Recording;
use App\Models\Sitting;
use App\Shelf\Actions\MatchFilm;
use App\Shelf\Actions\ReceiveFilm;
use App\Words\Term;
use Core\Film\Container;
use Core\Motion\View;
use Core\Sight\SittingState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

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
            'message' => $film->message,
        ]);
    }

    public function destroy(Film $film): RedirectResponse
    {
        $recording = $film->recording()->firstOrFail();
        $round = Sitting::query()
            ->where('state', '<>', SittingState::Draft)
            ->whereHas(
                'cases',
                static fn ($q) => $q
                    ->whereHas('swings', static fn ($s) => $s->where('recording_id', $recording->id))
                    ->whereHas(
                        'readings',
                        static fn ($r) => $r->whereHas('arm', static fn ($a) => $a->where('film', true)),
                    )
                    ->whereJsonContains('film_views', $film->view),
            )
            ->first();
        if ($round !== null) {
            return redirect()
                ->route('bench', $recording)
                ->with('refused', (string) __('refusals.shelf.shows-film-its-readings', ['round' => $round->name]));
        }
        $film->delete();
        AuditEntry::note($this->user(), 'film-removed', "recording {$recording->public_id}", [
            'view' => $film->view,
            'name' => $film->name,
        ]);

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

    public function original(Film $film, FilmFiles $files): BinaryFileResponse
    {
        abort_if($film->checksum === null, 404);
        $kind = Container::from((string) $film->container)->extension();

        abort_unless(Storage::disk('films')->exists($film->path("original.$kind")), 404);

        return response()->download(
            $files->local($film->path("original.$kind")),
            "{$film->view}-{$film->public_id}.$kind",
        );
    }

    public function onBench(Recording $recording, string $view, string $part, FilmPart $film): BinaryFileResponse
    {
        return $film->answer($recording, $view, $part);
    }
}
