<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Letters;
use App\Academy\Links;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Sends a link by which another password is chosen. Who is not here gets none, and nobody is told that. */
final readonly class SendReset
{
    public function __construct(private Links $links, private Letters $letters)
    {
    }

    public function __invoke(string $email, ?User $by = null): void
    {
        $person = User::byAddress($email);
        if ($person === null || ! $person->isActive()) {
            return;
        }
        DB::transaction(function () use ($person, $by): void {
            $url = route('reset', $this->links->make(LinkPurpose::Reset, $person));
            $this->letters->send('reset', $person->email, $person, ['url' => $url]);
            event(new PersonChanged($person, 'reset-sent', $by));
        });
    }
}
