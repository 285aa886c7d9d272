<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Models\CaseSwing;
use App\Models\Lesson;
use App\Models\Reading;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Reading\Decision;
use Core\Reading\Outside;
use Core\Reading\Presence;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;

/**
 * What somebody said in rounds that are over of the swings of a session, to be said again of the golfer. What is kept
 * for later rounds is not told of.
 *
 * @phpstan-type Said array{faults: array<string, string>, causes: list<string>}
 */
final readonly class OwnReadings
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, array{name: string, said: Said}> by the reading's public id, the newest first */
    public function of(Lesson $lesson, User $user, string $lens): array
    {
        $swings = $this->onlookers->of($user)->recordings()->where('lesson_id', $lesson->id)->select('recordings.id');
        $out = [];
        foreach (Reading::query()
            ->where('user_id', $user->id)
            ->whereNotNull('handed_in_at')
            ->whereHas('case', static fn (Builder $q) => $q
                ->where('reserved', false)
                ->whereNull('withdrawn_at')
                ->whereHas('swings', static fn (Builder $q) => $q->whereIn('recording_id', clone $swings))
                ->whereDoesntHave('swings', static fn (Builder $q) => $q->whereNotIn('recording_id', clone $swings))
                ->whereHas('sitting', static fn (Builder $q) => $q
                    ->where('kind', SittingKind::Round)
                    ->where('lens', $lens)
                    ->whereIn('state', [SittingState::Closed, SittingState::Published])))
            ->with(['calls', 'case.sitting', 'case.swings.recording'])
            ->orderByDesc('handed_in_at')
            ->get() as $reading) {
            $said = self::said($reading);
            if ($said['faults'] !== []) {
                $out[$reading->public_id] = ['name' => self::name($reading), 'said' => $said];
            }
        }

        return $out;
    }

    /** @return Said what was called present; left for later where no decision was said */
    private static function said(Reading $reading): array
    {
        $faults = [];
        foreach ($reading->calls->where('presence', Presence::Present) as $call) {
            $faults[$call->fault] = ($call->decision ?? Decision::Later)->value;
        }

        return [
            'faults' => $faults,
            'causes' => array_values(array_filter(
                $reading->first_causes,
                static fn (string $cause): bool => isset($faults[$cause]) ||
                    ! in_array(Outside::tryFrom($cause), [null, Outside::Other], true),
            )),
        ];
    }

    private static function name(Reading $reading): string
    {
        return (string) __('prescriptions.seen.own-of', [
            'round' => $reading->case->sitting->name,
            'swings' => $reading->case->swings
                ->map(static fn (CaseSwing $s): string => $s->recording->called())
                ->unique()
                ->implode('; '),
        ]);
    }
}
