<?php

declare(strict_types=1);

namespace App\Notices\Actions;

use App\Academy\Events\PersonChanged;
use App\Agreement\Events\RoundPublished;
use App\Models\Enums\NoticeKind;
use App\Models\Sitting;
use App\Models\User;
use App\Notices\Tell;
use App\Sight\OwnSwing;
use App\Sittings\Events\ReadingHandedIn;
use App\Sittings\Events\ReadingReopened;
use App\Sittings\Events\RoundOpened;
use Core\Reading\Stage;
use Illuminate\Database\Query\JoinClause;
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
        if ($event->reading->stage !== Stage::Blind) {
            return;
        }
        // Nobody waits for who is left out.
        $waits = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('seats', static fn (JoinClause $on) => $on
                ->on('seats.user_id', 'readings.user_id')
                ->on('seats.sitting_id', 'sitting_cases.sitting_id'))
            ->where('sitting_cases.sitting_id', $sitting->id)
            ->where('readings.stage', Stage::Blind)
            ->whereNull('readings.handed_in_at')
            ->whereNull('sitting_cases.withdrawn_at')
            ->whereNull('seats.left_out_at')
            ->tap(OwnSwing::leaveOut(...))
            ->exists();
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
