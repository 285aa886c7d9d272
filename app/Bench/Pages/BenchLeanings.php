<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\MeasurementSet;
use App\Models\Recording;
use Core\Codebook\Leaning;
use Core\Codebook\Leanings;
use Core\Number\Written;
use Core\Reading\BallFlight;

/**
 * Which way the footwork leans the flight, trait by trait, beside what is wanted and what was seen.
 *
 * @phpstan-type LeaningRow array{name: string, says: string, side: string, sure: bool}
 */
final readonly class BenchLeanings
{
    /** @return array{rows: list<LeaningRow>, sum: string, wanted: ?string, seen: ?string}|null */
    public function of(Recording $recording, MeasurementSet $measured, bool $flown): ?array
    {
        $leanings = Leanings::of($measured->measured(), $recording->stationTimes());
        if (! $leanings->isMeasured()) {
            return null;
        }
        $way = self::way($leanings->sum());
        $flight = $flown ? $recording->flight() : null;

        return [
            'rows' => array_map(self::row(...), $leanings->traits),
            'sum' => (string) __('bench.leanings.'.match (true) {
                $leanings->count('draw') + $leanings->count('fade') === 0 => 'none',
                $leanings->cancels() => 'cancels',
                default => 'sum',
            }, [
                'draw' => $leanings->count('draw'),
                'fade' => $leanings->count('fade'),
                'way' => __("bench.leanings.way.$way"),
            ]),
            'wanted' => self::beside('wanted', self::wanted((string) $recording->shape), $way),
            'seen' => $flight === null ? null : self::beside('seen', self::flown($flight), $way),
        ];
    }

    /** @return LeaningRow */
    private static function row(Leaning $leaning): array
    {
        $side = $leaning->side ?? 'unknown';
        $number = is_float($leaning->value) ? Written::fixed($leaning->value, 0) : null;

        return [
            'name' => (string) __("bench.leanings.trait.$leaning->trait"),
            'says' => (string) __("bench.leanings.says.$leaning->trait.$side", ['value' => $number]),
            'side' => $side,
            'sure' => $leaning->isSure,
        ];
    }

    /** @return 'draw'|'fade'|'even' */
    private static function way(int $sum): string
    {
        return $sum > 0 ? 'fade' : ($sum < 0 ? 'draw' : 'even');
    }

    /**
     * @param  'draw'|'fade'|'even'|null  $other
     * @param  'draw'|'fade'|'even'  $way
     */
    private static function beside(string $what, ?string $other, string $way): ?string
    {
        return $other === null ? null : (string) __("bench.leanings.$what.".match (true) {
            $way === $other => 'fits',
            $way === 'even' || $other === 'even' => 'neither',
            default => 'against',
        }, ['shape' => __("bench.leanings.shape.$other")]);
    }

    /** @return 'draw'|'fade'|'even'|null the shape a swing is meant for, where its words tell */
    private static function wanted(string $shape): ?string
    {
        $shape = mb_strtolower($shape);

        return match (true) {
            str_contains($shape, 'draw') => 'draw',
            str_contains($shape, 'fade') => 'fade',
            str_contains($shape, 'straight') => 'even',
            default => null,
        };
    }

    /** @return 'draw'|'fade'|'even' */
    private static function flown(BallFlight $flight): string
    {
        return match ($flight->curve()) {
            'draw', 'hook' => 'draw',
            'fade', 'slice' => 'fade',
            default => 'even',
        };
    }
}
