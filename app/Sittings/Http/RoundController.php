<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\CaseSwing;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\Work;
use App\Sight\Onlookers;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use App\Sittings\Pages\OutcomeBias;
use App\Sittings\Pages\RoundsPage;
use App\Works\Works;
use Core\Codebook\StandardLenses;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\Thing;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

final class RoundController extends Controller
{
    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    public function index(RoundsPage $page): View
    {
        return view('sittings.rounds', ['rounds' => $page->rows()]);
    }

    public function show(Sitting $round, OutcomeBias $bias, Works $works): View
    {
        $progress = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.stage', Stage::Blind)
            ->groupBy('users.id', 'users.name')
            ->orderBy('users.name')
            ->selectRaw(
                'users.name, count(*) as cases, count(readings.handed_in_at) as done, max(readings.handed_in_at) as '
                    .'last',
            )
            ->get();
        $round->load([
            'keyVersion.sitting',
            'members',
            'cases.recording.golfer',
            'cases.arm',
            'cases.swings.recording.films',
        ]);
        $onlooker = $this->onlookers->of($this->user())->over($round->cases);
        $seen = $round->cases
            ->filter(
                static fn (SittingCase $c): bool => $c->swings->every(
                    static fn (CaseSwing $s): bool => $onlooker->sees($s->recording_id, Thing::Context),
                ),
            )
            ->values();

        return view('sittings.round', [
            'round' => $round,
            'progress' => $progress,
            'cases' => $seen,
            'held' => $round->cases->count() - $seen->count(),
            // Made from everybody's calls: a head coach who reads here waits like the others.
            'bias' => $onlooker->withheld($round) === null ? $bias->of($round) : null,
            'work' => $works->newest($round), 'exposed' => $this->exposed($round),
        ]);
    }

    public function store(RoundRequest $request, PlanRound $plan): RedirectResponse
    {
        $ints = static fn (mixed $list): array => array_values(array_map(intval(...), (array) $list));
        try {
            $round = $plan(
                $request->string('name')->value(),
                SittingKind::from($request->string('kind')->value()),
                $ints($request->validated('recordings', [])),
                $ints($request->validated('members')),
                $request->validated('show'),
                $this->user(),
                $request->validated('lens') ?? StandardLenses::DEFAULT,
                $request->groups(),
                $request->boolean('reveals'),
                $ints($request->validated('repeats', [])),
                $request->boolean('waits', true),
            );
        } catch (ActionException $e) {
            return back()->withInput()->with('refused', $e->getMessage());
        }

        return redirect()
            ->route('rounds.show', $round)
            ->with('done', 'Planned as a draft. Nobody sees it until you open it.');
    }

    public function open(Sitting $round, OpenRound $open): RedirectResponse
    {
        return $this->ask(
            fn (): ?Work => $open($round, $this->user()),
            'Open. Its members find their first case under Today.',
        );
    }

    public function close(Sitting $round, CloseRound $close): RedirectResponse
    {
        return $this->attempt(
            fn () => $close($round, $this->user()),
            'Closed. Nobody can read in it any more; nothing is published yet.',
        );
    }

    /** @return array<string, int> readings of what a member had been shown before, by name */
    private function exposed(Sitting $round): array
    {
        return DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.stage', Stage::Blind)
            ->where('readings.exposed', true)
            ->groupBy('users.id', 'users.name')
            ->orderBy('users.name')
            ->selectRaw('users.name, count(*) as n')
            ->pluck('n', 'name')
            ->map(static fn (mixed $n): int => (int) $n)
            ->all();
    }
}
