<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Academy\SeenAs;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\Group;
use App\Models\User;
use Core\Reading\Stage;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** One person's place at the academy: what they are, where they sit, what waits for them, and what can be done. */
final readonly class PersonPlace
{
    /** @return array<string, mixed> */
    public function of(User $person, User $by): array
    {
        $person->loadMissing(['groups', 'golfer']);

        return [
            'person' => $person,
            'seen' => SeenAs::of($person),
            'place' => PeoplePage::place($person),
            'state' => (string) __("people.states.{$person->state->value}"),
            'since' => ($person->state_since ?? $person->created_at)?->timezone(Academy::zone())->format('j F Y'),
            'self' => $person->is($by),
            'in' => $person->groups->modelKeys(),
            'groups' => Group::query()->orderBy('kind')->orderBy('name')->get(),
            'golfers' => Golfer::query()->whereNull('erased_at')->orderBy('pseudonym')->pluck('pseudonym', 'id')->all(),
            'roles' => array_column(Role::cases(), 'value'),
            'sits' => self::sits($person),
        ];
    }

    /** @return list<array{name: string, url: string, says: string}> open rounds in which they have a seat */
    private static function sits(User $person): array
    {
        $rows = DB::table('seats')
            ->join('sittings', 'sittings.id', '=', 'seats.sitting_id')
            ->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'sittings.id')
            ->join('readings', 'readings.sitting_case_id', '=', 'sitting_cases.id')
            ->where('seats.user_id', $person->id)
            ->where('readings.user_id', $person->id)
            ->where('readings.stage', Stage::Blind)
            ->where('sittings.state', SittingState::Open)
            ->where('sittings.kind', '<>', SittingKind::Review)
            ->groupBy('sittings.id', 'sittings.public_id', 'sittings.name', 'seats.left_out_at')
            ->orderBy('sittings.id')
            ->selectRaw('sittings.public_id, sittings.name, seats.left_out_at, count(*) as dealt, '
                .'count(readings.handed_in_at) as done')
            ->get();

        return array_values($rows->map(static fn (\stdClass $r): array => [
            'name' => Cell::text($r->name),
            'url' => route('rounds.show', Cell::text($r->public_id)),
            'says' => (string) __($r->left_out_at === null ? 'people.sits' : 'people.sits-left-out', [
                'done' => Cell::int($r->done),
                'of' => Cell::int($r->dealt),
            ]),
        ])->all());
    }
}
