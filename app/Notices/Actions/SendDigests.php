<?php

declare(strict_types=1);

namespace App\Notices\Actions;

use App\Academy\Letters;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Enums\NoticeKind;
use App\Models\Enums\NoticeWay;
use App\Models\Enums\UserState;
use App\Models\Notice;
use App\Models\User;
use App\Notices\Tell;
use App\Notices\Worded;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** The day's letter: once a day, after seven in the morning at the academy, with what each person has not seen. */
final readonly class SendDigests
{
    private const FROM_HOUR = 7;

    /** Consents that end within so many days are told of. */
    private const ENDING_DAYS = 30;

    public function __construct(private Letters $letters, private Tell $tell, private Remind $remind)
    {
    }

    /** @return int how many letters went */
    public function __invoke(): int
    {
        // Asked for by every worker every few seconds: one looks once a minute.
        if (! Cache::add('digests-looked-at', true, 60)) {
            return 0;
        }
        if (Academy::here() === null || now()->timezone(Academy::zone())->hour < self::FROM_HOUR) {
            return 0;
        }
        $this->consents();
        $this->remind->due();
        $people = User::query()
            ->where('state', UserState::Active)
            ->where(static fn ($q) => $q->whereNull('digest_on')->orWhere('digest_on', '<', Academy::today()))
            ->whereHas('notices', static fn ($q) => $q->whereNull('seen_at')->whereNull('mailed_at'))
            ->orderBy('id')
            ->pluck('id');
        $sent = 0;
        foreach ($people as $id) {
            $sent += DB::transaction(fn (): int => $this->send(
                User::query()->lockForUpdate()->findOrFail(Cell::int($id)),
            ));
        }

        return $sent;
    }

    private function consents(): void
    {
        $coaches = [...Tell::headCoaches()];
        foreach (Consent::ending(self::ENDING_DAYS) as $golfer => $scopes) {
            $until = max(array_map(static fn ($day): string => $day->toDateString(), $scopes));
            if ($until >= Academy::today()) {
                ($this->tell)(NoticeKind::Consents, $coaches, "golfer $golfer until $until", ['golfer_id' => $golfer]);
            }
        }
    }

    private function send(User $user): int
    {
        if ($user->digest_on?->toDateString() === Academy::today()) {
            return 0;
        }
        $notices = $user->notices()
            ->whereNull('seen_at')
            ->whereNull('mailed_at')
            ->with(['sitting', 'golfer', 'person'])
            ->get()
            ->filter(static fn (Notice $n): bool => $user->hears($n->kind) === NoticeWay::Letter);
        if ($notices->isEmpty()) {
            return 0;
        }
        $user->forceFill(['digest_on' => Academy::today()])->save();
        Notice::query()->whereKey($notices->modelKeys())->update(['mailed_at' => now()]);
        $this->letters->send('digest', $user->email, $user, [
            'lines' => $notices->reverse()
                ->map(static fn (Notice $n): string => '– '.Worded::says($n))
                ->implode("\n"),
            'url' => route('today'),
            'ways' => route('notices'),
        ]);

        return 1;
    }
}
