<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use App\Models\StationMark;
use App\Words\Term;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Number\Written;
use Core\Remark\InWords;
use Illuminate\Support\Collection;

/**
 * The stations of a recording as they count, with what else is known of each.
 *
 * @phpstan-type StationRow array{code: string, definition: string, t: ?float, time: string, plusMinus: string,
 *     from: string, doubt: ?string, others: list<string>, byHand: bool, put: string}
 */
final readonly class BenchStations
{
    public function __construct(private InWords $words)
    {
    }

    /** @return list<StationRow> */
    public function of(Recording $recording): array
    {
        $counting = $recording->effectiveStations();
        $all = $recording->stations->groupBy('code');

        return array_map(function (Station $station) use ($counting, $all): array {
            $mark = $counting->get($station->value);

            return [
                'code' => $station->value,
                'definition' => ucfirst(Term::stationDefinition($station)),
                'put' => (string) __('bench.stations.put-at', ['station' => $station->value]),
                ...$mark === null ? self::notFound() : $this->found($mark, $all[$station->value] ?? new Collection()),
            ];
        }, Station::cases());
    }

    /**
     * @return array{t: null, time: string, plusMinus: string, from: string, doubt: null, others: list<string>,
     *     byHand: false}
     */
    private static function notFound(): array
    {
        return [
            't' => null,
            'time' => (string) __('figures.none'),
            'plusMinus' => '',
            'from' => (string) __('bench.stations.not-found'),
            'doubt' => null,
            'others' => [],
            'byHand' => false,
        ];
    }

    /**
     * @param  Collection<int, StationMark>  $all  every mark of this station
     * @return array{t: float, time: string, plusMinus: string, from: string, doubt: ?string, others: list<string>,
     *     byHand: bool}
     */
    private function found(StationMark $mark, Collection $all): array
    {
        // What a person marked is not doubted.
        $doubt = $mark->source === StationSource::Hand ? null : $mark->doubt();

        return [
            't' => $mark->t_s,
            'time' => Written::fixed($mark->t_s, 3),
            'plusMinus' => '± '.Written::fixed(1000.0 * $mark->uncertainty_s, 0).' ms',
            'from' => (string) __("bench.stations.from.{$mark->source->value}"),
            'doubt' => $doubt === null ? null : ucfirst($this->words->phrase($doubt)),
            'others' => array_values(
                $all
                    ->filter(static fn (StationMark $o): bool => $o->id !== $mark->id)
                    ->map(static fn (StationMark $o): string => __("bench.stations.other.{$o->source->value}").' '.
                        Written::fixed($o->t_s, 3))
                    ->all(),
            ),
            'byHand' => $mark->source === StationSource::Hand,
        ];
    }
}
