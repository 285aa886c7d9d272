<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Cell;
use Core\Reading\CaseKind;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * What is asked about: swings in their order, as a single, a series or a pair. The same swings in the same order are
 * one case, whichever sitting asks; readings, key entries and results refer to it.
 *
 * @property int $id
 * @property CaseKind $kind
 * @property string $signature  SHA-256 of the kind and the recordings in order
 * @property \Illuminate\Database\Eloquent\Collection<int, CaseSwing> $swings
 */
final class RatedCase extends Row
{
    public const UPDATED_AT = null;

    protected $table = 'cases';

    protected $fillable = ['kind', 'signature'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => CaseKind::class];
    }

    /** @return HasMany<CaseSwing, $this> */
    public function swings(): HasMany
    {
        return $this->hasMany(CaseSwing::class, 'case_id')->orderBy('position');
    }

    /**
     * The case of these swings, made where nobody has asked about them before.
     *
     * @param  list<int>  $recordings  ids in order
     */
    public static function ofRecordings(CaseKind $kind, array $recordings): self
    {
        return self::query()->findOrFail(self::of([['kind' => $kind, 'recordings' => $recordings]])[0]);
    }

    /**
     * The cases of these swings, made where nobody has asked about them before: as many queries for many as for few.
     *
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $swings  ids in order
     * @return list<int> ids of the cases, in the order asked for
     */
    public static function of(array $swings): array
    {
        $signatures = array_map(
            static fn (array $of): string => hash('sha256', $of['kind']->value.':'.implode(',', $of['recordings'])),
            $swings,
        );

        return DB::transaction(static function () use ($swings, $signatures): array {
            $known = self::known($signatures);
            foreach (array_chunk(array_combine($signatures, $swings), 500, true) as $some) {
                self::query()->insertOrIgnore(array_map(
                    static fn (string $signature, array $of): array => [
                        'kind' => $of['kind']->value,
                        'signature' => $signature,
                    ],
                    array_keys($some),
                    $some,
                ));
            }
            $all = self::known($signatures);
            $rows = [];
            foreach (array_diff_key(array_combine($signatures, $swings), $known) as $signature => $of) {
                foreach ($of['recordings'] as $i => $recording) {
                    $rows[] = ['case_id' => $all[$signature], 'recording_id' => $recording, 'position' => $i + 1];
                }
            }
            // Whoever made a case at the same moment has laid its swings.
            foreach (array_chunk($rows, 500) as $some) {
                CaseSwing::query()->insertOrIgnore($some);
            }

            return array_map(static fn (string $signature): int => $all[$signature], $signatures);
        });
    }

    /**
     * @param  list<string>  $signatures
     * @return array<string, int> ids of those there are
     */
    private static function known(array $signatures): array
    {
        $out = [];
        foreach (self::query()->toBase()->whereIn('signature', $signatures)->get(['id', 'signature']) as $case) {
            $out[Cell::text($case->signature)] = Cell::int($case->id);
        }

        return $out;
    }
}
