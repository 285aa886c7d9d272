<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
use App\Actions\CloseRound;
use App\Actions\OpenRound;
use App\Actions\PlanRound;
use App\Actions\PublishRound;
use App\Http\Requests\RoundRequest;
use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use App\Queries\Codebooks;
use Core\Codebook\StandardLenses;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

final class RoundController extends Controller
{
    public function index(Codebooks $codebooks): View
    {
        return view('rounds', [
            'lenses' => $codebooks->document()->lenses(),
            'rounds' => Round::query()->withCount(['cases', 'members', 'readings', 'readings as done_count' => fn ($q) => $q->whereNotNull('handed_in_at')])->orderByDesc('id')->get(),
            'recordings' => Recording::query()->with('golfer')->whereHas('golfer', fn ($q) => $q->consenting())->orderBy('id')->get(),
            'people' => User::query()->whereIn('role', [User::PANEL, User::INSTRUCTOR])->orderBy('name')->get()->groupBy('role'),
        ]);
    }

    public function show(Round $round): View
    {
        $progress = DB::table('readings')
            ->join('round_cases', 'round_cases.id', '=', 'readings.round_case_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('round_cases.round_id', $round->id)
            ->groupBy('users.id', 'users.name')->orderBy('users.name')
            ->selectRaw('users.name, count(*) as cases, count(readings.handed_in_at) as done, max(readings.handed_in_at) as last')->get();
        $round->load(['keyVersion.round', 'members', 'cases.recording.golfer']);

        return view('round', ['round' => $round, 'progress' => $progress]);
    }

    public function store(RoundRequest $request, PlanRound $plan): RedirectResponse
    {
        $ints = static fn (mixed $list): array => array_values(array_map(intval(...), (array) $list));
        try {
            $round = $plan($request->string('name')->value(), $request->string('kind')->value(), $ints($request->validated('recordings')), $ints($request->validated('members')), $request->validated('show'), $this->user(), $request->validated('lens') ?? StandardLenses::DEFAULT);
        } catch (ActionException $e) {
            return back()->withInput()->with('refused', $e->getMessage());
        }

        return redirect()->route('rounds.show', $round)->with('done', 'Planned as a draft. Nobody sees it until you open it.');
    }

    public function open(Round $round, OpenRound $open): RedirectResponse
    {
        return $this->attempt(fn () => $open($round, $this->user()), 'Open. Its members find their first case under Today.');
    }

    public function close(Round $round, CloseRound $close): RedirectResponse
    {
        return $this->attempt(fn () => $close($round, $this->user()), 'Closed. Nobody can read in it any more; nothing is published yet.');
    }

    public function publish(Round $round, PublishRound $publish): RedirectResponse
    {
        return $this->attempt(fn () => $publish($round, $this->user()), 'Published.');
    }
}
