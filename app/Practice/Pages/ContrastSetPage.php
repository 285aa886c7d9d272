<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Bench\Pages\MeasurementPrint;
use App\Bench\Pages\TraceTitle;
use App\Codebook\Codebooks;
use App\Models\ContrastSet;
use App\Models\Enums\WorkKind;
use App\Models\MadeSwing;
use App\Models\User;
use App\Models\Work;
use App\Practice\Contrasts;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Condition;
use Core\Codebook\Said;
use Core\Measurement\Measured;
use Core\Measurement\QualityNote;
use Core\Simulation\ContrastKind;

/**
 * A contrast set: the swings on one bench, held at the same station, and the measures that tell them apart.
 *
 * @phpstan-type Row array{key: string, label: string, unit: string, tells: bool, values: list<array{text: string,
 *     reason: string}>, rule: string}
 */
final readonly class ContrastSetPage
{
    public function __construct(
        private Codebooks $codebooks,
        private Wording $words,
        private ContrastTitles $titles,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(ContrastSet $set, User $user): array
    {
        $codebook = $this->codebooks->current($set->lens, array_values($set->spec()->swings())[0]->club());
        $faults = array_values(array_filter(
            [$set->fault, $set->other],
            static fn (?string $key): bool => $key !== null && isset($codebook->faults[$key]),
        ));
        $swings = $set->made_at === null ? [] : $this->swings($set, $codebook, $faults);
        $rows = $set->made_at === null ? [] : $this->rows($set, $codebook, $faults);

        return [
            'set' => $set,
            'title' => $this->titles->of($set),
            'about' => implode(' · ', [
                (string) __('practice.made.simulated'),
                (string) __("bench.about.hand.{$set->hand->value}"),
                array_values($set->spec()->swings())[0]->club(),
                Term::device($set->device),
                $codebook->lens->name,
            ]),
            'traceTitle' => TraceTitle::of($set->device),
            'station' => isset($faults[0]) ? $codebook->faults[$faults[0]]->station->value : 'IM',
            'swings' => $swings,
            'rows' => $rows,
            'tells' => implode(
                ', ',
                array_column(array_filter($rows, static fn (array $r): bool => $r['tells']), 'label'),
            ),
            'work' => $set->made_at === null ? self::work($set) : null,
            'mode' => match ($set->kind) {
                ContrastKind::Fault => 'fault',
                ContrastKind::Alike => 'alike',
                ContrastKind::Artefact => 'artefact',
                ContrastKind::Speed => 'speed',
            },
            'says' => array_map(static fn (string $key): array => [
                'name' => ucfirst($codebook->faults[$key]->name),
                'url' => route('codebook.fault', $key),
                'look' => $codebook->faults[$key]->lookFor,
                'trace' => $codebook->faults[$key]->inTheTrace,
            ], $faults),
            'again' => self::again($set),
        ];
    }

    /**
     * @param  list<string>  $faults
     * @return list<array{name: string, url: string, verdicts: list<array{name: string, said: string, word: string}>,
     *     quality: list<string>}>
     */
    private function swings(ContrastSet $set, Codebook $codebook, array $faults): array
    {
        $names = array_keys($set->spec()->swings());
        $out = [];
        foreach ($set->swings as $place => $made) {
            $verdicts = [];
            foreach ($faults as $key) {
                $said = ($made->basis()->faults($codebook, $key)[$key] ?? null)?->said() ?? Said::NotMeasurable;
                $verdicts[] = [
                    'name' => $codebook->faults[$key]->name,
                    'said' => $said->value,
                    'word' => (string) __("verdicts.$said->value"),
                ];
            }
            $out[] = [
                'name' => Contrasts::name($set, $names[$place]),
                'url' => route('contrast.evidence', [$set, $place], false),
                'verdicts' => $verdicts,
                'quality' => array_map(
                    fn (QualityNote $n): string => $this->words->say($n->finding->remark),
                    $made->notes(),
                ),
            ];
        }

        return $out;
    }

    /**
     * Every measure that the rules of these faults ask for, as the instrument gave it in each swing.
     *
     * @param  list<string>  $faults
     * @return list<Row> those first that tell most
     */
    private function rows(ContrastSet $set, Codebook $codebook, array $faults): array
    {
        $asked = [];
        foreach ($faults as $key) {
            $fault = $codebook->faults[$key];
            foreach ([...$fault->supported->conditions(), ...$fault->contradicted->conditions()] as $condition) {
                $asked[$condition->measure->value.$condition->station] ??= $condition;
            }
        }
        $made = array_values($set->swings->all());
        $out = $order = [];
        foreach ($asked as $condition) {
            $found = array_map(
                static fn (MadeSwing $m): Measured => $condition->foundIn($m->basis()->measurements),
                $made,
            );
            $apart = self::apart($found);
            $order[] = -$apart;
            $out[] = [
                'key' => $condition->measure->value,
                'label' => Term::measure($condition->measure, $condition->station),
                'unit' => $found[0]->unit,
                'tells' => $apart > 1.0,
                'values' => array_map($this->value(...), $found),
                'rule' => self::rule($condition),
            ];
        }
        array_multisort($order, SORT_NUMERIC, array_keys($out), $out);

        return $out;
    }

    /**
     * How far the two farthest stand apart, in units of both their ±.
     *
     * @param  list<Measured>  $found
     */
    private static function apart(array $found): float
    {
        $most = 0.0;
        foreach ($found as $i => $one) {
            foreach (array_slice($found, $i + 1) as $other) {
                [$a, $b] = [$one->number(), $other->number()];
                if ($a !== null && $b !== null) {
                    $both = hypot($one->uncertainty ?? 0.0, $other->uncertainty ?? 0.0);
                    $most = max($most, abs($b - $a) / max(1e-9, $both));
                }
            }
        }

        return $most;
    }

    /** @return array{text: string, reason: string} */
    private function value(Measured $m): array
    {
        $value = $m->value;

        return match (true) {
            $value === null => ['text' => '–', 'reason' => $this->words->say($m->why())],
            is_float($value) => [
                'text' => MeasurementPrint::bound($m->censored).MeasurementPrint::value($value).
                    ($m->uncertainty === null ? '' : ' ± '.MeasurementPrint::uncertainty($m->uncertainty)),
                'reason' => '',
            ],
            default => ['text' => is_array($value) ? implode(', ', $value) : $value, 'reason' => ''],
        };
    }

    private static function rule(Condition $condition): string
    {
        return (string) __('bench.why.rule', [
            'op' => __("bench.why.op.$condition->op"),
            'threshold' => (string) $condition->threshold,
        ]);
    }

    private static function work(ContrastSet $set): ?Work
    {
        return Work::query()
            ->where('contrast_set_id', $set->id)
            ->where('kind', WorkKind::Contrast)
            ->orderByDesc('id')
            ->first();
    }

    /** @return array<string, string> the same of another body */
    private static function again(ContrastSet $set): array
    {
        return array_filter([
            'kind' => $set->kind->value, 'fault' => $set->fault, 'other' => $set->other, 'mishap' => $set->mishap,
            'device' => $set->device->value, 'hand' => $set->hand->value, 'lens' => $set->lens,
            'body' => (string) (($set->body + 1) % \Core\Simulation\MadeSwing::BODIES),
        ], static fn (?string $v): bool => $v !== null);
    }
}
