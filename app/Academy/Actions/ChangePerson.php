<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\LastHeadCoach;
use App\Academy\SeenAs;
use App\Exceptions\ActionException;
use App\Models\User;
use Core\Sight\Role;
use Illuminate\Support\Facades\DB;

/** Changes what a person is at the academy. Seats they have in rounds stay theirs. */
final readonly class ChangePerson
{
    public function __construct(private LastHeadCoach $last)
    {
    }

    /**
     * @param  list<int>  $groups
     *
     * @throws ActionException
     */
    public function __invoke(
        User $person,
        string $name,
        Role $role,
        bool $onPanel,
        array $groups,
        ?int $golfer,
        User $by,
        ?string $seen = null,
    ): void {
        DB::transaction(function () use ($person, $name, $role, $onPanel, $groups, $golfer, $by, $seen): void {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            SeenAs::still($person, $seen);
            if ($role !== Role::HeadCoach) {
                $this->last->stays($person);
            }
            if ($golfer !== null && User::query()->where('golfer_id', $golfer)->whereKeyNot($person->id)->exists()) {
                throw ActionException::because('refusals.academy.golfer-is-another');
            }
            $before = ['role' => $person->role->value, 'on_panel' => $person->on_panel, 'golfer' => $person->golfer_id];
            $person->fill(compact('name', 'role'));
            $person->forceFill(['on_panel' => $onPanel, 'golfer_id' => $golfer]);
            $fields = array_keys($person->getDirty());
            $person->save();
            if ($before['role'] === Role::HeadCoach->value && $role !== Role::HeadCoach) {
                self::knowsAll($person);
            }
            $groups = $person->groups()->sync($groups);
            if ($groups['attached'] !== [] || $groups['detached'] !== []) {
                $fields[] = 'groups';
            }
            if ($fields === []) {
                return;
            }
            event(new PersonChanged($person, 'person-changed', $by, [
                'fields' => implode(', ', $fields),
                'before' => $before,
                'after' => ['role' => $role->value, 'on_panel' => $onPanel, 'golfer' => $golfer],
            ]));
        });
    }

    /** Keys and numbers of every swing lay open to a head coach: no reading of those counts as blind afterwards. */
    private static function knowsAll(User $person): void
    {
        DB::insert(
            "insert into exposures (user_id, recording_id, what, shown_at)
             select ?, r.id, 'numbers', ?::timestamptz from recordings r where r.erased_at is null
             and not exists (select 1 from exposures e where e.user_id = ? and e.recording_id = r.id)",
            [$person->id, now()->toIso8601String(), $person->id],
        );
    }
}
