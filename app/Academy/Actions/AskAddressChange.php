<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Letters;
use App\Academy\Links;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Asks both addresses: the old one whether it shall change, the new one whether it is theirs. */
final readonly class AskAddressChange
{
    public function __construct(private Links $links, private Letters $letters)
    {
    }

    /** For an address that is somebody's already nothing is sent; nobody learns by asking who is here. */
    public function __invoke(User $person, string $email): void
    {
        DB::transaction(function () use ($person, $email): void {
            if (User::byAddress($email) !== null) {
                return;
            }
            foreach ([[LinkPurpose::AddressFrom, $person->email], [LinkPurpose::AddressTo, $email]] as [$purpose,
                $to]) {
                $url = route('address', $this->links->make($purpose, $person, $email));
                $this->letters->send($purpose->value, $to, $person, compact('url', 'email'));
            }
        });
    }
}
