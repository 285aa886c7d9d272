<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Enums\UserState;
use App\Models\Group;
use App\Models\User;
use App\Words\Like;
use Core\Reading\Stage;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Who is at the academy, what they are there, and what waits for whom. */
final readonly class PeoplePage
{
    private const A_PAGE = 60;

    /**
     * @param  array{group: ?int, find: string, gone: bool}  $filter
     * @return array<string, mixed>
     */
    public function of(array $filter): array
    {
        $people = User::query()
            ->with('groups')
            ->when(! $filter['gone'], static fn (Builder $q) => $q->where('state', '<>', UserState::Left))
            ->when($filter['group'], static fn (Builder $q, int $group) => $q->whereHas(
                'groups',
                static fn (Builder $g) => $g->whereKey($group),
            ))
            ->when($filter['find'] !== '', static fn (Builder $q) => $q
                ->where(static fn (Builder $q) => $q
                    ->where('name', 'ilike', Like::holding($filter['find']))
                    ->orWhere('email', 'ilike', Like::holding($filter['find']))))
            ->orderByRaw("array_position(array['head-coach', 'panel', 'instructor']::varchar[], role)")
            ->orderBy('name')
            ->orderBy('id')
            ->paginate(self::A_PAGE)
            ->withQueryString();
        $ids = array_map(static fn (User $u): int => $u->id, array_values($people->items()));
        $waits = self::waits($ids);
        $seen = self::seen($ids);

        return [
            'filter' => $filter,
            'pages' => $people,
            'people' => array_map(static fn (User $u): array => self::row(
                $u,
                $waits[$u->id] ?? null,
                $seen[$u->id] ?? null,
            ), array_values($people->items())),
            'groups' => Group::query()->orderBy('kind')->orderBy('name')->get(),
            'roles' => array_column(Role::cases(), 'value'),
            'owing' => User::query()
                ->where('role', Role::HeadCoach)
                ->where('state', UserState::Active)
                ->whereNull('factor_since')
                ->count(),
        ];
    }

    /** What somebody is, in words: an instructor who sits on the panel. */
    public static function place(User $u): string
    {
        $role = (string) __("people.roles.{$u->role->value}");

        return $u->on_panel && $u->role !== Role::Panel ? $role.', '.__('people.on-panel') : $role;
    }

    /**
     * @return array{id: int, name: string, email: string, place: string, groups: string, waits: string, seen: string,
     *     state: string, quiet: bool, factor: bool}
     */
    private static function row(User $u, ?int $waits, ?Carbon $seen): array
    {
        return [
            'id' => $u->id,
            'name' => $u->name,
            'email' => $u->email,
            'place' => self::place($u),
            'groups' => $u->groups->map(static fn (Group $g): string => $g->name)->join(', '),
            'waits' => $waits === null ? '' : trans_choice('people.waits', $waits, ['count' => $waits]),
            'seen' => $seen?->timezone(Academy::zone())->format('j M, H:i') ?? '',
            'state' => $u->isActive() ? '' : (string) __("people.states.{$u->state->value}"),
            'quiet' => ! $u->isActive(),
            'factor' => $u->hasFactor(),
        ];
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, int> blind readings still to be handed in, by person
     */
    private static function waits(array $ids): array
    {
        $out = [];
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('seats', static fn (JoinClause $on) => $on
                ->on('seats.sitting_id', 'sittings.id')
                ->on('seats.user_id', 'readings.user_id'))
            ->whereIn('readings.user_id', $ids)
            ->where('sittings.state', SittingState::Open)
            ->where('sittings.kind', '<>', SittingKind::Review)
            ->where('readings.stage', Stage::Blind)
            ->whereNull('readings.handed_in_at')
            ->whereNull('seats.left_out_at')
            ->groupBy('readings.user_id')
            ->selectRaw('readings.user_id, count(*) as n')
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->user_id)] = Cell::int($row->n);
        }

        return $out;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, Carbon> when they were last here, where they are still logged in
     */
    private static function seen(array $ids): array
    {
        $out = [];
        $rows = DB::table('sessions')
            ->whereIn('user_id', $ids)
            ->groupBy('user_id')
            ->selectRaw('user_id, max(last_activity) as at')
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->user_id)] = Carbon::createFromTimestamp(Cell::int($row->at));
        }

        return $out;
    }
}
