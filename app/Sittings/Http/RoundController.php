<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Casts\Cell;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\Work;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use App\Sittings\Actions\ReopenReading;
use App\Sittings\Actions\SetDeadline;
use App\Sittings\Pages\RoundPage;
use App\Sittings\Pages\RoundsPage;
use Core\Sight\SittingKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class RoundController extends Controller
{
    public function index(RoundsPage $page): View
    {
        return view('sittings.rounds', ['rounds' => $page->rows()]);
    }

    public function show(Sitting $round, RoundPage $page): View
    {
        return view('sittings.round', $page->of($round, $this->user()));
    }

    /** @throws ActionException */
    public function store(RoundRequest $request, PlanRound $plan, SetDeadline $due): RedirectResponse
    {
        $ints = static fn (mixed $list): array => array_values(array_map(Cell::int(...), (array) $list));
        $round = $plan(
            $request->string('name')->value(),
            SittingKind::from($request->string('kind')->value()),
            $ints($request->validated('recordings', [])),
            $ints($request->validated('members')),
            $request->show(),
            $this->user(),
            $request->lens(),
            $request->groups(),
            $request->boolean('reveals'),
            $ints($request->validated('repeats', [])),
            $request->boolean('waits', true),
            $request->integer('keep'),
            $request->from(),
            $request->panelRules(),
        );
        if ($request->due() !== null) {
            $due($round, $request->due(), $this->user());
        }

        return redirect()
            ->route('rounds.show', $round)
            ->with('done', (string) __('notices.sittings.planned-as-draft-nobody'));
    }

    /** A mistaken hand-in, opened again at its reader's request. */
    public function reopen(ReopenRequest $request, Sitting $round, ReopenReading $reopen): RedirectResponse
    {
        $to = redirect()->to($this->backTo(route('rounds.show', $round)));
        $reading = Reading::query()->where('public_id', $request->string('reading')->value())->first() ?? abort(404);
        $reopen($round, $reading, $this->user());

        return $to->with('done', (string) __('notices.sittings.reopened'));
    }

    public function open(Sitting $round, OpenRound $open): RedirectResponse
    {
        return $this->ask(
            fn (): Work => $open($round, $this->user()),
            (string) __('notices.sittings.open-its-members-find'),
        );
    }

    public function close(Sitting $round, CloseRound $close): RedirectResponse
    {
        return $this->attempt(
            fn () => $close($round, $this->user()),
            (string) __('notices.sittings.closed-nobody-read-any'),
        );
    }
}
