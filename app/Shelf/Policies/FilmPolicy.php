<?php

declare(strict_types=1);

namespace App\Shelf\Policies;

use App\Models\Film;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\Thing;

final readonly class FilmPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** The film as a file, its state, its clock: the head coach's, as far as the recording is in sight. */
    public function manage(User $user, Film $film): bool
    {
        return $user->isHeadCoach() && $this->onlookers->of($user)->sees($film->recording_id, Thing::Film);
    }
}
