<?php

declare(strict_types=1);

namespace App\Notices\Actions;

use App\Academy\Events\PersonChanged;
use App\Agreement\Events\RoundPublished;
use App\Models\Enums\NoticeKind;
use App\Models\Sitting;
use App\Models\User;
use App\Notices\Tell;
use App\Sittings\Events\ReadingHandedIn;
use App\Sittings\Events\ReadingReopened;
use App\Sittings\Events\RoundChanged;
use App\Sittings\Events\RoundOpened;
use App\Sittings\Waiting;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

/** Who is told of what, as it happens: of sittings as a whole only, never of a case or of what somebody said. */
final readonly class TellPeople
{
    public function __construct(private Tell $tell)
    {
    }

    public function opened(RoundOpened $event): void
    {
        ($this->tell)(NoticeKind::Opened, self::members($event->round), "sitting {$event->round->id}", [
            'sitting_id' => $event->round->id,
        ]);
    }

    public function changed(RoundChanged $event): void
    {
        if ($event->seated !== null) {
            ($this->tell)(NoticeKind::Opened, [$event->seated], "sitting {$event->round->id}", [
                'sitting_id' => $event->round->id,
            ]);
        }
    }

    public function published(RoundPublished $event): void
    {
        $people = [...self::members($event->round), ...Tell::headCoaches($event->by)];
        ($this->tell)(NoticeKind::Published, $people, "sitting {$event->round->id}", [
            'sitting_id' => $event->round->id,
        ]);
    }

    public function reopened(ReadingReopened $event): void
    {
        $reading = $event->reading;
        $reader = User::query()->findOrFail($reading->user_id);
        ($this->tell)(NoticeKind::Reopened, [$reader], "reading $reading->id, $reading->version", [
            'sitting_id' => $event->round->id,
        ]);
    }

    public function handedIn(ReadingHandedIn $event): void
    {
        $sitting = $event->reading->case->sitting;
        // Of what is quiet nobody is told that it is over.
        if ($event->reading->stage !== Stage::Blind
            || in_array($sitting->kind, [SittingKind::Test, SittingKind::Check], true)) {
            return;
        }
        // Nobody waits for who is left out.
        $waits = Waiting::in($sitting) !== [];
        if (! $waits) {
            ($this->tell)(NoticeKind::AllIn, Tell::headCoaches(), "sitting $sitting->id", [
                'sitting_id' => $sitting->id,
            ]);
        }
    }

    public function person(PersonChanged $event): void
    {
        if ($event->action === 'person-joined') {
            ($this->tell)(NoticeKind::Came, Tell::headCoaches($event->person), "person {$event->person->id}", [
                'person_id' => $event->person->id,
            ]);
        }
    }

    /** @return list<User> */
    private static function members(Sitting $sitting): array
    {
        return array_values(User::query()
            ->whereIn('id', DB::table('seats')
                ->where('sitting_id', $sitting->id)
                ->whereNull('left_out_at')
                ->select('user_id'))
            ->orderBy('id')
            ->get()
            ->all());
    }
}
