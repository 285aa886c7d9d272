<?php

declare(strict_types=1);

/*
 * What every page of the application asks of the database: run on any data, by each kind of person. Used by the bench
 * and by the test of the indexes; loaded, never run.
 */

use App\Models\Casts\Cell;
use App\Models\CodebookDraft;
use App\Models\FollowUp;
use App\Models\Prescription;
use App\Models\ReadinessRule;
use App\Models\Sitting;
use App\Models\User;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** The largest of the published sittings of a kind. */
function largest(SittingKind $kind): Sitting
{
    return Sitting::query()
        ->where('kind', $kind)
        ->where('state', 'published')
        ->withCount('cases')
        ->orderByDesc('cases_count')
        ->orderByDesc('published_at')
        ->firstOrFail();
}

/** Somebody of a role: of instructors and panel members one who sits there. */
function someoneOf(Role $role, ?Sitting $in = null): User
{
    return User::query()
        ->where('role', $role)
        ->when($in, static fn ($q) => $q->whereIn(
            'id',
            DB::table('seats')->where('sitting_id', $in?->id)->select('user_id'),
        ))
        ->orderByDesc('id')
        ->firstOrFail();
}

/**
 * Pages by what they are called: who asks, and for what.
 *
 * @return array<string, array{User, string}>
 */
function pagesToAsk(): array
{
    [$in, $of] = [largest(SittingKind::Round), largest(SittingKind::Panel)];
    [$round, $study] = [$in->public_id, $of->public_id];
    $swings = DB::table('recordings')
        ->join('case_swings', 'case_swings.recording_id', '=', 'recordings.id')
        ->join('sitting_cases', 'sitting_cases.case_id', '=', 'case_swings.case_id')
        ->where('sitting_id', $in->id)
        ->orderBy('recordings.id')
        ->limit(2)
        ->pluck('recordings.public_id')
        ->map(Cell::text(...))
        ->all();
    [$head, $member, $panel] = [
        someoneOf(Role::HeadCoach),
        someoneOf(Role::Instructor, $in),
        someoneOf(Role::Panel, $of),
    ];
    $pages = [
        'today, head coach' => [$head, '/'],
        'today, instructor' => [$member, '/'],
        'today, panel' => [$panel, '/'],
        'shelf' => [$head, '/shelf'],
        'shelf, looked through' => [$head, '/shelf?club=hybrid&fault=sway&find=a&page=2'],
        'bench' => [$head, "/bench/$swings[0]"],
        'bench, instructor' => [$member, "/bench/$swings[0]"],
        'evidence' => [$head, "/bench/$swings[0]/evidence"],
        'side by side' => [$head, "/bench/$swings[0]/with/$swings[1]"],
        'put beside' => [$head, "/bench/$swings[0]/with?find=a"],
        'codebook' => [$head, '/codebook'],
        'practice' => [$member, '/practice'],
        'practice, head coach' => [$head, '/practice'],
        'how far one has come' => [$head, "/progress/$member->id"],
        'contrast sets' => [$member, '/contrast'],
        'readiness' => [$head, '/readiness'],
        ...($rule = ReadinessRule::query()->current()->first()) === null ? [] : [
            'a rule' => [$head, "/readiness/rules/$rule->public_id"],
            'where one stands' => [$head, "/readiness/rules/$rule->public_id/people/$member->id"],
        ],
        'lessons' => [$head, '/lessons'],
        ...($given = Prescription::query()->whereNotNull('issued_at')->first()) === null ? [] : [
            'session' => [$head, "/golfer-sessions/{$given->lesson->public_id}"],
            'what was seen' => [$head, "/golfer-sessions/{$given->lesson->public_id}/prescription"],
            'prescription' => [$head, "/prescriptions/$given->public_id"],
            'note' => [$head, "/prescriptions/$given->public_id/note"],
        ],
        ...($followed = FollowUp::query()->whereNotNull('locked_at')->first()) === null ? [] : [
            'follow-up' => [$head, "/follow-ups/$followed->public_id"],
        ],
        'fault' => [$head, '/codebook/faults/hang-back'],
        'fault, instructor' => [$member, '/codebook/faults/hang-back'],
        ...CodebookDraft::open() === null ? [] : [
            'draft' => [$head, '/codebook/draft'],
            'draft, fault' => [$head, '/codebook/draft/faults/hang-back'],
        ],
        'capture' => [$head, '/capture'],
        'rounds' => [$head, '/rounds'],
        'round' => [$head, "/rounds/$round"],
        'plan' => [$head, '/rounds/plan'],
        'plan, looked through' => [$head, '/rounds/plan/choices?find=a'],
        'suggestion' => [$head, '/rounds/plan?suggest=40&again=4'],
        'panel' => [$head, "/panel/$study"],
        'panel, member' => [$panel, "/panel/$study"],
        'agreement, instructor' => [$member, "/agreement/$round"],
        'own calls' => [$member, "/agreement/$round?part=calls"],
        'own record' => [$member, "/agreement/$round/people/$member->id"],
        'person' => [$head, "/agreement/$round/people/$member->id"],
        'person, file' => [$head, "/agreement/$round/people/$member->id/record"],
        'debrief' => [$head, "/debrief/$round/1"],
        'calls on a fault' => [$head, "/agreement/$round/faults/hang-back"],
        'calls on a case' => [$head, "/agreement/$round/cases/".$in->cases()->orderBy('id')->firstOrFail()->id],
        'calls of a pair' => [
            $head,
            "/agreement/$round/pairs/".implode('/', $in->members()->orderBy('users.id')->limit(2)->pluck('users.id')->all()),
        ],
        'sheets of a person' => [$head, "/agreement/$round/people/$member->id/advice"],
        'letter' => [$head, "/agreement/$round/people/$member->id/letter"],
        'reports' => [$head, '/reports'],
        'report' => [$head, "/reports/$round"],
        'board' => [$head, "/reports/$round/board"],
        'progress' => [$head, "/rounds/$round/progress"],
        'key versions' => [$head, "/panel/$study/versions"],
        'record' => [$head, '/record'],
        'record, looked through' => [$head, '/record?action=login&from=2020-01-01&page=50'],
        'search' => [$head, '/search?q=a'],
        'search, instructor' => [$member, '/search?q=a'],
    ];
    foreach (['overview', 'people', 'faults', 'pairs', 'advice', 'shown', 'times'] as $part) {
        $pages["agreement, $part"] = [$head, "/agreement/$round?part=$part"];
    }

    return $pages;
}

