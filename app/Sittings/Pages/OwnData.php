<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Call;
use App\Models\Casts\Cell;
use App\Models\FollowingAnswer;
use App\Models\Group;
use App\Models\PracticeAnswer;
use App\Models\ReadinessDecision;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Sight\Onlookers;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/**
 * What the academy holds of one of its people, to be taken away: who they are here, and what they said in
 * rounds that are
 * published and in private reviews. What is still under way is theirs when it is published: before, it would tell.
 */
final readonly class OwnData
{
    public const VERSION = 1;

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $user->loadMissing(['groups', 'golfer']);
        $onlooker = $this->onlookers->of($user);
        $hidden = $onlooker->hidden();

        return [
            'version' => self::VERSION,
            'made_at' => now()->toIso8601ZuluString(),
            'person' => [
                'name' => $user->name,
                'address' => $user->email,
                'role' => $user->role->value,
                'on_panel' => $user->on_panel,
                'groups' => array_values($user->groups->map(static fn (Group $g): string => $g->name)->all()),
                'since' => $user->created_at?->toIso8601ZuluString(),
                'second_factor_since' => $user->factor_since?->toIso8601ZuluString(),
                'golfer' => $user->golfer?->pseudonym,
            ],
            'readings' => array_values(Reading::query()
                ->where('user_id', $user->id)
                ->whereNotNull('handed_in_at')
                ->whereHas('case.sitting', static fn (Builder $q) => $q
                    ->where('state', SittingState::Published)
                    ->orWhere('kind', SittingKind::Review))
                // Not of a swing that waits to be read blind again.
                ->whereDoesntHave('case.swings', fn (Builder $q) => $q->whereIn('recording_id', $hidden))
                ->with(['arm', 'case.sitting', 'case.swings', 'calls'])
                ->orderBy('id')
                ->get()
                // Nor of one whose golfer has taken the consent back.
                ->reject(static fn (Reading $r): bool => $onlooker->ofReading($r)->isNothing())
                ->map(self::reading(...))
                ->all()),
            'following_rounds' => self::following($user, $hidden),
            'drills_judged' => self::judged($user, $hidden),
            'practice' => self::practised($user, $hidden),
            'readiness' => self::decided($user),
        ];
    }

    /**
     * Answers of practice; what was right would tell the key of a swing that waits to be read.
     *
     * @param  list<int>  $hidden  recordings that wait to be read blind again
     * @return list<array<string, bool|string|null>>
     */
    private static function practised(User $user, array $hidden): array
    {
        return array_values(PracticeAnswer::query()
            ->whereHas('sitting', static fn ($q) => $q->where('user_id', $user->id))
            ->whereNotNull('answered_at')
            // A simulated swing is nobody’s, and waits nowhere.
            ->where(static fn ($q) => $q->whereNull('recording_id')->orWhereNotIn('recording_id', $hidden))
            ->orderBy('id')
            ->get()
            ->map(static fn (PracticeAnswer $a): array => [
                'mode' => $a->mode->value,
                'simulated' => $a->made_swing_id !== null,
                'fault' => $a->fault,
                'said' => $a->said,
                'right' => $a->right,
                'at' => $a->answered_at?->toIso8601ZuluString(),
            ])
            ->all());
    }

    /** @return list<array<string, string|null>> what was decided on this person's readiness, and what was appealed */
    private static function decided(User $user): array
    {
        return array_values(ReadinessDecision::query()
            ->where('user_id', $user->id)
            ->with('rule')
            ->orderBy('id')
            ->get()
            ->map(static fn (ReadinessDecision $d): array => [
                'rule' => $d->rule->name,
                'decided' => $d->kind->value,
                'reason' => $d->reason,
                'conditions' => $d->conditions,
                'until' => $d->until?->format('Y-m-d'),
                'at' => $d->created_at->toIso8601ZuluString(),
            ])
            ->all());
    }

    /**
     * What was said of drills, of panels that are published.
     *
     * @param  list<int>  $hidden  recordings that wait to be read blind again
     * @return list<array<string, int|string|null>>
     */
    private static function judged(User $user, array $hidden): array
    {
        return array_values(DB::table('drill_scores')
            ->join('drill_questions', 'drill_questions.id', '=', 'drill_scores.drill_question_id')
            ->join('drill_judgings', 'drill_judgings.id', '=', 'drill_questions.drill_judging_id')
            ->join('sittings', 'sittings.id', '=', 'drill_judgings.sitting_id')
            ->where('drill_scores.user_id', $user->id)
            ->where('sittings.state', SittingState::Published->value)
            ->whereNotExists(static fn (QueryBuilder $q) => $q->selectRaw('1')->from('case_swings')
                ->whereColumn('case_swings.case_id', 'drill_questions.case_id')
                ->whereIn('recording_id', $hidden))
            ->orderBy('drill_scores.id')
            ->get(['sittings.name', 'drill', 'rung', 'score', 'harm'])
            ->map(static fn (\stdClass $row): array => [
                'panel' => Cell::text($row->name),
                'drill' => Cell::text($row->drill),
                'rung' => Cell::text($row->rung),
                'score' => Cell::int($row->score),
                'harm' => $row->harm === null ? null : Cell::text($row->harm),
            ])
            ->all());
    }

    /**
     * What was said in following rounds that are published.
     *
     * @param  list<int>  $hidden  recordings that wait to be read blind again
     * @return list<array<string, ?string>>
     */
    private static function following(User $user, array $hidden): array
    {
        $rounds = FollowingRounds::all()->where('state', SittingState::Published)->pluck('name', 'id');

        return array_values(FollowingAnswer::query()
            ->where('user_id', $user->id)
            ->whereIn('sitting_id', $rounds->keys())
            ->whereNotExists(static fn (QueryBuilder $q) => $q->selectRaw('1')->from('case_swings')
                ->whereColumn('case_swings.case_id', 'following_answers.case_id')
                ->whereIn('recording_id', $hidden))
            ->orderBy('id')
            ->get()
            ->map(static fn (FollowingAnswer $a): array => [
                'round' => Cell::text($rounds[$a->sitting_id]),
                'fault' => $a->fault,
                'was' => $a->was->value,
                'presence' => $a->presence->value,
                'reason' => $a->reason,
                'lies' => $a->lies->value,
                'at' => $a->answered_at->toIso8601ZuluString(),
            ])
            ->all());
    }

    /** @return array<string, mixed> */
    private static function reading(Reading $r): array
    {
        return [
            'round' => self::round($r->case->sitting),
            'stage' => $r->stage->value,
            'position' => $r->position,
            'handed_in_at' => $r->handed_in_at?->toIso8601ZuluString(),
            'cue' => $r->cue,
            'first_causes' => $r->first_causes,
            'other_cause' => $r->other_cause,
            'drill' => $r->drill,
            'misses' => (object) $r->toCore()->misses->percent,
            'calls' => array_values($r->calls->sortBy('fault')->map(static fn (Call $c): array => [
                'fault' => $c->fault,
                'presence' => $c->presence->value,
                'severity' => $c->severity?->value,
                'confidence' => $c->confidence,
            ])->all()),
        ];
    }

    private static function round(Sitting $sitting): string
    {
        return $sitting->kind === SittingKind::Review ? 'review' : $sitting->name;
    }
}
