<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Casts\Cell;
use App\Models\KeyVersion;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Entries of keys on which a person must decide, or has: as far as somebody may see them, without reading them whole.
 *
 * @phpstan-type Unsettled array{id: int, grade: string, ruled: bool}
 */
final readonly class UnsettledEntries
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * @param  Collection<int, KeyVersion>  $keys  with their sittings
     * @return list<Unsettled> open conflicts first, then what is ruled on, then what is contested
     */
    public function ofKeys(Collection $keys, User $user): array
    {
        $rows = DB::table('key_entries')
            ->whereIn('key_version_id', $keys->modelKeys())
            ->where(static fn (Builder $q): Builder => $q
                ->whereNotNull('ruling')
                ->orWhereIn('grade', ['conflict', 'contested']))
            ->orderByRaw("grade = 'contested' and ruling is null, ruling is not null, id")
            ->get(['id', 'key_version_id', 'case_id', 'grade', 'ruling']);
        $sittings = [];
        foreach ($keys as $key) {
            $sittings[$key->id] = $key->sitting;
        }
        $seen = $this->onlookers->of($user)->seenCases($sittings, Thing::Key);
        $out = [];
        foreach ($rows as $row) {
            $sitting = $sittings[Cell::int($row->key_version_id)];
            if (isset($seen[$sitting->id][Cell::int($row->case_id)])) {
                $out[] = [
                    'id' => Cell::int($row->id),
                    'grade' => Cell::text($row->grade),
                    'ruled' => $row->ruling !== null,
                ];
            }
        }

        return $out;
    }
}
