<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\KeyCase;
use App\Models\Sitting;
use Core\Agreement\Figure;
use Core\Consensus\CaseConsensus;
use Core\Remark\InWords;

/**
 * What to do, as tidy tables: what each reader said of a case beyond what is present, what the panel says drills would
 * do, and every figure of it. Several answers in one cell are parted by |.
 *
 * @phpstan-type Row list<string|int|float|null>
 */
final readonly class AdviceTables
{
    public const FIELDS = [
        'sheets' => [
            'case' => 'string',
            'cluster' => 'string',
            'rater' => 'string',
            'causes' => 'string',
            'chain' => 'string',
            'priority' => 'string',
            'drill' => 'string',
            'rung' => 'string',
            'misses' => 'string',
            'breaks' => 'integer',
        ],
        'drills' => [
            'case' => 'string',
            'drill' => 'string',
            'rung' => 'string',
            'n' => 'integer',
            'median' => 'number',
            'index' => 'number',
            'adds_fault' => 'integer',
            'unsafe' => 'integer',
            'refused' => 'integer',
            'verdict' => 'string',
            'settled' => 'integer',
        ],
        'advice' => [
            'kind' => 'string',
            'figure' => 'string',
            'rater' => 'string',
            'n' => 'integer',
            'estimate' => 'number',
            'se' => 'number',
            'low' => 'number',
            'high' => 'number',
            'method' => 'string',
            'reason' => 'string',
        ],
    ];

    public function __construct(private InWords $words)
    {
    }

    /** @return \Generator<Row> of sheets that could say it, first occasions only */
    public static function sheets(RoundInputs $inputs): \Generator
    {
        foreach (RoundAdvice::said($inputs) as $case => $readings) {
            foreach ($readings as $rater => $reading) {
                $misses = [];
                foreach ($reading->misses->percent as $miss => $percent) {
                    $misses[] = "$miss:$percent";
                }
                yield [
                    "c$case",
                    $inputs->golfers[$case] ?? '',
                    $rater,
                    implode('|', CaseConsensus::causes($reading)),
                    implode('|', CaseConsensus::links($reading)),
                    $reading->priority(),
                    $reading->drill ?? '',
                    $reading->stop->value ?? '',
                    implode('|', $misses),
                    $reading->breaks,
                ];
            }
        }
    }

    /** @return \Generator<Row> */
    public static function drills(Sitting $round): \Generator
    {
        $cases = $round->keyVersion?->cases()
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->orderBy('case_id');
        /** @var KeyCase $case */
        foreach ($cases?->lazy(200) ?? [] as $case) {
            foreach ($case->toCore()->judged as $drill => $rungs) {
                foreach ($rungs as $rung => $d) {
                    yield [
                        "c$case->case_id", $drill, $rung, $d->n, $d->median, $d->index, $d->addsFault, $d->unsafe,
                        $d->refused ? 1 : 0, $d->verdict()->value ?? '', $d->isSettled() ? 1 : 0,
                    ];
                }
            }
        }
    }

    /** @return \Generator<Row> */
    public function figures(KeptFigures $kept): \Generator
    {
        $advice = $kept->advice();
        foreach ($advice->among ?? [] as $name => $figure) {
            yield $this->figure('among', $name, '', $advice->readers ?? 0, $figure);
        }
        foreach ($advice->beside ?? [] as $person) {
            foreach ($person->figures as $name => $figure) {
                yield $this->figure('beside', $name, $person->rater, $person->n, $figure);
            }
        }
    }

    /** @return Row */
    private function figure(string $kind, string $name, string $rater, int $n, Figure $f): array
    {
        return [
            $kind, $name, $rater, $n, $f->estimate, $f->se, $f->low, $f->high, $f->method,
            $f->reason === null ? '' : $this->words->say($f->reason),
        ];
    }
}
