<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Round;
use App\Models\User;
use Core\Simulation\Chance;
use Illuminate\Support\Facades\DB;

/** Opens a draft round: freezes the key it will be scored against and deals every member the cases in an order of their own. */
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
            $cases = $round->cases()->with('recording.golfer.consents')->get();
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
            foreach ($members as $member) {
                $order = (new Chance("order|{$round->seed}|{$member->id}"))->shuffled(array_values($cases->all()));
                foreach ($order as $i => $case) {
                    Reading::query()->create(['round_case_id' => $case->id, 'user_id' => $member->id, 'position' => $i + 1]);
                }
            }
            $round->fill(['state' => 'open', 'opened_at' => now()])->save();
            AuditEntry::note($by, 'open', "round {$round->name}", ['cases' => $cases->count(), 'members' => $members->count(), 'key_version' => $round->keyVersion?->number]);
        });
    }

    private function freezeKey(Round $round): KeyVersion
    {
        $recordings = $round->cases()->pluck('recording_id')->unique();
        $key = KeyVersion::query()
            ->where('lens', $round->lens)
            ->whereHas('round', fn ($q) => $q->where('state', 'published'))
            ->get()
            ->sortByDesc(fn (KeyVersion $k): array => [$k->round_id, $k->number])
            ->first(fn (KeyVersion $k): bool => $k->entries()->whereIn('recording_id', $recordings)->distinct()->count('recording_id') === $recordings->count());
        if ($key === null) {
            throw new ActionException('No published panel study covers every recording of this round under its lens; nothing was opened.');
        }
        if ($key->frozen_at === null) {
            $key->update(['frozen_at' => now()]);
        }

        return $key;
    }
}
