<?php

declare(strict_types=1);

namespace App\Codebook\Policies;

use App\Models\CodebookExample;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\Sight;

/** Who may look at an example, and who puts one into the codebook or takes it out. */
final readonly class CodebookExamplePolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    public function look(User $user, CodebookExample $example): bool
    {
        return Sight::offersExample($this->onlookers->of($user)->standing($example->recording_id));
    }

    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    /** Of what is hidden from a head coach too nothing is told: it stays until it is not. */
    public function delete(User $user, CodebookExample $example): bool
    {
        return $user->isHeadCoach() && $this->onlookers->of($user)
            ->standing($example->recording_id)
            ->hiddenBy() === null;
    }
}
