<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Round;
use App\Models\RoundCase;
use App\Models\User;
use Core\Motion\View;
use Core\Planning\CaseSet;
use Core\Simulation\Chance;
use Illuminate\Support\Facades\DB;

/** Opens a draft round: freezes the key it will be scored against and which films its cases show, and deals every member the cases in an order of their own. */
final readonly class OpenRound
{
    /** @throws ActionException */
    public function __invoke(Round $round, User $by): void
    {
        DB::transaction(function () use ($round, $by): void {
            $round = Round::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->state !== 'draft') {
                throw new ActionException("'{$round->name}' is {$round->state}, not a draft; nothing was changed.");
            }
            $cases = $round->cases()->with(['recording.golfer.consents', 'swings.recording.films'])->get();
            $members = $round->members()->orderBy('users.id')->get();
            if ($cases->isEmpty() || $members->isEmpty()) {
                throw new ActionException('A round needs at least one case and one member before it can be opened.');
            }
            foreach ($cases as $case) {
                if (! $case->recording->golfer->isConsenting()) {
                    throw new ActionException("{$case->recording->golfer->pseudonym} has no valid consent; take the recording out of the round first.");
                }
            }
            if (! $round->isPanel()) {
                $round->key_version_id = $this->freezeKey($round)->id;
            }
            foreach ($cases as $case) {
                $case->update(['film_views' => array_map(static fn (View $v): string => $v->value, $case->filmViews())]);
            }
            foreach ($members as $member) {
                $order = self::order($cases->all(), new Chance("order|{$round->seed}|{$member->id}"));
                foreach ($order as $i => $case) {
                    Reading::query()->create(['round_case_id' => $case->id, 'user_id' => $member->id, 'position' => $i + 1]);
                }
            }
            $round->fill(['state' => 'open', 'opened_at' => now()])->save();
            AuditEntry::note($by, 'open', "round {$round->name}", ['cases' => $cases->count(), 'members' => $members->count(), 'key_version' => $round->keyVersion?->number]);
        });
    }

    /**
     * A random order in which what is to be shown again comes early enough for ten others to follow, and again at the end.
     *
     * @param  array<int, RoundCase>  $cases
     * @return list<RoundCase>
     */
    private static function order(array $cases, Chance $chance): array
    {
        $repeats = array_values(array_filter($cases, static fn (RoundCase $c): bool => $c->occasion > 1));
        $twice = array_map(static fn (RoundCase $c): int => $c->recording_id, $repeats);
        $order = $chance->shuffled(array_values(array_filter($cases, static fn (RoundCase $c): bool => $c->occasion === 1)));
        $early = max(0, count($order) - CaseSet::BETWEEN);
        for ($i = count($order) - 1; $i >= $early; $i--) {
            // What comes too late changes places with something early that is shown once.
            if (in_array($order[$i]->recording_id, $twice, true)) {
                $free = array_values(array_filter(range(0, max(0, $early - 1)), static fn (int $k): bool => ! in_array($order[$k]->recording_id, $twice, true)));
                if ($free !== [] && $early > 0) {
                    $k = $free[$chance->between(0, count($free) - 1)];
                    [$order[$i], $order[$k]] = [$order[$k], $order[$i]];
                }
            }
        }

        return [...$order, ...$chance->shuffled($repeats)];
    }

    private function freezeKey(Round $round): KeyVersion
    {
        $signs = $round->cases()->with('swings')->get()->map(static fn (RoundCase $c): string => $c->sign())->unique();
        $first = $round->cases()->pluck('recording_id')->unique();
        $key = KeyVersion::query()
            ->where('lens', $round->lens)
            ->whereHas('round', fn ($q) => $q->where('state', 'published'))
            ->with('round.cases.swings')->get()
            ->sortByDesc(fn (KeyVersion $k): array => [$k->round_id, $k->number])
            ->first(fn (KeyVersion $k): bool => $signs->diff($k->round->cases->map(static fn (RoundCase $c): string => $c->sign()))->isEmpty()
                && $k->entries()->whereIn('recording_id', $first)->distinct()->count('recording_id') === $first->count());
        if ($key === null) {
            throw new ActionException('No published panel study covers every case of this round under its lens; nothing was opened.');
        }
        if ($key->frozen_at === null) {
            $key->update(['frozen_at' => now()]);
        }

        return $key;
    }
}
