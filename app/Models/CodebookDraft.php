<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\CodebookDocument;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The next version of the codebook, while it is worked on. It changes nothing for anybody before it is published; one
 * is open at a time.
 *
 * @property int $id
 * @property string $based_on  the version it was begun from
 * @property array<mixed> $document
 * @property int $revision  counts every change: who saves says which one was seen
 * @property 'open'|'published'|'dropped' $state
 * @property ?string $published_as
 * @property ?int $tried_revision  the revision that was tried on the Shelf
 * @property ?int $tried_recordings
 * @property ?User $changer
 * @property Carbon $updated_at
 */
final class CodebookDraft extends Row
{
    protected $fillable = [
        'based_on', 'document', 'revision', 'state', 'published_as', 'started_by', 'changed_by', 'tried_revision',
        'tried_recordings',
    ];

    protected $attributes = ['revision' => 1, 'state' => 'open'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    public static function open(): ?self
    {
        return self::query()->where('state', 'open')->first();
    }

    /** @throws \Core\CoreException never: what is kept was checked */
    public function codebook(): CodebookDocument
    {
        return CodebookDocument::fromArray($this->document);
    }

    /** @return BelongsTo<User, $this> */
    public function changer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'changed_by');
    }

    /** @return HasMany<CodebookFlip, $this> */
    public function flips(): HasMany
    {
        return $this->hasMany(CodebookFlip::class);
    }
}
