<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Debrief\Debrief;
use App\Debrief\Events\DebriefBegun;
use App\Exceptions\ActionException;
use App\Models\DebriefCase;
use App\Models\DebriefSession;
use App\Models\Sitting;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Begins a debrief over chosen cases of a published round, in the order in which they were chosen. */
final readonly class BeginDebrief
{
    /** So many cases are talked about at most. */
    public const MOST = 30;

    public function __construct(private Debrief $debrief)
    {
    }

    /**
     * @param  list<int>  $places  of the round, in order
     *
     * @throws ActionException
     */
    public function __invoke(Sitting $round, array $places, User $by): DebriefSession
    {
        $may = array_column($this->debrief->order($round, $by), null, 'place');
        $places = array_values(array_unique($places));
        if ($places === [] || count($places) > self::MOST || array_diff($places, array_keys($may)) !== []) {
            throw ActionException::because('refusals.debrief.cases', ['most' => self::MOST]);
        }

        return DB::transaction(static function () use ($round, $places, $may, $by): DebriefSession {
            // One at a time: two codes alike would let people into the wrong room.
            DB::statement('lock table debrief_sessions in share row exclusive mode');
            do {
                $code = (string) random_int(100_000, 999_999);
            } while (DebriefSession::query()->whereNull('ended_at')->where('code', $code)->exists());
            $session = DebriefSession::query()->create([
                'sitting_id' => $round->id,
                'started_by' => $by->id,
                'code' => $code,
                'secret' => bin2hex(random_bytes(32)),
                'started_at' => now(),
            ]);
            foreach ($places as $i => $place) {
                DebriefCase::query()->create([
                    'debrief_session_id' => $session->id,
                    'sitting_case_id' => $place,
                    'position' => $i + 1,
                    'topic' => $may[$place]['fault'],
                ]);
            }
            $session->update(['current_case_id' => $session->cases()->firstOrFail()->id]);
            event(new DebriefBegun($session, count($places), $by));

            return $session;
        });
    }
}
