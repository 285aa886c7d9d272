<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * What the head coach says in a round's report, where no figure can.
 *
 * @property int $sitting_id
 * @property string $purpose  why it was held, and what was known before
 * @property string $readers  who read: training and experience, in no more words than leave nobody named
 * @property string $meaning  what follows from it
 * @property int $revision  counted up at each change
 * @property int $written_by
 * @property Carbon $written_at
 */
final class RoundReport extends Row
{
    /** Letters in each; what it means stands on the board's one page. */
    public const MOST = ['purpose' => 2000, 'readers' => 2000, 'meaning' => 1200];

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'sitting_id';

    protected $fillable = ['sitting_id', 'purpose', 'readers', 'meaning', 'revision', 'written_by', 'written_at'];

    protected $attributes = ['purpose' => '', 'readers' => '', 'meaning' => '', 'revision' => 0];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['written_at' => 'datetime'];
    }

    public static function of(Sitting $round): self
    {
        return self::query()->find($round->id) ?? new self(['sitting_id' => $round->id]);
    }
}
