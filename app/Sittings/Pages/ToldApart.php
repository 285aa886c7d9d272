<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Film;
use App\Models\Recording;
use App\Models\SittingCase;
use App\Words\Term;
use Core\Planning\Rendition;
use Illuminate\Database\Eloquent\Collection;

/**
 * Which of the swings that come twice have nothing like them in their round: a reader who writes down what stands
 * beside a swing – club and shape, the golfer's hand and limits, the device, the film's size, hardly anything ahead of
 * address – finds them again without looking at it.
 */
final class ToldApart
{
    /**
     * @param  Collection<int, SittingCase>  $cases  of one round
     * @return list<string> their names
     */
    public static function of(Collection $cases): array
    {
        $twice = $cases->where('occasion', 2);
        if ($twice->isEmpty()) {
            return [];
        }
        $cases->loadMissing(['recording.films', 'recording.stations', 'recording.golfer.limitsInForce']);
        /** @var array<string, list<int>> $alike recordings by their facts */
        $alike = [];
        foreach ($cases as $case) {
            $alike[self::facts($case)][] = $case->recording->id;
        }

        return array_values($twice
            ->filter(static fn (SittingCase $case): bool => count(array_unique($alike[self::facts($case)])) === 1)
            ->map(static fn (SittingCase $case): string => $case->recording->called())
            ->all());
    }

    private static function facts(SittingCase $case): string
    {
        return "{$case->kind->value}|".Term::shownOf($case).'|'.self::beside($case->recording);
    }

    /** All that is told of a swing beside it; its films, stations, golfer and the limits in force are at hand. */
    public static function beside(Recording $recording): string
    {
        $films = $recording->films
            ->filter(static fn (Film $film): bool => $film->isReady())
            ->sortBy('view')
            ->map(static fn (Film $film): string => "$film->view $film->rate_hz $film->width $film->height");

        return implode('|', [
            $recording->golfer->handedness, $recording->club, $recording->swing, $recording->shape,
            Term::limits($recording->golfer), $recording->device_class,
            Rendition::isShort($recording->t0, $recording->stationTimes()) ? 'short' : '', ...$films,
        ]);
    }
}
