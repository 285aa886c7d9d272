<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Casts\Cell;
use App\Models\FollowingAnswer;
use App\Models\KeyEntry;
use App\Models\Sitting;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The following rounds of a panel: what they ask, of whom, and what was answered. */
final class FollowingRounds
{
    /** @return Builder<Sitting> in the order in which they were held */
    public static function of(Sitting $panel): Builder
    {
        return self::all()->where('parent_id', $panel->id)->orderBy('id');
    }

    /** @return Builder<Sitting> */
    public static function all(): Builder
    {
        return Sitting::query()->withoutGlobalScope(Sitting::SHARED)->where('kind', SittingKind::Following);
    }

    public static function open(Sitting $panel): ?Sitting
    {
        return self::of($panel)->where('state', SittingState::Open)->first();
    }

    /** @return Collection<int, KeyEntry> what lacks a majority in a panel's newest key, case by case */
    public static function lacking(Sitting $panel): Collection
    {
        $key = $panel->keys()->first();

        return $key === null ? new Collection : $key->entries()
            ->where('grade', 'contested')
            ->orderBy('case_id')
            ->orderBy('id')
            ->get();
    }

    /**
     * The questions of one member: what lacks a majority in cases that the member has read.
     *
     * @return array<int, list<string>> faults by case
     */
    public static function questions(Sitting $following, int $user): array
    {
        $panel = Sitting::query()->findOrFail((int) $following->parent_id);
        $read = PanelSheets::ofMember($panel, $user);
        $out = [];
        foreach (self::lacking($panel) as $entry) {
            if (isset($read[$entry->case_id])) {
                $out[$entry->case_id][] = $entry->fault;
            }
        }

        return $out;
    }

    /**
     * What a panel's members say now where a following round that is over asked them: the latest counts.
     *
     * @return array<int, array<string, array<int, FollowingAnswer>>> by case, fault and member
     */
    public static function said(Sitting $panel): array
    {
        $out = [];
        $over = self::of($panel)->whereIn('state', [SittingState::Closed, SittingState::Published])->pluck('id');
        foreach (FollowingAnswer::query()->whereIn('sitting_id', $over)->orderBy('id')->get() as $answer) {
            $out[$answer->case_id][$answer->fault][$answer->user_id] = $answer;
        }

        return $out;
    }

    /** @return array<int, int> how many questions each member has answered in a following round */
    public static function answered(Sitting $following): array
    {
        $out = [];
        $rows = DB::table('following_answers')
            ->where('sitting_id', $following->id)
            ->groupBy('user_id')
            ->selectRaw('user_id, count(*) as n')
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->user_id)] = Cell::int($row->n);
        }

        return $out;
    }

    /** Whether the last one that is over moved so little that the study's rules ask no more. */
    public static function haveSettled(Sitting $panel): bool
    {
        $last = self::of($panel)->where('state', '<>', SittingState::Open)->orderByDesc('id')->first();

        return $last !== null &&
            self::settle($panel, FollowingAnswer::query()->where('sitting_id', $last->id)->get());
    }

    /** @param  Collection<int, FollowingAnswer>  $answers  of one round */
    public static function settle(Sitting $panel, Collection $answers): bool
    {
        return $panel->panelRules()->hasSettled(
            $answers->count(),
            $answers->filter(static fn (FollowingAnswer $a): bool => $a->moved())->count(),
        );
    }
}