/**
 * One page as this process answers it.
 *
 * @return array{status: int, ms: float, mb: float, queries: list<array{string, array<mixed>}>}
 */
function asked(User $user, string $path): array
{
    static $queries = null;
    if ($queries === null) {
        $queries = [];
        DB::listen(static function (QueryExecuted $q) use (&$queries): void {
            $queries[] = [$q->sql, $q->bindings];
        });
    }
    $queries = [];
    config(['session.driver' => 'array']);
    app()->forgetScopedInstances();
    Auth::forgetGuards();
    Auth::guard('web')->setUser($user->fresh() ?? $user);
    gc_collect_cycles();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $queries = [];
    $from = hrtime(true);
    $answer = app(Kernel::class)->handle(Request::create("http://localhost$path"));
    $answer->getContent();
    $ms = (hrtime(true) - $from) / 1e6;

    return [
        'status' => $answer->getStatusCode(),
        'ms' => $ms,
        'mb' => (memory_get_peak_usage() - $before) / 2 ** 20,
        'queries' => $queries,
    ];
}

/**
 * Tables of more rows than this that a query goes through from end to end.
 *
 * @param  array<mixed>  $bindings
 * @return list<string>
 */
function scannedWhole(string $sql, array $bindings, int $rows): array
{
    if (preg_match('/^\s*(select|with)/i', $sql) !== 1) {
        return [];
    }
    $plan = DB::selectOne("explain (format json) $sql", $bindings);
    $found = [];
    $nodes = [json_decode(Cell::text(((array) $plan)['QUERY PLAN']), true, 64, JSON_THROW_ON_ERROR)[0]['Plan']];
    while ($nodes !== []) {
        $node = array_pop($nodes);
        if ($node['Node Type'] === 'Seq Scan' && tableRows($node['Relation Name']) > $rows) {
            $found[] = $node['Relation Name'];
        }
        array_push($nodes, ...$node['Plans'] ?? []);
    }

    return $found;
}

function tableRows(string $table): int
{
    static $known = [];

    return $known[$table] ??= Cell::int(
        DB::table('pg_class')->where('relname', $table)->where('relkind', 'r')->value('reltuples'),
    );
}
