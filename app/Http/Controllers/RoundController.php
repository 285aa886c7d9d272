<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
use App\Actions\CloseRound;
use App\Actions\OpenRound;
use App\Actions\PlanRound;
use App\Actions\PublishRound;
use App\Http\Requests\RoundRequest;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use App\Queries\CaseSuggestion;
use App\Queries\Codebooks;
use App\Queries\OutcomeBias;
use Core\Codebook\StandardLenses;
use Core\CoreException;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

final class RoundController extends Controller
{
    public function index(Request $request, Codebooks $codebooks, CaseSuggestion $suggestion): View
    {
        $asked = $request->validate(['suggest' => ['sometimes', 'integer', 'between:2,200'], 'share' => ['sometimes', 'integer', 'between:5,95'], 'again' => ['sometimes', 'integer', 'between:0,50'], 'seed' => ['sometimes', 'integer', 'between:1,1000000']]);
        $recordings = Recording::query()->with('golfer')->whereHas('golfer', fn ($q) => $q->consenting())->orderBy('id')->get();

        $suggested = null;
        $refused = null;
        if (isset($asked['suggest'])) {
            try {
                $suggested = $suggestion->of($recordings, (int) $asked['suggest'], ((int) ($asked['share'] ?? 40)) / 100, (int) ($asked['again'] ?? 0), (int) ($asked['seed'] ?? 1));
            } catch (CoreException $e) {
                $refused = $e->getMessage();
            }
        }

        return view('rounds', [
            'suggested' => $suggested,
            'refused' => $refused,
            'asked' => $asked,
            'names' => $codebooks->current()->faults,
            'lenses' => $codebooks->document()->lenses(),
            'rounds' => Round::query()->withCount(['cases', 'members', 'readings', 'readings as done_count' => fn ($q) => $q->whereNotNull('handed_in_at')])->orderByDesc('id')->get(),
            'recordings' => $recordings,
            'series' => $recordings->whereNotNull('series')->groupBy(static fn (Recording $r): string => $r->golfer_id.'|'.$r->device_class.'|'.$r->series)->filter(static fn ($g): bool => $g->count() >= 3)->map(static fn ($g) => $g->take(6)),
            'people' => User::query()->whereIn('role', [User::PANEL, User::INSTRUCTOR])->orderBy('name')->get()->groupBy('role'),
        ]);
    }

    public function show(Round $round, OutcomeBias $bias): View
    {
        $progress = DB::table('readings')
            ->join('round_cases', 'round_cases.id', '=', 'readings.round_case_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('round_cases.round_id', $round->id)->where('readings.stage', Reading::BLIND)
            ->groupBy('users.id', 'users.name')->orderBy('users.name')
            ->selectRaw('users.name, count(*) as cases, count(readings.handed_in_at) as done, max(readings.handed_in_at) as last')->get();
        $round->load(['keyVersion.round', 'members', 'cases.recording.golfer', 'cases.swings.recording.films']);

        return view('round', ['round' => $round, 'progress' => $progress, 'bias' => $bias->of($round)]);
    }

    public function store(RoundRequest $request, PlanRound $plan): RedirectResponse
    {
        $ints = static fn (mixed $list): array => array_values(array_map(intval(...), (array) $list));
        try {
            $round = $plan($request->string('name')->value(), $request->string('kind')->value(), $ints($request->validated('recordings', [])), $ints($request->validated('members')), $request->validated('show'), $this->user(), $request->validated('lens') ?? StandardLenses::DEFAULT, $request->groups(), $request->boolean('reveals'), $ints($request->validated('repeats', [])));
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
