<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\NoticeKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One thing one person is told, in codes: it is worded when it is read.
 *
 * @property int $id
 * @property int $user_id
 * @property NoticeKind $kind
 * @property string $subject
 * @property Carbon $created_at
 * @property ?Carbon $seen_at
 * @property ?Carbon $mailed_at
 * @property ?Sitting $sitting
 * @property ?Golfer $golfer
 * @property ?User $person
 */
final class Notice extends Row
{
    public const UPDATED_AT = null;

    protected $table = 'notices';

    protected $fillable = ['user_id', 'kind', 'subject', 'sitting_id', 'golfer_id', 'person_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => NoticeKind::class,
            'created_at' => 'datetime',
            'seen_at' => 'datetime',
            'mailed_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class);
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'person_id');
    }
}
