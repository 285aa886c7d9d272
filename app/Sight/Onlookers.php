<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\User;

/** The onlookers of one request, so that what a policy fetched a page does not fetch again. */
final class Onlookers
{
    /** @var array<int, Onlooker> */
    private array $made = [];

    public function of(User $user): Onlooker
    {
        return $this->made[$user->id] ??= new Onlooker($user);
    }

    /** Facts have changed; what was fetched counts no more. */
    public function forget(): void
    {
        $this->made = [];
    }
}
