<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\DebriefCase;
use App\Models\DebriefSession;
use App\Sight\RoomSight;
use Core\Sight\Reveal;
use Illuminate\Support\Facades\DB;

/** What the presenter shows the room: which case, how much of it, of which fault, at which moment. */
final readonly class ShowInDebrief
{
    public function __construct(private RoomSight $sight)
    {
    }

    /**
     * @param  DebriefCase  $case  that is to be shown
     * @param  Reveal|null  $reveal  so much at least; what is shown stays shown
     * @param  string|null  $topic  a fault; unchanged where null
     * @param  array{swing: int, t: float}|null  $moment  unchanged where null
     *
     * @throws ActionException
     */
    public function __invoke(
        DebriefSession $session,
        DebriefCase $case,
        ?Reveal $reveal,
        ?string $topic,
        ?array $moment,
    ): void {
        DB::transaction(function () use ($session, $case, $reveal, $topic, $moment): void {
            $session = DebriefSession::query()->lockForUpdate()->findOrFail($session->id);
            if (! $session->isOpen()) {
                throw ActionException::because('refusals.debrief.over', status: ActionException::LOCKED);
            }
            $case = $session->cases()->whereKey($case->id)->with('case.swings')->firstOrFail();
            $barred = $this->sight->barred($session, $case);
            if ($barred !== []) {
                throw ActionException::because('refusals.debrief.barred', [
                    'who' => implode(', ', array_keys($barred)),
                ], ActionException::CONFLICT);
            }
            if ($topic !== null && $topic !== $case->topic) {
                $case->topic = $topic;
            }
            if ($reveal !== null && $reveal->covers($case->revealed)) {
                $case->revealed = $reveal;
            }
            if ($moment !== null) {
                $case->fill(['swing' => $moment['swing'], 'moment' => $moment['t']]);
            }
            $turned = $session->current_case_id !== $case->id;
            if (! $turned && ! $case->isDirty()) {
                return;
            }
            $case->save();
            $session->update(['current_case_id' => $case->id]);
            self::exposed($session, $case, $session->people()->pluck('users.id')
                ->map(static fn (mixed $id): int => Cell::int($id))->all());
            $session->changed();
        });
    }

    /**
     * Notes to whom a truth about a case has been shown.
     *
     * @param  array<int>  $users
     */
    public static function exposed(DebriefSession $session, DebriefCase $case, array $users): void
    {
        $what = [
            ...$case->revealed->covers(Reveal::Panel) ? ['key'] : [],
            ...$case->revealed->covers(Reveal::Measured) ? ['numbers'] : [],
        ];
        $rows = [];
        foreach ($users as $user) {
            foreach ($case->case->swings as $swing) {
                foreach ($what as $truth) {
                    $rows[] = [
                        'user_id' => $user,
                        'recording_id' => $swing->recording_id,
                        'what' => $truth,
                        'sitting_id' => $session->sitting_id,
                        'shown_at' => now(),
                    ];
                }
            }
        }
        DB::table('exposures')->insertOrIgnore($rows);
    }
}
