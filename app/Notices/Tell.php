<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Enums\NoticeKind;
use App\Models\Enums\NoticeWay;
use App\Models\Enums\UserState;
use App\Models\Notice;
use App\Models\User;
use Core\Sight\Role;

/** Writes down what people are to be told, each once, unless they do not want to hear of it. */
final readonly class Tell
{
    /**
     * @param  iterable<User>  $people
     * @param  string  $subject  what it is of; the same again tells nobody anew
     * @param  array{sitting_id?: int, golfer_id?: int, person_id?: int}  $of
     */
    public function __invoke(NoticeKind $kind, iterable $people, string $subject, array $of): void
    {
        $rows = [];
        foreach ($people as $user) {
            if ($user->isActive() && $user->hears($kind) !== NoticeWay::Off) {
                $rows[] = [
                    'user_id' => $user->id,
                    'kind' => $kind->value,
                    'subject' => $subject,
                    'created_at' => now(),
                    ...$of,
                ];
            }
        }
        Notice::query()->insertOrIgnore($rows);
    }

    /** @return iterable<User> */
    public static function headCoaches(?User $but = null): iterable
    {
        return User::query()
            ->where('role', Role::HeadCoach)
            ->where('state', UserState::Active)
            ->when($but, static fn ($q, User $but) => $q->whereKeyNot($but->id))
            ->orderBy('id')
            ->get();
    }
}
