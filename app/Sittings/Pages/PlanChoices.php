<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\CheckPlan;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sight\SeriesTurns;
use App\Words\Like;
use App\Words\Term;
use Core\Reading\Ladder;
use Core\Trace\DeviceClass;
use Illuminate\Database\Eloquent\Builder;

/**
 * What cases can be made of: what is chosen already, then the newest recordings, or those that are looked for. So long
 * a list as an eye can go over, however many the Shelf holds. A pair that lacks one has 0 for it.
 *
 * @phpstan-type Chosen array{find: string, recordings: list<int>, series: list<string>,
 *     pairs: array<array-key, array{before: int, after: int}>, ladder: list<int>}
 */
final readonly class PlanChoices
{
    private const AT_ONCE = 60;

    private const SERIES = 30;

    private const PAIRS = ['first', 'second', 'third'];

    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * @param  Chosen  $chosen
     * @return array<string, mixed>
     */
    public function of(User $user, array $chosen): array
    {
        $seen = $this->onlookers->of($user)->readable();
        $fitting = Like::recordings(clone $seen, $chosen['find']);
        $kept = array_merge(
            $chosen['recordings'],
            $chosen['ladder'],
            ...array_map(array_values(...), array_values($chosen['pairs'])),
        );
        $known = (clone $seen)->whereKey($kept)->with('golfer')->orderBy('id')->get();
        $offered = (clone $fitting)
            ->whereKeyNot($known->modelKeys())
            ->with('golfer')
            ->orderByDesc('id')
            ->limit(self::AT_ONCE)
            ->get();
        $total = (clone $seen)->count();
        $shown = $known->concat($offered);
        $turns = SeriesTurns::among($shown, $this->onlookers->of($user));
        $apart = array_flip(CheckPlan::kept());

        return [
            'find' => $chosen['find'],
            'says' => $total <= $shown->count() ? null : trans_choice('plan.of-all', $total, [
                'shown' => $shown->count(),
                'count' => $total,
            ]),
            'recordings' => array_values($shown->map(static fn (Recording $r): array => [
                'id' => $r->id,
                'name' => $r->called(),
                'device' => implode(', ', array_filter([
                    isset($turns[$r->id]) ? "$r->series {$turns[$r->id]}" : '',
                    Term::device($r->deviceClass()),
                    isset($apart[$r->id]) ? (string) __('plan.set-apart') : '',
                ], static fn (string $part): bool => $part !== '')),
                'on' => in_array($r->id, $chosen['recordings'], true),
            ])->all()),
            'series' => $this->series($fitting, $chosen['series']),
            'swings' => array_values(
                $shown->map(static fn (Recording $r): array => self::swing($r, $turns[$r->id] ?? null))->all(),
            ),
            'pairs' => array_map(static fn (string $which, int $i): array => [
                'which' => $which,
                'before' => $chosen['pairs'][$i]['before'] ?? 0,
                'after' => $chosen['pairs'][$i]['after'] ?? 0,
            ], self::PAIRS, array_keys(self::PAIRS)),
            'ladder' => array_map(static fn (int $i): array => [
                'id' => $chosen['ladder'][$i] ?? 0,
                'name' => (string) __($i === 0 ? 'plan.ladder.before' : 'plan.ladder.step', ['n' => $i]),
            ], range(0, Ladder::MOST - 1)),
            'several' => $chosen['series'] !== [] || $chosen['pairs'] !== [] || array_sum($chosen['ladder']) > 0,
        ];
    }

    /**
     * Three swings or more of one golfer brought in under one name; the newest, and those chosen already.
     *
     * @param  Builder<Recording>  $fitting
     * @param  list<string>  $chosen
     * @return list<array{ids: string, name: string, about: string, on: bool}>
     */
    private function series(Builder $fitting, array $chosen): array
    {
        $groups = $fitting
            ->toBase()
            ->join('golfers', 'golfers.id', '=', 'recordings.golfer_id')
            ->whereNotNull('series')
            ->groupBy('golfer_id', 'pseudonym', 'device_class', 'series')
            ->havingRaw('count(*) >= 3')
            ->orderByRaw('max(recordings.id) desc')
            ->limit(self::SERIES)
            ->selectRaw("pseudonym, series, device_class,
                array_to_string((array_agg(recordings.id order by recordings.id))[1:6], ',') as ids,
                array_to_string((array_agg(is_cold::int order by recordings.id))[1:6], ',') as cold")
            ->get();
        $out = [];
        foreach ($groups as $group) {
            $ids = Cell::text($group->ids);
            $cold = array_sum(array_map(intval(...), explode(',', Cell::text($group->cold))));
            $out[] = [
                'ids' => $ids,
                'name' => Cell::text($group->pseudonym).', '.Cell::text($group->series),
                'about' => __('plan.series-about', [
                    'n' => substr_count($ids, ',') + 1,
                    'device' => Term::device(DeviceClass::from(Cell::text($group->device_class))),
                ]).($cold === 0 ? '' : __('plan.series-cold', ['n' => $cold])),
                'on' => in_array($ids, $chosen, true),
            ];
        }

        return $out;
    }

    /** @return array{id: int, name: string} */
    private static function swing(Recording $r, ?int $turn): array
    {
        $day = $r->created_at->timezone(Academy::zone())->format('j M');
        $session = $turn === null ? '' : " · $r->series $turn";

        return ['id' => $r->id, 'name' => "{$r->called()}, $day$session"];
    }
}
