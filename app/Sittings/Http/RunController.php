<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Sitting;
use App\Sittings\Actions\SeatReader;
use App\Sittings\Actions\SetDeadline;
use App\Sittings\Actions\WithdrawCase;
use App\Sittings\Pages\ReadBy;
use App\Sittings\Pages\RoundCalendar;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** A round while it is held: its day, its cases, its people, how far it is read. */
final class RunController extends Controller
{
    /** How far it is read, as a part of its page. */
    public function progress(Sitting $round, ReadBy $page): View
    {
        return view('sittings.progress', $page->of($round));
    }

    /** @throws ActionException */
    public function due(RunRequest $request, Sitting $round, SetDeadline $set): RedirectResponse
    {
        $to = $this->backTo(route('rounds.show', $round));
        $set($round, $request->due(), $this->user());

        return redirect()->to($to)->with('done', (string) __('notices.sittings.due'));
    }

    /** @throws ActionException */
    public function withdraw(RunRequest $request, Sitting $round, WithdrawCase $withdraw): RedirectResponse
    {
        $to = $this->backTo(route('rounds.show', $round));
        $case = $round->cases()->whereKey($request->case())->first() ?? abort(404);
        $withdraw($round, $case, $request->string('reason')->value(), $this->user());

        return redirect()->to($to)->with('done', (string) __('notices.sittings.withdrawn'));
    }

    /** @throws ActionException */
    public function seat(RunRequest $request, Sitting $round, SeatReader $seat): RedirectResponse
    {
        $to = $this->backTo(route('rounds.show', $round));
        $seat($round, $request->who(), $request->instead(), $this->user());

        return redirect()->to($to)->with('done', (string) __('notices.sittings.seated'));
    }

    /** The day it is due, for a calendar of one's own. */
    public function calendar(Sitting $round, RoundCalendar $calendar): Response
    {
        return response($calendar->of($round, $this->user()), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.Str::slug($round->name).'.ics"',
        ]);
    }
}
