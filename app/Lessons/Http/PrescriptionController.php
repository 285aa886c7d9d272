<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Http\Controller;
use App\Http\Pdf;
use App\Lessons\Actions\Prescribe;
use App\Lessons\Pages\LessonsPage;
use App\Lessons\Pages\NoteCalendar;
use App\Lessons\Pages\NotePage;
use App\Lessons\Pages\PrescriptionPage;
use App\Lessons\Pages\SeenPage;
use App\Models\Lesson;
use App\Models\Prescription;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a golfer is given to do, and the note that goes home. */
final class PrescriptionController extends Controller
{
    public function index(LessonsPage $page): View
    {
        return view('lessons.index', $page->of($this->user()));
    }

    public function create(Request $request, Lesson $lesson, SeenPage $page): View
    {
        [$lens, $own] = array_map(
            static fn (mixed $asked): ?string => is_string($asked) ? $asked : null,
            [$request->query('lens'), $request->query('own')],
        );

        return view('lessons.seen', $page->of($lesson, $this->user(), $lens, $own));
    }

    public function store(SeenRequest $request, Lesson $lesson, Prescribe $prescribe): RedirectResponse
    {
        $this->backTo(route('prescriptions.create', $lesson));
        $draft = $prescribe->see($lesson, $request->faults(), $request->causes(), $request->lens(), $this->user());

        return redirect()->route('prescriptions.show', $draft);
    }

    public function show(Prescription $prescription, PrescriptionPage $page): View
    {
        return view('lessons.prescription', $page->of($prescription));
    }

    public function choose(ChooseRequest $request, Prescription $prescription, Prescribe $prescribe): RedirectResponse
    {
        $to = $this->backTo(route('prescriptions.show', $prescription));
        $prescribe->choose($prescription, $request->string('drill')->value());

        return redirect()->to("$to#chosen");
    }

    public function update(PlanRequest $request, Prescription $prescription, Prescribe $prescribe): RedirectResponse
    {
        $to = $this->backTo(route('prescriptions.show', $prescription));
        $prescribe->write(
            $prescription,
            $request->plan(),
            $request->reason(),
            $request->day('until'),
            $request->day('next_on'),
            $request->lines(),
        );
        if ($request->boolean('hand_over')) {
            $prescribe->handOver($prescription, $this->user());

            return redirect()->route('prescriptions.note', $prescription);
        }

        return redirect()->to("$to#chosen")->with('done', (string) __('prescriptions.kept'));
    }

    public function destroy(Prescription $prescription, Prescribe $prescribe): RedirectResponse
    {
        $this->backTo(route('prescriptions.show', $prescription));
        $lesson = $prescription->lesson;
        $prescribe->drop($prescription, $this->user());

        return redirect()->route('lessons.show', $lesson);
    }

    public function note(Prescription $prescription, NotePage $page): View
    {
        abort_if($prescription->issued_at === null, 404);

        return view('lessons.note', $page->of($prescription, $this->user()));
    }

    public function pdf(Prescription $prescription, NotePage $page): Response
    {
        abort_if($prescription->issued_at === null, 404);

        return Pdf::of('lessons.note-paper', $page->of($prescription, $this->user()), 'note');
    }

    public function calendar(Prescription $prescription, NoteCalendar $calendar): Response
    {
        abort_if($prescription->issued_at === null, 404);

        return response($calendar->of($prescription), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="note.ics"',
        ]);
    }
}
