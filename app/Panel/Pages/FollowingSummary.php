<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Models\Casts\Cell;
use App\Models\FollowingAnswer;
use App\Models\Sitting;
use App\Panel\FollowingRounds;
use Core\Number\Written;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Collection;

/** How a panel went once more over what lacks a majority: what may be done now, who moved, where they saw it lie. */
final readonly class FollowingSummary
{
    /**
     * @param  Collection<int, Sitting>  $rounds  in their order
     * @param  Collection<int, FollowingAnswer>  $answers  of those that are over
     */
    private function __construct(private Sitting $panel, private Collection $rounds, private Collection $answers)
    {
    }

    public static function ofPanel(Sitting $panel): self
    {
        $rounds = FollowingRounds::of($panel)->get();
        $over = $rounds->filter(static fn (Sitting $f): bool => $f->state !== SittingState::Open)->modelKeys();

        return new self($panel, $rounds, $over === []
            ? new Collection
            : FollowingAnswer::query()->whereIn('sitting_id', $over)->orderBy('id')->get());
    }

    /** @return array{open: ?string, close: ?string, says: string, held: string} */
    public function says(int $contested, bool $judging): array
    {
        $open = $this->rounds->first(static fn (Sitting $f): bool => $f->state === SittingState::Open);
        $last = $this->rounds->where('state', '<>', SittingState::Open)->max('id');
        $settled = FollowingRounds::settle($this->panel, $this->answers->where('sitting_id', $last));
        // Not while drills are judged: a spread that was seen would colour that.
        $may = $open === null && ! $judging && $this->panel->state === SittingState::Closed && $contested > 0 &&
            $this->panel->panelRules()->mayFollow($this->rounds->count()) && ! $settled;

        return [
            'open' => $may ? route('following.open', $this->panel) : null,
            'close' => $open === null ? null : route('following.close', $this->panel),
            'says' => match (true) {
                $open !== null => self::underWay($open),
                $may => trans_choice('panel.following.open-says', $contested, ['count' => $contested]),
                $contested > 0 && $settled && $this->panel->state === SittingState::Closed => (string) __('panel.following.settled', [
                    'share' => Written::fixed(100.0 * $this->panel->panelRules()->stability, 0),
                ]),
                default => '',
            },
            'held' => $this->held(),
        ];
    }

    private static function underWay(Sitting $open): string
    {
        $answered = FollowingRounds::answered($open);
        $done = 0;
        $members = $open->members()->pluck('users.id')->map(static fn (mixed $id): int => Cell::int($id));
        foreach ($members as $member) {
            $asked = array_sum(array_map(count(...), FollowingRounds::questions($open, $member)));
            $done += ($answered[$member] ?? 0) >= $asked ? 1 : 0;
        }

        return (string) __('panel.following.under-way', ['done' => $done, 'of' => $members->count()]);
    }

    /** How many moved in following rounds that are over, and where members saw the difference. */
    private function held(): string
    {
        $n = $this->answers->count();
        if ($n === 0) {
            return '';
        }
        $moved = $this->answers->filter(static fn (FollowingAnswer $a): bool => $a->moved())->count();
        $lies = $this->answers->countBy(static fn (FollowingAnswer $a): string => $a->lies->value)->sortDesc()->all();

        return (string) __('panel.following.held', [
            'answers' => $n,
            'moved' => $moved,
            'stable' => Written::fixed(100.0 * (1.0 - (float) $moved / $n), 0),
            'lies' => implode(', ', array_map(
                static fn (string $where, int $times): string => (string) __('panel.following.lie', [
                    'where' => __("panel.following.in.$where"),
                    'n' => $times,
                ]),
                array_keys($lies),
                $lies,
            )),
        ]);
    }

    /** How many changed their call of one question, in the last round that asked it. */
    public function moved(int $case, string $fault): string
    {
        $of = $this->answers->filter(
            static fn (FollowingAnswer $a): bool => $a->case_id === $case && $a->fault === $fault,
        );
        $last = $of->where('sitting_id', $of->max('sitting_id'));

        return $last->isEmpty() ? '' : (string) __('panel.following.moved', [
            'moved' => $last->filter(static fn (FollowingAnswer $a): bool => $a->moved())->count(),
            'n' => $last->count(),
        ]);
    }
}
