<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Http\Controller;
use App\Models\TrainingGoal;
use App\Practice\Actions\SetGoal;
use App\Practice\Hours;
use App\Practice\Pages\PlansPage;
use Core\Format\CsvWriter;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Training plans, and the hours that were spent. */
final class PlansController extends Controller
{
    public function index(PlansPage $page): View
    {
        return view('practice.plans', $page->of($this->user()));
    }

    public function store(GoalRequest $request, SetGoal $set): RedirectResponse
    {
        $to = $this->backTo(route('plans'));
        $set($request->person($this->user()), $request->goal(), $this->user());

        return redirect()->to($to)->with('done', (string) __('plans.set'));
    }

    public function destroy(TrainingGoal $goal, SetGoal $set): RedirectResponse
    {
        $set->drop($goal);

        return redirect()->route('plans')->with('done', (string) __('plans.dropped'));
    }

    public function done(TrainingGoal $goal, SetGoal $set): RedirectResponse
    {
        $to = $this->backTo(route('plans'));
        $set->tick($goal);

        return redirect()->to($to)->with('done', (string) __('plans.ticked'));
    }

    public function hours(HoursRequest $request): Response
    {
        return response(implode('', array_map(CsvWriter::row(...), [
            ['person', 'from', 'to', 'practice_questions', 'practice_min', 'cases_read', 'reading_min', 'hours'],
            ...Hours::of($this->user(), $request->from(), $request->to()),
        ])), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="hours.csv"',
        ]);
    }
}
