<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Letters;
use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\Enums\LinkPurpose;
use App\Models\Enums\UserState;
use App\Models\User;
use Core\Sight\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Asks somebody to come: a person who has a place at once, and a link by which they choose a password. */
final readonly class InvitePerson
{
    public function __construct(private Links $links, private Letters $letters)
    {
    }

    /**
     * @param  list<int>  $groups
     * @return array{User, string} the person and the link's address, which is not kept
     *
     * @throws ActionException
     */
    public function __invoke(string $name, string $email, Role $role, bool $onPanel, array $groups, User $by): array
    {
        return DB::transaction(function () use ($name, $email, $role, $onPanel, $groups, $by): array {
            if (User::byAddress($email) !== null) {
                throw ActionException::because('refusals.academy.address-taken', ['email' => $email]);
            }
            $person = new User(['name' => $name, 'email' => $email, 'role' => $role, 'password' => Str::random(60)]);
            $person
                ->forceFill(['state' => UserState::Invited, 'state_since' => now(), 'on_panel' => $onPanel])
                ->save();
            $person->groups()->sync($groups);
            event(new PersonChanged($person, 'person-invited', $by, ['role' => $role->value]));

            return [$person, $this->letter($person)];
        });
    }

    /**
     * Once more: the link of before ends. Whoever has left comes back like this.
     *
     * @throws ActionException
     */
    public function again(User $person, User $by): string
    {
        return DB::transaction(function () use ($person, $by): string {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if (! in_array($person->state, [UserState::Invited, UserState::Left], true)) {
                throw ActionException::because('refusals.academy.is-here-already', ['name' => $person->name]);
            }
            $person->forceFill(['state' => UserState::Invited, 'state_since' => now()])->save();
            event(new PersonChanged($person, 'person-invited', $by, ['role' => $person->role->value]));

            return $this->letter($person);
        });
    }

    private function letter(User $person): string
    {
        $url = route('invited', $this->links->make(LinkPurpose::Invite, $person));
        $this->letters->send('invited', $person->email, $person, ['url' => $url]);

        return $url;
    }
}
