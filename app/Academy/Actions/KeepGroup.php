<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\AcademyChanged;
use App\Exceptions\ActionException;
use App\Models\Enums\GroupKind;
use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Adds, renames or takes away a group; the people in it stay. */
final readonly class KeepGroup
{
    /** @throws ActionException */
    public function __invoke(?Group $group, GroupKind $kind, string $name, User $by): void
    {
        DB::transaction(static function () use ($group, $kind, $name, $by): void {
            $same = Group::query()->where('kind', $kind)->where('name', $name)->first();
            if ($same !== null && ! $same->is($group)) {
                throw ActionException::because('refusals.academy.group-is-there', ['name' => $name]);
            }
            ($group ?? new Group())->fill(compact('kind', 'name'))->save();
            event(new AcademyChanged('group-kept', $by, ['name' => $name]));
        });
    }

    /**
     * Puts several people into a group, or takes them out of it.
     *
     * @param  list<int>  $people
     */
    public function people(Group $group, array $people, bool $in, User $by): void
    {
        DB::transaction(static function () use ($group, $people, $in, $by): void {
            $changed = $in
                ? count($group->people()->syncWithoutDetaching($people)['attached'])
                : $group->people()->detach($people);
            if ($changed > 0) {
                event(new AcademyChanged('group-people', $by, ['name' => $group->name, 'people' => $changed]));
            }
        });
    }

    public function drop(Group $group, User $by): void
    {
        DB::transaction(static function () use ($group, $by): void {
            $group->delete();
            event(new AcademyChanged('group-dropped', $by, ['name' => $group->name]));
        });
    }
}
