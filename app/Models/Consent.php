<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property string $scope
 * @property ?string $guardian
 * @property Carbon $given_on
 * @property Carbon $expires_on
 * @property ?Carbon $withdrawn_at
 */
final class Consent extends Model
{
    protected $fillable = ['golfer_id', 'scope', 'given_on', 'expires_on', 'guardian', 'withdrawn_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given_on' => 'date', 'expires_on' => 'date', 'withdrawn_at' => 'datetime'];
    }

    public function isValid(): bool
    {
        return $this->withdrawn_at === null && $this->expires_on->endOfDay()->isFuture();
    }
}
