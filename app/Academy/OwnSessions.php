<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\Casts\Cell;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Where a person is logged in. A session is named by a hash of what identifies it: the page that lists them gives none
 * away.
 */
final readonly class OwnSessions
{
    /** @return list<array{id: string, agent: string, address: string, at: Carbon, here: bool}> */
    public function of(User $user, string $here): array
    {
        $rows = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->limit(20)->get();

        return array_values($rows->map(static fn (object $row): array => [
            'id' => self::name(Cell::text($row->id)),
            'agent' => Cell::text($row->user_agent),
            'address' => Cell::text($row->ip_address),
            'at' => Carbon::createFromTimestamp(Cell::int($row->last_activity)),
            'here' => Cell::text($row->id) === $here,
        ])->all());
    }

    /** @param  string  $name  by which the page knows it */
    public function end(User $user, string $name): void
    {
        foreach (DB::table('sessions')->where('user_id', $user->id)->pluck('id') as $id) {
            if (hash_equals(self::name(Cell::text($id)), $name)) {
                DB::table('sessions')->where('id', $id)->delete();
            }
        }
    }

    /** @param  string|null  $but  the session from which it is asked */
    public function endAll(User $user, ?string $but = null): void
    {
        DB::table('sessions')
            ->where('user_id', $user->id)
            ->when($but !== null, static fn ($q) => $q->where('id', '<>', $but))
            ->delete();
    }

    private static function name(string $id): string
    {
        return substr(hash('sha256', "session|$id"), 0, 32);
    }
}
