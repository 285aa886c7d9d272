<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Sitting;
use App\Models\User;
use App\Sittings\Events\RoundChanged;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Gives somebody a seat in an open round, in place of another where one is named. Who comes reads every case, since
 * half a reader is compared with nobody; who goes keeps what was handed in, and is asked nothing more.
 */
final readonly class SeatReader
{
    public function __construct(private DealCases $deal)
    {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $round, User $who, ?User $instead, User $by): void
    {
        DB::transaction(function () use ($round, $who, $instead, $by): void {
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            $says = match (true) {
                $round->state !== SittingState::Open => 'not-open',
                ! $who->state->maySit() || ! $who->maySit($round->kind) => 'may-not',
                $round->members()->whereKey($who->id)->exists() => 'seated',
                $instead !== null && $round->members()->whereKey($instead->id)->doesntExist() => 'no-seat',
                default => null,
            };
            if ($says !== null) {
                throw ActionException::because("refusals.sittings.seat.$says", [
                    'name' => $says === 'no-seat' ? $instead->name ?? '' : $who->name,
                    'round' => $round->name,
                ]);
            }
            $round->members()->attach($who);
            $cases = $round
                ->cases()
                ->whereNull('withdrawn_at')
                ->with(['swings.recording.golfer', 'swings.recording.films'])
                ->orderBy('id')
                ->get();
            ($this->deal)($round, $cases, new Collection([$who]), $instead);
            if ($instead !== null) {
                DB::table('seats')
                    ->where('sitting_id', $round->id)
                    ->where('user_id', $instead->id)
                    ->whereNull('left_out_at')
                    ->update(['left_out_at' => now()]);
            }
            event(new RoundChanged($round, 'seated', [
                'who' => $who->id,
                ...$instead === null ? [] : ['instead' => $instead->id],
            ], $by, $who));
        });
    }
}
