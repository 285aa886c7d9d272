<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that is being looked at before it goes on the Shelf.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property int $golfer_id
 * @property ?string $batch  of files that were sent together
 * @property string $format csv, bundle or c3d
 * @property string $file_name
 * @property string $path on the private disk
 * @property ?string $meta_name
 * @property ?string $meta_path
 * @property string $checksum
 * @property array<string, mixed> $settings
 * @property Golfer $golfer
 */
final class PendingImport extends Row
{
    use HasUlids;

    protected $table = 'imports';

    protected $fillable = [
        'user_id',
        'golfer_id',
        'batch',
        'format',
        'file_name',
        'path',
        'meta_name',
        'meta_path',
        'checksum',
        'settings',
    ];

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
        return ['settings' => 'array'];
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }
}
