<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\KeyCase;
use Core\Chance\Chance;
use Core\Consensus\CaseConsensus;
use Core\Reading\Outside;
use Illuminate\Support\Facades\DB;

/** What panels settled of whole cases, as published rounds were scored against it, and choices made of that. */
final class CaseKeys
{
    /** So many answers stand to choose from. */
    public const CHOICES = 4;

    /**
     * @param  list<int>  $cases
     * @return array<int, KeyCase> the newest that a published round was scored against, by case
     */
    public static function of(array $cases): array
    {
        $ids = DB::table('key_cases')
            ->join('sittings', 'sittings.key_version_id', '=', 'key_cases.key_version_id')
            ->where('sittings.state', 'published')
            ->where('sittings.kind', 'round')
            ->whereIn('key_cases.case_id', $cases)
            ->orderBy('key_cases.case_id')
            ->orderByDesc('sittings.published_at')
            ->selectRaw('distinct on (key_cases.case_id) key_cases.id, key_cases.case_id, sittings.published_at');
        $out = [];
        foreach (KeyCase::query()->whereIn('id', DB::query()->fromSub($ids, 'newest')->select('id'))->get() as $key) {
            $out[$key->case_id] = $key;
        }

        return $out;
    }

    /** @return list<string> one first cause among others that were named, that are there, or that often come first */
    public static function causes(CaseConsensus $consensus, Chance $chance): array
    {
        $settled = $consensus->causes->settled() ?? [];
        $others = array_values(array_unique([
            ...array_map(strval(...), array_keys($consensus->causes->counts)),
            ...array_map(strval(...), array_keys($consensus->decisions)),
            ...$chance->shuffled(array_map(static fn (Outside $o): string => $o->value, array_filter(
                Outside::cases(),
                static fn (Outside $o): bool => $o !== Outside::Other,
            ))),
        ]));
        $wrong = array_slice(array_values(array_filter(
            $others,
            static fn (string $of): bool => ! in_array($of, $settled, true)
                && ! str_starts_with($of, Outside::Other->value),
        )), 0, self::CHOICES - 1);

        return $chance->shuffled([$chance->shuffled($settled)[0], ...$wrong]);
    }
}
