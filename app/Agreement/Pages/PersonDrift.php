<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use Core\Agreement\Profile\DriftChart;
use Core\Agreement\Profile\RaterProfile;
use Core\Drawing\DriftPlot;
use Core\Number\Written;
use Illuminate\Support\Collection;

/**
 * Whether a person moved over all published rounds, stretch by stretch of cases.
 *
 * @phpstan-type Stretch array{from: int, to: int, cells: array{int, int, int, int}}
 */
final class PersonDrift
{
    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  array{name: string, whose: string}  $said  of whom, and whether of oneself
     * @return array<string, mixed>
     */
    public function of(Collection $rounds, RaterProfile $over, array $said): array
    {
        $windows = $over->windows();
        $drift = $over->drift();
        $names = array_map(static fn (array $w): string => "{$w['from']}–{$w['to']}", $windows);

        return [
            'windows' => $windows,
            'rounds' => $rounds,
            'drifted' => self::finding($drift, count($windows), $said),
            'drift' => $drift === null ? null : [
                'broad' => DriftPlot::broad($drift, $names),
                'slim' => DriftPlot::slim($drift, $names),
                'rows' => self::rows($drift, $windows, $names),
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
    private static function finding(?DriftChart $drift, int $stretches, array $said): string
    {
        if ($drift === null) {
            return (string) __('agreement.person.drift.few');
        }
        $beyond = collect($drift->points)->filter(static fn (array $p): bool => $p['beyond'])->keys();
        $which = $beyond->map(static fn (int $i): int => $i + 1)->join(', ', (string) __('agreement.person.and'));

        return (string) ($beyond->isEmpty()
            ? __('agreement.person.drift.none', ['count' => $stretches])
            : __("agreement.person.{$said['whose']}.moved", ['name' => $said['name'], 'which' => $which]));
    }

    /**
     * @param  list<Stretch>  $windows
     * @param  list<string>  $names
     * @return list<array{name: string, beyond: bool, cells: array{int, int, int, int}, d: string, c: string}>
     */
    private static function rows(DriftChart $drift, array $windows, array $names): array
    {
        $written = static fn (?float $v): string => $v === null
            ? (string) __('figures.none')
            : Written::fixed($v, 2);

        return array_map(
            static fn (array $w, array $point, string $name): array => [
                'name' => $name,
                'beyond' => $point['beyond'],
                'cells' => $w['cells'],
                'd' => $written($point['d_prime']),
                'c' => $written($point['criterion']),
            ],
            $windows,
            $drift->points,
            $names,
        );
    }
}
