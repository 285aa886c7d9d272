<?php

declare(strict_types=1);

namespace App\Academy;

use App\Exceptions\ActionException;
use App\Models\Enums\UserState;
use App\Models\User;
use Core\Sight\Role;

/** An academy is never without somebody who runs it. */
final readonly class LastHeadCoach
{
    /**
     * Holds the head coaches until the transaction's end, so that two do not let each other go at once.
     *
     * @throws ActionException
     */
    public function stays(User $person): void
    {
        $others = User::query()
            ->where('role', Role::HeadCoach)
            ->where('state', UserState::Active)
            ->orderBy('id')
            ->lockForUpdate()
            ->pluck('id')
            ->reject(static fn (mixed $id): bool => $id === $person->id);
        if ($others->isEmpty() && $person->isHeadCoach() && $person->isActive()) {
            throw ActionException::because('refusals.academy.last-head-coach', ['name' => $person->name]);
        }
    }
}
