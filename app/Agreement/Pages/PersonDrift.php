<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use Core\Agreement\Profile\DriftChart;
use Core\Agreement\Profile\RaterProfile;
use Core\Drawing\DriftPlot;
use Core\Number\Written;
use Illuminate\Support\Collection;

/** Whether a person moved against the others over all published rounds, stretch by stretch of golfers. */
final class PersonDrift
{
    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  array{name: string, whose: string}  $said  of whom, and whether of oneself
     * @return array<string, mixed>
     */
    public function of(Collection $rounds, RaterProfile $over, array $said): array
    {
        $drift = $over->drift();
        $names = $drift === null ? [] : self::names($drift);

        return [
            'rounds' => $rounds,
            'drifted' => self::finding($drift, $said),
            'drift' => $drift === null ? null : [
                'broad' => DriftPlot::broad($drift, $names),
                'slim' => DriftPlot::slim($drift, $names),
                'rows' => self::rows($drift, $names),
                'how' => (string) __('agreement.person.drift.how', [
                    'rounds' => $rounds
                        ->map(static fn (Sitting $round): string => $round->name)
                        ->join(', ', (string) __('agreement.person.and')),
                    'one-in' => (int) round(1.0 / $drift->falseAlarm),
                ]),
            ],
        ];
    }

    /** @param  array{name: string, whose: string}  $said */
    private static function finding(?DriftChart $drift, array $said): string
    {
        if ($drift === null) {
            return (string) __('agreement.person.drift.few');
        }
        $beyond = collect($drift->points)->filter(static fn (array $p): bool => $p['beyond'])->keys();
        $which = $beyond->map(static fn (int $i): int => $i + 1)->join(', ', (string) __('agreement.person.and'));

        return (string) ($beyond->isEmpty()
            ? __('agreement.person.drift.none', [
                'count' => count($drift->points),
                'p' => Written::fixed($drift->p, 2),
            ])
            : __("agreement.person.{$said['whose']}.moved", ['name' => $said['name'], 'which' => $which]));
    }

    /** @return list<string> which golfers make each stretch, by their place */
    private static function names(DriftChart $drift): array
    {
        $names = [];
        $from = 1;
        foreach ($drift->points as $point) {
            $to = $from + $point['golfers'] - 1;
            $names[] = "{$from}–{$to}";
            $from = $to + 1;
        }

        return $names;
    }

    /**
     * @param  list<string>  $names
     * @return list<array{name: string, beyond: bool, calls: int, right: string, present: string}>
     */
    private static function rows(DriftChart $drift, array $names): array
    {
        $points = static fn (float $v): string => Written::signed(100.0 * $v, 1).' %';

        return array_map(
            static fn (array $point, string $name): array => [
                'name' => $name,
                'beyond' => $point['beyond'],
                'calls' => $point['calls'],
                'right' => $points($point['right']),
                'present' => $points($point['present']),
            ],
            $drift->points,
            $names,
        );
    }
}
