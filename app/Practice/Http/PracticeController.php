<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Bench\Pages\EvidencePayload;
use App\Http\Controller;
use App\Models\MadeSwing;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\Actions\StockPractice;
use App\Practice\Modes;
use App\Practice\Pages\MadePayload;
use App\Practice\Pages\PracticePage;
use App\Practice\Pages\ProgressPage;
use App\Practice\Pages\QuestionPage;
use App\Practice\Pages\StaffMap;
use App\Shelf\Http\FilmPart;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use Core\Motion\View as FilmView;
use Core\Sight\Sight;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** Practice: a question, one answer, the truth at the same moment of the same swing. */
final class PracticeController extends Controller
{
    public function __construct(private readonly Onlookers $onlookers, private readonly Modes $modes)
    {
    }

    public function index(PracticePage $page, StaffMap $staff): View
    {
        return view('practice.index', [
            ...$page->of($this->user()),
            'staff' => $this->user()->isHeadCoach() ? $staff->of($this->user()) : [],
        ]);
    }

    public function progress(ProgressPage $page, ?User $person = null): View
    {
        $person ??= $this->user();
        abort_unless($this->user()->isHeadCoach() || $person->is($this->user()), 404);

        return view('practice.progress', $page->of($person, $this->user()));
    }

    public function begin(BeginPracticeRequest $request, BeginPractice $begin, StockPractice $stock): RedirectResponse
    {
        $this->backTo(route('practice'));
        $being = $stock->ask($this->user(), $request->mode(), $request->fault());
        $sitting = $begin($this->user(), $request->fault(), $request->questions(), $request->mode(), $being);

        return redirect()->route('practice.question', [$sitting, $sitting->answers()->count()]);
    }

    public function question(PracticeSitting $sitting, int $place, QuestionPage $page): View
    {
        $answer = $this->asked($sitting, $place);

        return view('practice.question', $page->of($sitting, $answer, $this->user()));
    }

    public function answer(
        AnswerRequest $request,
        PracticeSitting $sitting,
        int $place,
        AnswerQuestion $answer,
    ): RedirectResponse {
        $this->backTo(route('practice.question', [$sitting, $place]));
        $this->asked($sitting, $place);
        $answer($sitting, $place, $request->said(), $this->user());

        return redirect()->route('practice.question', [$sitting, $place]);
    }

    public function end(PracticeSitting $sitting): RedirectResponse
    {
        PracticeSitting::query()->whereKey($sitting->id)->whereNull('ended_at')->update(['ended_at' => now()]);

        return redirect()->route('practice');
    }

    public function evidence(PracticeSitting $sitting, int $place, EvidencePayload $payload): JsonResponse
    {
        $answer = $this->asked($sitting, $place);
        if ($answer->made !== null) {
            return response()->json(MadePayload::of($answer->made));
        }
        $recording = $answer->recorded();
        ['film' => $film, 'trace' => $trace, 'stations' => $stations] = $this->shows($answer);
        $filmed = $film ? $recording->filmedViews() : [];
        $given = $payload->of(
            $recording,
            $film && $filmed === [],
            $filmed,
            $trace,
            static fn (string $view, string $part): string => route(
                'practice.film',
                [$sitting, $place, $view, $part],
                false,
            ),
        );
        if (! $stations) {
            // They would tell the moment; the ball's place is taken from one of them, and stills are cut at them.
            $given['stations'] = (object) [];
            $given['motion'] = is_array($given['motion']) ? [...$given['motion'], 'ball' => null] : null;
            $given['films'] = array_map(
                static fn (mixed $f): array => [...(is_array($f) ? $f : []), 'stills' => (object) []],
                is_array($given['films']) ? $given['films'] : [],
            );
        }

        return response()->json($given);
    }

    /** A made swing that stands beside it now. */
    public function other(PracticeSitting $sitting, int $place, int $made): JsonResponse
    {
        $answer = $this->asked($sitting, $place);
        $shown = array_column($this->modes->of($answer->mode)->others($answer), 'made');
        abort_unless(in_array($made, $shown, true), 404);

        return response()->json(MadePayload::of(MadeSwing::query()->findOrFail($made)));
    }

    public function film(
        PracticeSitting $sitting,
        int $place,
        string $view,
        string $part,
        FilmPart $film,
    ): Response {
        $answer = $this->asked($sitting, $place);
        $recording = $answer->recording;
        abort_unless(
            $recording !== null && $this->shows($answer)['film'] &&
            // The first frame tells where no station is.
            (in_array($part, ['stream', 'poster'], true) || $this->shows($answer)['stations']) &&
            in_array($view, array_map(static fn (FilmView $v): string => $v->value, $recording->filmedViews()), true),
            404,
        );

        return $film->answer($recording, $view, $part);
    }

    /** @return array{film: bool, trace: bool, stations: bool} all of it once it is answered */
    private function shows(PracticeAnswer $answer): array
    {
        return $answer->answered_at !== null
            ? ['film' => true, 'trace' => true, 'stations' => true]
            : $this->modes->of($answer->mode)->shows($answer);
    }

    /** @throws NotNow where its swing waits somewhere to be read blind by now, or may be used no longer */
    private function asked(PracticeSitting $sitting, int $place): PracticeAnswer
    {
        $answer = $sitting->answers()->where('place', $place)->with(['recording.golfer', 'made'])->firstOrFail();
        if ($answer->recording_id === null) {
            return $answer;
        }
        $sight = Sight::ofPractice(
            $this->onlookers->of($this->user())->standing($answer->recording_id),
            $answer->answered_at !== null,
        );

        return $sight->why === null ? $answer : throw NotNow::because($sight->why);
    }
}
