<?php

declare(strict_types=1);

namespace App\Models;

use Core\Reading\CaseKind;
use Illuminate\Database\Eloquent\Model;
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
final class RatedCase extends Model
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
        $signature = hash('sha256', $kind->value.':'.implode(',', $recordings));

        return DB::transaction(static function () use ($kind, $recordings, $signature): self {
            $made = self::query()->insertOrIgnore(['kind' => $kind->value, 'signature' => $signature]);
            $case = self::query()->where('signature', $signature)->firstOrFail();
            if ($made > 0) {
                foreach ($recordings as $i => $id) {
                    $case->swings()->create(['recording_id' => $id, 'position' => $i + 1]);
                }
            }

            return $case;
        });
    }
}
