<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\AccountLink;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** One of the two addresses has said yes; when both have, it changes. */
final readonly class ConfirmAddress
{
    public function __construct(private Links $links)
    {
    }

    /**
     * @return bool whether it has changed now
     *
     * @throws ActionException
     */
    public function __invoke(AccountLink $link): bool
    {
        return DB::transaction(function () use ($link): bool {
            $person = User::query()->lockForUpdate()->find($link->user_id);
            if ($person === null || ! $this->links->use($link)) {
                throw ActionException::because('refusals.academy.link-used');
            }
            $other = $link->purpose === LinkPurpose::AddressFrom ? LinkPurpose::AddressTo : LinkPurpose::AddressFrom;
            $both = AccountLink::query()
                ->where('user_id', $person->id)
                ->where('purpose', $other)
                ->where('email', $link->email)
                ->whereNotNull('used_at')
                ->where('expires_at', '>', now())
                ->exists();
            if (! $both) {
                return false;
            }
            $email = (string) $link->email;
            if (User::byAddress($email) !== null) {
                throw ActionException::because('refusals.academy.address-taken', ['email' => $email]);
            }
            $person->update(compact('email'));
            event(new PersonChanged($person, 'person-changed', $person, ['fields' => 'address']));

            return true;
        });
    }
}
