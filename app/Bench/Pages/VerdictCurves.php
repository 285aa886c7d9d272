<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Codebook\Codebooks;
use App\Models\Recording;
use App\Words\Term;
use Core\Codebook\FaultVerdict;
use Core\Drawing\RuleChart;
use Core\Measurement\Evidence;
use Core\Measurement\Illustration;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\Station;

/**
 * For each condition a verdict came from: what was found, the rule, and the curve with threshold, value and its
 * uncertainty.
 *
 * @phpstan-type Condition array{title: string, value: string, rule: string, definition: string, chart: RuleChart|null,
 *     drawn: string, legend: string}
 */
final readonly class VerdictCurves
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return list<Condition> */
    public function of(Recording $recording, string $fault, string $lens): array
    {
        $recording->loadMissing(['channels', 'views', 'stations', 'measured']);
        $set = $recording->measured ?? abort(409, (string) __('bench.measuring.wait'));
        $verdicts = $this->codebooks->verdicts($this->codebooks->document(), $lens, $recording) ?? [];

        return self::drawn($recording->evidence(), $set->measured(), $verdicts[$fault] ?? null);
    }

    /** @return list<Condition> of a verdict on what is held of a swing, wherever that is kept */
    public static function drawn(Evidence $evidence, Measurements $measured, ?FaultVerdict $verdict): array
    {
        $from = ($evidence->stations->t(Station::Address) ?? $evidence->trace->t0 ?? 0.0) - 0.25;
        $to = ($evidence->stations->t(Station::Finish) ?? $from + 2.5) + 0.1;
        $out = [];
        foreach ($verdict->judgement->deciding ?? [] as $condition) {
            $found = $condition->foundIn($measured);
            $drawn = Illustration::ofMeasure($evidence, $condition->measure, $condition->station);
            $threshold = $condition->threshold;
            $chart = $drawn === null || ! is_float($threshold)
                ? null
                : RuleChart::drawn($drawn, $from, $to, $threshold, $found, $evidence->stations->all());
            $out[] = [
                'title' => ucfirst(Term::measure($condition->measure, $condition->station)),
                'value' => self::value($found),
                'rule' => (string) __('bench.why.rule', [
                    'op' => __("bench.why.op.$condition->op"),
                    'threshold' => (string) $threshold,
                ]),
                ...self::words($chart, ucfirst(Term::definition($condition->measure))),
                'chart' => $chart,
            ];
        }

        return $out;
    }

    /** @return array{definition: string, drawn: string, legend: string} */
    private static function words(?RuleChart $chart, string $definition): array
    {
        $curve = $chart === null ? '' : ucfirst(Term::curve($chart->name));

        return [
            'definition' => "$definition.",
            'drawn' => (string) __('bench.why.drawn', ['curve' => $curve]),
            'legend' => (string) __('bench.why.legend', [
                'curve' => $curve,
                'unit' => $chart->unit ?? '',
                'definition' => $definition,
            ]),
        ];
    }

    private static function value(Measured $found): string
    {
        $value = $found->value;
        $unit = $found->unit === 'style' ? '' : " $found->unit";
        if (! is_float($value)) {
            return match (true) {
                $value === null => (string) __('bench.why.not-measured'),
                is_array($value) => implode(', ', $value),
                default => $value,
            }.$unit;
        }
        $u = $found->uncertainty;

        return MeasurementPrint::bound($found->censored).MeasurementPrint::value($value).
            ($u === null ? '' : ' ± '.MeasurementPrint::uncertainty($u)).$unit;
    }
}
