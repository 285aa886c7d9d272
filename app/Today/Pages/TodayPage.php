<?php

declare(strict_types=1);

namespace App\Today\Pages;

use App\Codebook\Codebooks;
use App\Debrief\Pages\OpenDecisions;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\DrillJudging;
use App\Models\Golfer;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Panel\UnsettledEntries;
use App\Practice\Goals;
use App\Readiness\WaitingForHead;
use App\Sight\Onlookers;
use App\Sight\OwnSwing;
use Core\Number\Written;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Why;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What needs somebody now. */
final class TodayPage
{
    /** So many unsettled entries are shown; all of them stand with their panel. */
    private const UNSETTLED = 10;

    public function __construct(
        private readonly Codebooks $codebooks,
        private readonly Onlookers $onlookers,
        private readonly UnsettledEntries $unsettled,
        private readonly FirstSteps $steps,
        private readonly Goals $goals,
    ) {
    }

    /** @return array<string, mixed> */
    public function forHeadCoach(User $user): array
    {
        $progress = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->join('seats', static fn (JoinClause $on): JoinClause => $on
                ->on('seats.user_id', 'users.id')
                ->on('seats.sitting_id', 'sittings.id'))
            // Nobody waits for who is left out.
            ->whereNull('seats.left_out_at')
            ->tap(OwnSwing::leaveOut(...))
            ->whereNull('sitting_cases.withdrawn_at')
            ->where('sittings.state', 'open')->where('readings.stage', Stage::Blind)
            ->groupBy('sittings.id', 'users.id', 'users.name')
            ->orderBy('users.name')
            ->selectRaw(
                'sittings.id as sitting_id, users.name, count(*) as cases, count(readings.handed_in_at) as done, '
                    .'max(readings.updated_at) as last',
            )
            ->get()
            ->groupBy('sitting_id');
        $keys = KeyVersion::query()
            ->newest()
            ->with('sitting')
            ->get();
        $unsettled = array_values(array_filter(
            $this->unsettled->ofKeys($keys, $user),
            static fn (array $e): bool => ! $e['ruled'],
        ));
        $grades = array_count_values(array_column($unsettled, 'grade'));
        $left = count($unsettled) - self::UNSETTLED;
        $last = Sitting::query()
            ->where('state', 'published')
            ->where('kind', SittingKind::Round)
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->first();

        return [
            'open' => array_values(Sitting::query()->where('state', 'open')->orderBy('opened_at')->orderBy('id')->get()
                ->map(fn (Sitting $s): array => $this->underWay($s, $progress->get($s->id) ?? new Collection()))
                ->all()),
            'decisions' => OpenDecisions::of($user),
            'closed' => Sitting::query()->where('state', 'closed')->get(),
            'published' => $last,
            'unsettled' => KeyEntry::query()
                ->whereKey(array_column(array_slice($unsettled, 0, self::UNSETTLED), 'id'))
                ->with(['recording.golfer', 'keyVersion.sitting'])
                ->orderByRaw("grade = 'contested', id")
                ->get(),
            'unsettledTitle' => (string) __('today.unsettled', [
                'conflict' => $grades['conflict'] ?? 0,
                'contested' => $grades['contested'] ?? 0,
            ]),
            'unsettledLeft' => $left > 0 ? trans_choice('today.unsettled-left', $left, ['count' => $left]) : null,
            'codebook' => $this->codebooks->current(),
            'expiring' => $this->expiring(),
            'readiness' => WaitingForHead::of($user),
            'goals' => $this->goals->waiting($user),
            'steps' => $this->steps->of(),
        ];
    }

    /**
     * @param  Collection<int, \stdClass>  $people
     * @return array{title: string, about: string, url: string, readers: string,
     *     people: list<array{name: string, done: int, of: int, last: string}>}
     */
    private function underWay(Sitting $round, Collection $people): array
    {
        $done = Cell::int($people->sum('done'));
        $all = Cell::int($people->sum('cases'));
        $share = Written::fixed(100.0 * $done / max(1, $all), 0);

        return [
            'title' => (string) __('today.read', ['round' => $round->name, 'share' => $share]),
            'about' => (string) __('today.opened', [
                'date' => self::day($round->opened_at),
                'done' => $done,
                'of' => $all,
            ]),
            'url' => route('rounds.show', $round),
            'readers' => (string) __($round->isPanel() ? 'today.panel-member' : 'today.instructor'),
            'people' => array_values($people->sortBy('done')->map(static fn (\stdClass $p): array => [
                'name' => Cell::text($p->name),
                'done' => Cell::int($p->done),
                'of' => Cell::int($p->cases),
                'last' => Cell::int($p->done) === 0
                    ? (string) __('today.not-begun')
                    : self::moment(Carbon::parse(Cell::text($p->last))),
            ])->all()),
        ];
    }

