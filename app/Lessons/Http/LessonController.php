<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Lessons\Actions\KeepLesson;
use App\Lessons\Pages\LessonPage;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\LessonBall;
use App\Undo\Rows;
use App\Undo\Undos;
use Core\CoreException;
use Core\Format\BallsCsv;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Sessions of a golfer. */
final class LessonController extends Controller
{
    public function store(LessonRequest $request, Golfer $golfer, KeepLesson $keep): RedirectResponse
    {
        $this->backTo(route('golfers.show', $golfer));

        return redirect()->route('lessons.show', $keep($golfer, null, $request->said(), null, $this->user()));
    }

    public function show(Lesson $lesson, LessonPage $page): View
    {
        return view('lessons.session', $page->of($lesson, $this->user()));
    }

    public function update(LessonRequest $request, Lesson $lesson, KeepLesson $keep): RedirectResponse
    {
        return $this->kept($lesson, fn () => $keep(
            $lesson->golfer()->firstOrFail(),
            $lesson,
            $request->said(),
            $request->recordings(),
            $this->user(),
            $request->string('seen')->value(),
        ), 'kept');
    }

    public function feel(FeelRequest $request, Lesson $lesson, KeepLesson $keep): RedirectResponse
    {
        return $this->kept(
            $lesson,
            fn () => $keep->feel($lesson, $request->string('feel')->trim()->value(), $this->user()),
            'feel-locked',
        );
    }

    public function ball(BallRequest $request, Lesson $lesson, KeepLesson $keep): RedirectResponse
    {
        return $this->kept($lesson, fn () => $keep->ball(
            $lesson,
            $request->integer('place'),
            $request->club(),
            $request->ball(),
            $request->note(),
        ), 'kept');
    }

    public function dropBall(Lesson $lesson, LessonBall $ball, KeepLesson $keep, Undos $undos): RedirectResponse
    {
        abort_unless($ball->lesson_id === $lesson->id, 404);
        $was = Rows::of('lesson_balls', ['id' => $ball->id]);

        return $this->kept($lesson, function () use ($lesson, $ball, $keep, $undos, $was): void {
            $keep->dropBall($ball);
            $undos->offer($this->user(), 'rows', ['subject' => "golfer $lesson->golfer_id", 'parts' => [$was]]);
        }, 'ball-dropped');
    }

    /** @throws ActionException naming the line that is wrong */
    public function balls(BallsRequest $request, Lesson $lesson, KeepLesson $keep): RedirectResponse
    {
        return $this->kept($lesson, static function () use ($request, $lesson, $keep): void {
            $file = $request->sent();
            $stream = fopen($file->getRealPath(), 'rb') ?: throw ActionException::because('import.not-kept');
            try {
                $keep->balls($lesson, $stream, $file->getClientOriginalName());
            } catch (CoreException $e) {
                throw ActionException::of($e);
            } finally {
                fclose($stream);
            }
        }, 'kept');
    }

    public function file(Lesson $lesson): StreamedResponse
    {
        $balls = array_values($lesson->balls()->get()->map(static fn (LessonBall $b): array => [
            'place' => $b->place, 'club' => $b->club, 'flight' => $b->toCore(), 'note' => $b->note,
        ])->all());

        return response()->streamDownload(
            static function () use ($balls): void {
                echo BallsCsv::write($balls);
            },
            'balls.csv',
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    private function kept(Lesson $lesson, callable $do, string $notice): RedirectResponse
    {
        $to = redirect()->to($this->backTo(route('lessons.show', $lesson)));
        $do();

        return $to->with('done', (string) __("notices.academy.$notice"));
    }
}
