<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Reading;
use App\Words\Term;

/** What is told of a case beside its swing, in a line: the round, the hand, club and shape, limits, what is shown. */
final class CaseLine
{
    public static function of(Reading $reading): string
    {
        $recording = $reading->case->recording;
        $golfer = $recording->golfer;
        $plays = (string) $recording->shape === ''
            ? null
            : (string) __('reading.about.plays', ['shape' => $recording->shape]);

        return implode(' · ', array_filter([
            $reading->case->sitting->name,
            (string) __("reading.about.hand.$golfer->handedness"),
            (string) __('reading.about.swing', ['club' => $recording->club, 'swing' => $recording->swing]),
            $plays,
            Term::limits($golfer),
            Term::shown($reading->shown()),
        ], static fn (?string $part): bool => $part !== null && $part !== ''));
    }
}
