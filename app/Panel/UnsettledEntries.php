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
        $recordings = self::recordings($rows->pluck('case_id')->unique()->values()->all());
        $onlooker = $this->onlookers->of($user);
        $onlooker->know(array_values(array_unique(array_merge(...array_values($recordings)))));
        $sittings = [];
        foreach ($keys as $key) {
            $sittings[$key->id] = $key->sitting;
        }
        $seen = $out = [];
        foreach ($rows as $row) {
            [$key, $case] = [Cell::int($row->key_version_id), Cell::int($row->case_id)];
            $seen["$key|$case"] ??= isset($recordings[$case]) &&
                $onlooker->ofResult($recordings[$case], $sittings[$key])->shows(Thing::Key);
            if ($seen["$key|$case"]) {
                $out[] = [
                    'id' => Cell::int($row->id),
                    'grade' => Cell::text($row->grade),
                    'ruled' => $row->ruling !== null,
                ];
            }
        }

        return $out;
    }

    /**
     * @param  array<mixed>  $cases
     * @return array<int, list<int>> by case
     */
    private static function recordings(array $cases): array
    {
        $out = [];
        foreach (DB::table('case_swings')->whereIn('case_id', $cases)->get(['case_id', 'recording_id']) as $swing) {
            $out[Cell::int($swing->case_id)][] = Cell::int($swing->recording_id);
        }

        return $out;
    }
}
