<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\Refusal;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that takes longer than a page may: asked for, worked through by the queue, with how far it has come.
 *
 * @property int $id
 * @property string $public_id
 * @property WorkKind $kind
 * @property ?int $sitting_id
 * @property ?int $recording_id
 * @property ?int $codebook_draft_id
 * @property ?int $contrast_set_id
 * @property ?int $asked_by
 * @property WorkState $state
 * @property float $progress  0 to 1
 * @property ?string $problem
 * @property int $attempts
 * @property bool $cancelling
 * @property ?Carbon $beat_at
 * @property ?Sitting $sitting
 * @property ?Recording $recording
 * @property ?User $asker
 */
final class Work extends Row
{
    use HasUlids;

    protected $fillable = [
        'kind',
        'sitting_id',
        'recording_id',
        'codebook_draft_id',
        'contrast_set_id',
        'asked_by',
        'state',
        'progress',
        'problem',
        'attempts',
        'cancelling',
        'beat_at',
    ];

    protected $attributes = ['state' => 'waiting', 'progress' => 0.0, 'attempts' => 0, 'cancelling' => false];

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
        return [
            'kind' => WorkKind::class,
            'state' => WorkState::class,
            'progress' => 'float',
            'cancelling' => 'boolean',
            'beat_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class);
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    /** @return BelongsTo<CodebookDraft, $this> */
    public function draft(): BelongsTo
    {
        return $this->belongsTo(CodebookDraft::class, 'codebook_draft_id');
    }

    /** @return BelongsTo<ContrastSet, $this> */
    public function contrast(): BelongsTo
    {
        return $this->belongsTo(ContrastSet::class, 'contrast_set_id');
    }

    /** @return BelongsTo<User, $this> */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'asked_by');
    }

    /** Why it failed, in the words of now. */
    public function says(): string
    {
        return $this->problem === null ? '' : Refusal::kept($this->problem)->sentence();
    }
}
