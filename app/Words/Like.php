<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Recording;
use Illuminate\Database\Eloquent\Builder;

/** What somebody looks for, as a pattern of the database: its own signs stand for themselves. */
final class Like
{
    public static function holding(string $words): string
    {
        return '%'.addcslashes($words, '%_\\').'%';
    }

    /**
     * Those whose golfer, club or series hold every word.
     *
     * @param  Builder<Recording>  $recordings
     * @return Builder<Recording>
     */
    public static function recordings(Builder $recordings, string $find): Builder
    {
        foreach (array_filter(explode(' ', $find), static fn (string $word): bool => $word !== '') as $word) {
            $like = self::holding($word);
            $recordings->where(static fn (Builder $any): Builder => $any
                ->where('club', 'ilike', $like)
                ->orWhere('series', 'ilike', $like)
                ->orWhereHas('golfer', static fn (Builder $g): Builder => $g->where('pseudonym', 'ilike', $like)));
        }

        return $recordings;
    }
}
