<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Figure;
use Core\Agreement\Study\RaterResult;
use Core\Remark\InWords;

/**
 * What each reader was shown, whether that made a difference, and where people mark top and impact, as tidy tables.
 *
 * @phpstan-type Row list<string|int|float|null>
 */
final readonly class ShownTables
{
    private const FIGURE = [
        'estimate' => 'number',
        'se' => 'number',
        'low' => 'number',
        'high' => 'number',
        'method' => 'string',
        'reason' => 'string',
    ];

    public const FIELDS = [
        'shown' => ['case' => 'string', 'rater' => 'string', 'occasion' => 'integer', 'shown' => 'string'],
        'arms' => [
            'figure' => 'string',
            'shown' => 'string',
            'less' => 'string',
            'cases' => 'integer',
            ...self::FIGURE,
            'p_adjusted' => 'number',
            'detectable' => 'number',
            'crossed' => 'integer',
        ],
        'times' => [
            'station' => 'string',
            'figure' => 'string',
            'rater' => 'string',
            'n' => 'integer',
            ...self::FIGURE,
        ],
    ];

    public function __construct(private InWords $words)
    {
    }

    /** @return \Generator<Row> a row a reading that counts */
    public static function shown(RoundInputs $inputs): \Generator
    {
        foreach ($inputs->readings as $reading) {
            $case = $inputs->cases[$reading['case']];
            yield [
                "c$case->case_id",
                "u{$reading['user']}",
                $case->occasion,
                $inputs->arms[$reading['arm']]->code,
            ];
        }
    }

    /** @return \Generator<Row> each way by itself, then each two: "shown" less "less" */
    public function arms(KeptFigures $kept): \Generator
    {
        $arms = $kept->arms();
        $crossed = $arms->crossed ? 1 : 0;
        foreach ($arms->arms as $arm) {
            $figures = ['gwet_ac1' => $arm->ac1, 'percent_agreement' => $arm->same, 'sensitivity' => $arm->sensitivity,
                'specificity' => $arm->specificity];
            foreach ($figures as $figure => $estimate) {
                if ($estimate !== null) {
                    yield [
                        $figure, $arm->arm, '', $arm->cases, $estimate, null, null, null, '', '', null, null, $crossed,
                    ];
                }
            }
        }
        foreach ($arms->differences as $d) {
            yield [
                $d->figure, $d->second, $d->first, null, ...$this->figure($d->difference), $d->p, $d->detectable,
                $crossed,
            ];
        }
    }

    /** @return \Generator<Row> in ms: each reader's marks against the station's own time, then all together */
    public function times(KeptFigures $kept): \Generator
    {
        foreach ($kept->times() ?? [] as $times) {
            $station = $times->station->value;
            /** @var RaterResult $person */
            foreach ($times->people as $person) {
                foreach ($person->figures as $name => $figure) {
                    yield [$station, $name, $person->rater, $person->n, ...$this->figure($figure)];
                }
            }
            foreach (['between' => $times->between, 'within' => $times->within] as $name => $sd) {
                if ($sd !== null) {
                    yield [$station, "sd_$name", '', $times->cases, $sd, null, null, null, '', ''];
                }
            }
        }
    }

    /** @return array{?float, ?float, ?float, ?float, string, string} */
    private function figure(Figure $f): array
    {
        return [
            $f->estimate, $f->se, $f->low, $f->high, $f->method,
            $f->reason === null ? '' : $this->words->say($f->reason),
        ];
    }
}
