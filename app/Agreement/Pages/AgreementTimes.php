<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\StationTimes;
use Core\Number\Written;

/** Where people mark top and impact, in words: who is late, and how many readers a time wants. */
final readonly class AgreementTimes
{
    private const FEW_MARKS = 10;

    public function __construct(private Wording $words)
    {
    }

    /**
     * @param  list<StationTimes>  $times
     * @return array<string, mixed>
     */
    public function of(array $times, RaterNames $raters, Sitting $round): array
    {
        $coarse = null;
        foreach ($times as $t) {
            $coarse = $t->within !== null && $t->meanOf[1] > ($coarse->meanOf[1] ?? -1.0) ? $t : $coarse;
        }

        return [
            'finding' => match (true) {
                $times === [] => (string) __('agreement.times.none'),
                $coarse === null => (string) __('agreement.times.marked'),
                default => (string) __('agreement.times.finding', [
                    'station' => self::word($coarse),
                    'one' => Written::fixed($coarse->meanOf[1], 0),
                    'three' => Written::fixed($coarse->meanOf[3], 0),
                ]),
            },
            'stations' => array_map(fn (StationTimes $t): array => [
                'title' => (string) __('agreement.times.against', ['station' => ucfirst(self::word($t))]),
                'url' => route('agreement.times', [$round, $t->station->value]),
                'people' => array_map(fn (RaterResult $p): array => $this->person($p, $raters), $t->people),
                'says' => $this->says($t),
            ], $times),
        ];
    }

    /** @return array{name: string, n: int, thin: bool, bias: string, interval: ?string, limits: string} */
    private function person(RaterResult $p, RaterNames $raters): array
    {
        ['bias' => $bias, 'lower_limit' => $low, 'upper_limit' => $high] = $p->figures;

        return [
            'name' => $raters->name($p->rater),
            'n' => $p->n,
            'thin' => $p->n < self::FEW_MARKS,
            'bias' => $this->signed($bias, $bias->estimate),
            'interval' => $bias->low === null ? null : self::between($bias->low, $bias->high),
            'limits' => $low->estimate !== null || $low->reason === null
                ? self::between($low->estimate, $high->estimate)
                : $this->words->said($low->reason),
        ];
    }

    private static function word(StationTimes $t): string
    {
        return (string) __('stations.names.'.$t->station->value);
    }

    private function signed(Figure $f, ?float $v): string
    {
        return $f->estimate === null || $v === null
            ? ($f->reason === null ? (string) __('figures.none') : $this->words->said($f->reason))
            : Written::signed($v, 0);
    }

    private static function between(?float $low, ?float $high): string
    {
        return $low === null || $high === null
            ? (string) __('figures.none')
            : Written::signed($low, 0).__('figures.to').Written::signed($high, 0);
    }

    private function says(StationTimes $t): string
    {
        if ($t->reason !== null || $t->between === null || $t->within === null) {
            return $t->reason === null ? '' : $this->words->said($t->reason, [], true);
        }
        $mean = array_map(
            static fn (int $readers, float $ms): string => trans_choice('agreement.times.mean-of', $readers, [
                'count' => $readers,
                'ms' => Written::fixed($ms, 1),
            ]),
            array_keys($t->meanOf),
            $t->meanOf,
        );

        return __('agreement.times.apart', [
            'cases' => $t->cases,
            'readers' => $t->readers,
            'between' => Written::fixed($t->between, 1),
            'within' => Written::fixed($t->within, 1),
            'mean' => implode(', ', $mean),
        ]);
    }
}
