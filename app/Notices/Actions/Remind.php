<?php

declare(strict_types=1);

namespace App\Notices\Actions;

use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Enums\NoticeKind;
use App\Models\Notice;
use App\Models\Sitting;
use App\Models\User;
use App\Notices\Tell;
use App\Sittings\Events\RoundChanged;
use App\Sittings\Waiting;
use Core\Sight\SittingState;
use Illuminate\Support\Carbon;

/** Reminds those of whom an open round still waits: by hand once a day, and by itself before it is due. */
final readonly class Remind
{
    /** So many days before. */
    private const BEFORE = [3, 1, 0];

    public function __construct(private Tell $tell)
    {
    }

    /**
     * @return int how many are told that were not told today
     *
     * @throws ActionException
     */
    public function __invoke(Sitting $round, User $by): int
    {
        if ($round->state !== SittingState::Open) {
            throw ActionException::because('refusals.sittings.not-open-nothing-changed', [
                'round' => $round->name,
                'state' => $round->state->value,
            ]);
        }
        $told = $this->tell($round);
        if ($told > 0) {
            event(new RoundChanged($round, 'reminded', ['people' => $told], $by));
        }

        return $told;
    }

    /** Of every open round that is due in three days, tomorrow or today. */
    public function due(): void
    {
        $today = Carbon::parse(Academy::today());
        $days = array_map(static fn (int $n): string => $today->copy()->addDays($n)->toDateString(), self::BEFORE);
        foreach (Sitting::query()->where('state', SittingState::Open)->whereIn('due_on', $days)->get() as $round) {
            $this->tell($round);
        }
    }

    private function tell(Sitting $round): int
    {
        $subject = "sitting $round->id on ".Academy::today();
        $of = static fn (): int => Notice::query()->where('kind', NoticeKind::Due)->where('subject', $subject)->count();
        $before = $of();
        $people = User::query()->whereKey(array_keys(Waiting::in($round)))->orderBy('id')->get();
        ($this->tell)(NoticeKind::Due, $people, $subject, ['sitting_id' => $round->id]);

        return $of() - $before;
    }
}
