<?php

declare(strict_types=1);

namespace App\Queries;

use App\Actions\MeasureRecording;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\StationMark;
use Core\Measurement\Measure;
use Core\Measurement\Spread;
use Core\Motion\Station;

/** One recording on the Bench: what was measured, what it says of each fault under a lens, the stations and clocks. */
final class BenchPage
{
    public function __construct(private readonly MeasureRecording $measure, private readonly MeasurementRows $rows, private readonly Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Recording $recording, string $lens): array
    {
        $measured = ($this->measure)($recording);
        $recording->loadMissing('golfer.consents');
        $document = $this->codebooks->document();
        $codebook = $this->codebooks->current($lens, $recording->club, $recording->swing);
        $series = $recording->series === null ? null : Recording::query()->where('golfer_id', $recording->golfer_id)->where('series', $recording->series)->with('measured')->orderBy('id')->get();

        return [
            'recording' => $recording,
            'measured' => $measured,
            'rows' => $this->rows->of($measured, $codebook->lens, $series === null ? [] : self::spreads(self::warm($series))),
            'verdicts' => $measured->faults[$lens],
            'codebook' => $codebook,
            'lenses' => $document->lenses(),
            'differs' => collect($codebook->keys())->mapWithKeys(fn (string $key): array => [$key => $document->differingOn($key)])->all(),
            'series' => $series,
            'marks' => self::marks($recording),
        ];
    }

    /**
     * @param  iterable<Recording>  $series
     * @return list<MeasurementSet> of the swings that are not set aside as cold
     */
    private static function warm(iterable $series): array
    {
        $out = [];
        foreach ($series as $recording) {
            if (! $recording->is_cold && $recording->measured !== null) {
                $out[] = $recording->measured;
            }
        }

        return $out;
    }

    /**
     * @param  list<MeasurementSet>  $sets
     * @return array<string, Spread>
     */
    private static function spreads(array $sets): array
    {
        $out = [];
        foreach (Measure::cases() as $measure) {
            $names = $measure->isByStation() ? array_map(static fn (Station $s): string => $s->value, Station::cases()) : [null];
            foreach ($names as $code) {
                $values = [];
                foreach ($sets as $set) {
                    $m = $set->measurements[$measure->value] ?? [];
                    $m = $code === null ? $m : ($m[$code] ?? []);
                    if (is_numeric($m['value'] ?? null) && ! isset($m['censored'])) {
                        $values[] = (float) $m['value'];
                    }
                }
                $spread = Spread::of($values);
                if ($spread !== null) {
                    $out[$measure->value.($code === null ? '' : "@$code")] = $spread;
                }
            }
        }

        return $out;
    }

    /** @return array<string, array{t: float, uncertainty: float, source: string, doubt: ?string, others: list<array{t: float, source: string}>}> by station code */
    private static function marks(Recording $recording): array
    {
        $all = $recording->stations->groupBy('code');

        return $recording->effectiveStations()->map(static fn (StationMark $m): array => [
            't' => $m->t_s, 'uncertainty' => $m->uncertainty_s, 'source' => $m->source, 'doubt' => $m->source === 'hand' ? null : $m->doubt,
            'others' => array_values($all[$m->code]->filter(static fn (StationMark $o): bool => $o->id !== $m->id)->map(static fn (StationMark $o): array => ['t' => $o->t_s, 'source' => $o->source])->all()),
        ])->all();
    }
}