    /** @return list<array{says: string, url: string}> consents that run out and were not renewed, by golfer */
    private function expiring(): array
    {
        $ending = Consent::ending(60);
        $golfers = Golfer::query()->whereKey(array_keys($ending))->get()->keyBy('id');
        $out = [];
        foreach ($ending as $id => $scopes) {
            $golfer = $golfers->get($id);
            $first = $scopes[array_key_first($scopes)];
            $out[] = [
                'says' => (string) __($first->toDateString() < Academy::today() ? 'today.ran-out' : 'today.until', [
                    'golfer' => $golfer->pseudonym ?? '',
                    'date' => $first->format('j F Y'),
                ]),
                'url' => route('golfers.show', $id),
            ];
        }

        return $out;
    }

    private static function day(?Carbon $at): string
    {
        return $at?->timezone(Academy::zone())->format('j F Y') ?? '';
    }

    private static function moment(Carbon $at): string
    {
        return $at->timezone(Academy::zone())->format('j M, H:i');
    }

    /** @return array<string, mixed> */
    public function forReader(User $user): array
    {
        $onlooker = $this->onlookers->of($user);
        $readings = Reading::query()
            ->where('user_id', $user->id)
            ->whereHas('case.sitting', static fn ($q) => $q
                ->where('state', SittingState::Open)
                ->where('kind', '<>', SittingKind::Review))
            ->with(['arm', 'case.sitting', 'case.swings'])
            ->asRead()
            ->get();
        $onlooker->over($readings->map(static fn (Reading $r): SittingCase => $r->case));
        $why = $readings
            ->mapWithKeys(static fn (Reading $r): array => [$r->id => $onlooker->ofReading($r)->why])
            ->all();
        // A case that is taken out, or whose consent has ended, is asked of nobody.
        $readings = $readings
            ->reject(
                static fn (Reading $r): bool => in_array(
                    $why[$r->id],
                    [Why::Consent, Why::Erased, Why::Own, Why::NotTheirs],
                    true,
                ) && $r->handed_in_at === null,
            )
            ->values();
        $next = $readings->first(
            static fn (Reading $r): bool => $r->handed_in_at === null && $why[$r->id] === null,
        );
        $open = [];
        foreach ($readings->groupBy(static fn (Reading $r): int => $r->case->sitting_id) as $list) {
            $round = $list->firstOrFail()->case->sitting;
            $open[] = $this->ofReader($round, $list, $why, $next, $onlooker->begins($round));
        }

        $over = $this->over($user);

        return [
            'open' => $open,
            'waiting' => $over['closed'] ?? [],
            'published' => $over['published'] ?? [],
            'next' => $next,
            'decisions' => OpenDecisions::of($user),
            'goals' => $this->goals->waiting($user),
            'following' => [...self::judging($user), ...self::following($user)],
        ];
    }

    /** @return list<array{says: string, url: string}> drills that wait to be judged by this person */
    private static function judging(User $user): array
    {
        $out = [];
        $open = DrillJudging::query()->whereNull('closed_at')->with('sitting')->orderBy('id')->get();
        foreach ($open as $judging) {
            if (! $user->can('judge', $judging)) {
                continue;
            }
            $asked = array_sum(array_map(count(...), Judgings::questions($judging, $user)));
            $left = $asked - count(Judgings::answered($judging, $user));
            if ($left > 0) {
                $out[] = [
                    'says' => trans_choice('panel.judging.waits', $left, [
                        'count' => $left,
                        'panel' => $judging->sitting->name,
                    ]),
                    'url' => route('judging', $judging),
                ];
            }
        }

        return $out;
    }

    /** @return list<array{says: string, url: string}> questions of following rounds that wait for this person */
    private static function following(User $user): array
    {
        $out = [];
        $open = FollowingRounds::all()
            ->where('state', SittingState::Open)
            ->whereHas('members', static fn ($q) => $q->whereKey($user->id))
            ->orderBy('id')
            ->get()
            // Not while one of its swings is still to be read blind elsewhere.
            ->filter(static fn (Sitting $round): bool => $user->can('follow', $round));
        foreach ($open as $round) {
            $asked = array_sum(array_map(count(...), FollowingRounds::questions($round, $user->id)));
            $left = $asked - (FollowingRounds::answered($round)[$user->id] ?? 0);
            if ($left > 0) {
                $out[] = [
                    'says' => trans_choice('panel.following.waits', $left, ['count' => $left, 'round' => $round->name]),
                    'url' => route('following', $round),
                ];
            }
        }

        return $out;
    }

