<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use App\Http\Controller;
use App\Lessons\Actions\FollowUpOn;
use App\Lessons\Pages\FollowUpPage;
use App\Models\FollowUp;
use App\Models\Lesson;
use App\Models\Prescription;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A later session held against what was prescribed. */
final class FollowUpController extends Controller
{
    public function store(BeginRequest $request, Prescription $prescription, FollowUpOn $follow): RedirectResponse
    {
        $this->backTo(route('prescriptions.show', $prescription));
        $lesson = Lesson::query()->where('public_id', $request->string('session')->value())->firstOrFail();
        abort_unless($this->user()->can('give', $lesson), 404);

        return redirect()->route('follow-ups.show', $follow->begin($prescription, $lesson, $this->user()));
    }

    public function show(FollowUp $followUp, FollowUpPage $page): View
    {
        return view('lessons.follow-up', $page->of($followUp, $this->user()));
    }

    public function feel(FeltRequest $request, FollowUp $followUp, FollowUpOn $follow): RedirectResponse
    {
        $to = $this->backTo(route('follow-ups.show', $followUp));
        $follow->feel($followUp, $request->said(), $this->user());

        return redirect()->to($to);
    }

    public function place(RungsRequest $request, FollowUp $followUp, FollowUpOn $follow): RedirectResponse
    {
        $to = $this->backTo(route('follow-ups.show', $followUp));
        $follow->place($followUp, $request->rungs());

        return redirect()->to($to)->with('done', (string) __('followup.placed'));
    }
}
