<?php

declare(strict_types=1);

namespace App\Models;

use Core\Format\Json\RoundJson;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What a sitting came to, in parts; this row says of what they were made and by whom.
 *
 * @property int $id
 * @property int $sitting_id
 * @property string $core_version
 * @property string $inputs_checksum
 * @property int $format
 * @property Carbon $updated_at
 */
final class SittingResult extends Row
{
    protected $fillable = ['sitting_id', 'core_version', 'inputs_checksum', 'format'];

    /** @return HasMany<ResultPart, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(ResultPart::class);
    }

    /** Whether it is written as this release writes it; what is not is made anew from the same inputs. */
    public function isOfThisFormat(): bool
    {
        return $this->format === RoundJson::VERSION;
    }
}