    /** @return array<string, list<array{name: string, url: string, published: string}>> rounds read in, by state */
    private function over(User $user): array
    {
        $done = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->where('readings.user_id', $user->id)
            ->where('readings.stage', Stage::Blind)
            ->whereIn('sittings.state', [SittingState::Closed, SittingState::Published])
            ->groupBy('sittings.id')
            ->selectRaw('sittings.id, count(readings.handed_in_at) as done')
            ->pluck('done', 'id');

        $out = [];
        $rounds = Sitting::query()->whereKey($done->keys())->orderByDesc('published_at')->orderByDesc('id')->get();
        foreach ($rounds as $round) {
            $out[$round->state->value][] = [
                'name' => $round->name,
                'url' => $round->isPanel() ? route('panel', $round) : route('agreement', $round),
                'published' => (string) __('today.published-on', [
                    'date' => self::day($round->published_at),
                    'n' => Cell::int($done[$round->id]),
                ]),
            ];
        }

        return $out;
    }

    /**
     * One round as its reader sees it.
     *
     * @param  Collection<int, Reading>  $list
     * @param  array<int, ?Why>  $why  a reading cannot be opened now, by its id
     * @return array<string, mixed>
     */
    private function ofReader(Sitting $round, Collection $list, array $why, ?Reading $next, ?Carbon $begins): array
    {
        $blind = $list->where('stage', Stage::Blind);
        $again = $list->where('stage', Stage::Reveal)->keyBy('sitting_case_id');
        $done = $blind->whereNotNull('handed_in_at')->count();
        $left = $blind->count() - $done;
        $mine = $next !== null && $next->case->sitting_id === $round->id;

        return [
            'round' => $round,
            'name' => $round->name,
            'about' => (string) __('today.blind', ['date' => self::day($round->opened_at)]),
            'due' => $round->due_on === null ? null
                : (string) __('today.due', ['date' => self::day($round->due_on)]),
            'calendar' => $round->due_on === null ? null : route('rounds.calendar', $round),
            'tiles' => [
                ['n' => $left, 'word' => trans_choice('today.to-read', $left)],
                ['n' => $done, 'word' => (string) __('today.handed-in')],
                ['n' => $blind->count(), 'word' => (string) __('today.in-all')],
            ],
            'done' => $done,
            'of' => $blind->count(),
            'act' => $mine ? self::act($next) : null,
            'says' => match (true) {
                $begins !== null => (string) __('today.second-part', [
                    'date' => $begins->timezone(Academy::zone())->format('j F'),
                ]),
                $mine => null,
                $left > 0 || $again->whereNull('handed_in_at')->isNotEmpty() => (string) __('today.none-now'),
                default => (string) __('today.all-in'),
            },
            'reveals' => $round->reveals,
            'readings' => array_values(
                $blind
                    ->map(
                        static fn (Reading $r): array => [
                            'position' => $r->position,
                            'state' => match (true) {
                                $r->handed_in_at !== null => (string) __('today.state.in', [
                                    'at' => self::moment($r->handed_in_at),
                                ]),
                                $r->version > 0 => (string) __('today.state.begun'),
                                default => (string) __('today.state.new'),
                            },
                            'url' => $why[$r->id] === null ? route('read', $r) : null,
                            'way' => (string) __(
                                'today.way.'.
                                    ($why[$r->id] === null ? 'open' : 'waits').
                                    '.'.
                                    ($r->handed_in_at !== null ? 'in' : 'left'),
                            ),
                            'again' => self::secondLook($again->get($r->sitting_case_id)),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    private static function act(Reading $next): string
    {
        $line = match (true) {
            $next->stage === Stage::Reveal => 'today.act.again',
            $next->version > 0 => 'today.act.on',
            default => 'today.act.read',
        };

        return (string) __($line, ['n' => $next->position]);
    }

    /** @return array{word: string, url: ?string} */
    private static function secondLook(?Reading $again): array
    {
        return match (true) {
            $again === null => ['word' => (string) __('today.again.after'), 'url' => null],
            $again->handed_in_at !== null => ['word' => (string) __('today.again.in'), 'url' => route('read', $again)],
            default => ['word' => (string) __('today.again.waits'), 'url' => route('read', $again)],
        };
    }
}
