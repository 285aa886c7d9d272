<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Carbon;

/**
 * A signed form as it was scanned. Its file is encrypted with the application's key; what it was called is not kept.
 *
 * @property int $id
 * @property string $public_id
 * @property int $golfer_id
 * @property string $kind  pdf, jpg or png
 * @property int $bytes
 * @property string $checksum  of what was sent
 * @property Carbon $created_at
 */
final class ConsentPaper extends Row
{
    use HasUlids;

    public const UPDATED_AT = null;

    public const DISK = 'papers';

    protected $fillable = ['golfer_id', 'kind', 'bytes', 'checksum'];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime'];
    }

    public function path(): string
    {
        return "papers/$this->public_id";
    }
}
