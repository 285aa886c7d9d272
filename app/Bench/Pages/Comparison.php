<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Codebook\Codebooks;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sight\SeriesTurns;
use App\Words\Like;
use Core\Codebook\Codebook;
use Core\Codebook\SwingSize;
use Core\Measurement\Difference;
use Core\Measurement\Spread;
use Core\Number\Distribution;
use Core\Number\Written;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * Two recordings side by side: what the second has more of each measure than the first, and whether that is beyond
 * doubt.
 *
 * @phpstan-import-type MeasurementRow from MeasurementRows
 *
 * @phpstan-type Side array{value: float|string|null, uncertainty: float|null, reason: string|null}
 * @phpstan-type ComparedRow array{group: ?string, key: string, label: string, unit: string, definition: string,
 *     band: array{float, float}|null, first: Side, second: Side, difference: Difference|null, why: ?string}
 */
final class Comparison
{
    /** Below this many warm swings on a side two swings are compared, not two series. */
    private const SERIES = 3;

    /** So many are offered without being looked for, and so many at most that are. */
    private const NEAREST = 60;

    private const FOUND = 60;

    public function __construct(
        private readonly Onlookers $onlookers,
        private readonly MeasurementRows $rows,
        private readonly Codebooks $codebooks,
        private readonly SeriesSpreads $spreads,
    ) {
    }

    /**
     * @return array{first: Recording, second: Recording, rows: list<ComparedRow>, bySeries: bool, codebook: Codebook,
     *     counts: list<int>, mirrored: bool, beyond: int}
     */
    public function of(Recording $first, Recording $second, string $lens, User $user): array
    {
        $codebook = $this->codebooks->current(
            $lens,
            $first->club,
            $first->swing,
            SwingSize::ofSwing($first->size, $first->club),
        );
        $sides = array_map(fn (Recording $r): array => $this->side($r, $user), [$first, $second]);
        $bySeries =
            $first->isNot($second) &&
            min(array_column($sides, 'warm')) >= self::SERIES &&
            ! ($first->series === $second->series && $first->golfer_id === $second->golfer_id);
        [$a, $b] = array_map(
            fn (array $side): array => $this->rows->of(
                $side['measured'],
                $codebook->lens,
                $bySeries ? $side['spreads'] : [],
            ),
            $sides,
        );
        $rows = [];
        foreach ($a as $i => $row) {
            $rows[] = [
                'group' => $row['group'],
                'key' => $row['key'],
                'label' => $row['label'],
                'unit' => $row['unit'],
                'definition' => $row['definition'],
                'band' => $row['band'],
                'first' => self::shown($row, $bySeries),
                'second' => self::shown($b[$i], $bySeries),
                ...self::difference($row, $b[$i], $bySeries),
            ];
        }

        return [
            'first' => $first, 'second' => $second, 'rows' => $rows, 'bySeries' => $bySeries, 'codebook' => $codebook,
            'counts' => array_column($sides, 'warm'),
            'mirrored' => $first->golfer->handedness !== $second->golfer->handedness,
            'beyond' => count(array_filter(
                $rows,
                static fn (array $r): bool => $r['difference']?->isBeyond() ?? false,
            )),
        ];
    }

    /** @return list<array{id: string, name: string}> what it may be put beside: its own golfer's, then the newest */
    public function candidates(Recording $recording, User $user): array
    {
        $nearest = $this->besides($recording, $user)
            ->orderByRaw('golfer_id <> ?', [$recording->golfer_id])
            ->orderByDesc('id')
            ->limit(self::NEAREST)
            ->get()
            ->sortBy(static fn (Recording $r): array => [
                $r->golfer_id !== $recording->golfer_id,
                $r->golfer_id,
                $r->id,
            ]);

        return $this->named($nearest, $user);
    }

    /** @return list<array{id: string, name: string}> what it may be put beside whose golfer, club or series say so */
    public function found(Recording $recording, User $user, string $find): array
    {
        $found = Like::recordings($this->besides($recording, $user), $find);

        return $this->named($found->orderByDesc('id')->limit(self::FOUND)->get(), $user);
    }

    /** @return Builder<Recording> */
    private function besides(Recording $recording, User $user): Builder
    {
        return $this->onlookers->of($user)->recordings()->whereKeyNot($recording->id)->with('golfer');
    }

    /**
     * @param  Collection<int, Recording>  $recordings
     * @return list<array{id: string, name: string}>
     */
    private function named(Collection $recordings, User $user): array
    {
        $turns = SeriesTurns::among($recordings, $this->onlookers->of($user));

        return array_values($recordings->map(static fn (Recording $r): array => [
            'id' => $r->public_id,
            'name' => implode(', ', array_filter(
                [
                    $r->golfer->pseudonym,
                    $r->club,
                    isset($turns[$r->id]) ? "$r->series {$turns[$r->id]}" : null,
                    $r->is_cold ? (string) __('bench.cold') : null,
                ],
                static fn (?string $part): bool => $part !== null && $part !== '',
            )),
        ])->all());
    }

    /** @return array{measured: MeasurementSet, spreads: array<string, Spread>, warm: int} */
    private function side(Recording $recording, User $user): array
    {
        $recording->loadMissing(['golfer', 'films', 'motion', 'stations']);
        $series = $this->spreads->swings($recording, $user);

        return [
            'measured' => $recording->measured()->firstOrFail(),
            'spreads' => $this->spreads->of($series),
            'warm' => $series?->where('is_cold', false)->count() ?? 1,
        ];
    }

    /**
     * @param  MeasurementRow  $row
     * @return Side
     */
    private static function shown(array $row, bool $bySeries): array
    {
        if ($bySeries && $row['spread'] !== null) {
            return ['value' => $row['spread']->mean, 'uncertainty' => null, 'reason' => null];
        }

        return [
            'value' => $row['censored'] === null
                    ? $row['value']
                    : MeasurementPrint::bound($row['censored']).Written::fixed((float) $row['value'], 0),
            'uncertainty' => $row['uncertainty'],
            'reason' => $row['reason'],
        ];
    }

    /**
     * @param  MeasurementRow  $a
     * @param  MeasurementRow  $b
     * @return array{difference: Difference|null, why: string|null}
     */
    private static function difference(array $a, array $b, bool $bySeries): array
    {
        foreach (['first' => $a, 'second' => $b] as $which => $row) {
            if (! is_numeric($row['value']) || $row['censored'] !== null) {
                return [
                    'difference' => null,
                    'why' => is_string($row['value'])
                        ? null
                        : (string) __('bench.compare.in-the', [
                            'which' => (string) __("bench.compare.which.$which"),
                            'why' => $row['censored'] !== null
                                ? (string) __('bench.compare.only-a-bound')
                                : $row['reason'],
                        ]),
                ];
            }
        }
        [$ua, $ub] = [(float) $a['uncertainty'], (float) $b['uncertainty']];
        if (
            $bySeries &&
            $a['spread'] !== null &&
            $b['spread'] !== null &&
            $a['spread']->sd + $b['spread']->sd > 0.0
        ) {
            $n = min($a['spread']->n, $b['spread']->n);

            return [
                'difference' => Difference::ofSeries(
                    $a['spread'],
                    $b['spread'],
                    Distribution::studentQuantile(0.975, Spread::degrees($a['spread'], $b['spread'])),
                    hypot($ua, $ub) / sqrt($n),
                ),
                'why' => null,
            ];
        }

        return [
            'difference' => Difference::ofSwings((float) $a['value'], $ua, (float) $b['value'], $ub),
            'why' => null,
        ];
    }
}
