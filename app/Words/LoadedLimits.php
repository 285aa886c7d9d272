<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Golfer;
use App\Models\GolferLimit;
use Core\Codebook\Drill;

/** What of a golfer's limits speaks against a drill, in a line; a professional's clearance silences it. */
final class LoadedLimits
{
    public static function of(Drill $drill, Golfer $golfer): string
    {
        $against = $golfer->limitsInForce->filter(
            static fn (GolferLimit $l): bool => ! $l->isClearedNow() && $drill->plan?->loads($l->toCore()) === true,
        );

        return $against->isEmpty() ? '' : (string) __('cautions.loads', [
            'limits' => $against->map(Term::limit(...))->implode('; '),
        ]);
    }
}
