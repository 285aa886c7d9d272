<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Number\Written;
use Core\Remark\Remark;

/** Where people mark top and impact, in words: who is late, and how many readers a time wants. */
final readonly class AgreementTimes
{
    private const FEW_MARKS = 10;

    public function __construct(private RoundTimes $times, private Wording $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, RaterNames $raters): array
    {
        $times = $this->times->of($round);
        $stations = [];
        $coarse = null;
        foreach ($times as $t) {
            $coarse = $t['within'] !== null && $t['mean_of'][1] > ($coarse['mean_of'][1] ?? -1.0) ? $t : $coarse;
            $stations[] = [
                'title' => (string) __('agreement.times.against', ['station' => ucfirst($t['word'])]),
                'people' => array_map(fn (array $p): array => [
                    'name' => $raters->name($p['rater']),
                    'n' => $p['n'],
                    'thin' => $p['n'] < self::FEW_MARKS,
                    'bias' => $this->signed($p['bias'], $p['bias']->estimate),
                    'interval' => $p['bias']->low === null ? null : self::between($p['bias']->low, $p['bias']->high),
                    'limits' => $p['low']->reason === null
                        ? self::between($p['low']->estimate, $p['high']->estimate)
                        : $this->words->said($p['low']->reason),
                ], $t['people']),
                'says' => $this->says($t),
            ];
        }

        return [
            'finding' => match (true) {
                $times === [] => (string) __('agreement.times.none'),
                $coarse === null => (string) __('agreement.times.marked'),
                default => (string) __('agreement.times.finding', [
                    'station' => $coarse['word'],
                    'one' => Written::fixed($coarse['mean_of'][1], 0),
                    'three' => Written::fixed($coarse['mean_of'][3], 0),
                ]),
            },
            'stations' => $stations,
        ];
    }

    private function signed(Figure $f, ?float $v): string
    {
        return $f->reason !== null || $v === null
            ? ($f->reason === null ? (string) __('figures.none') : $this->words->said($f->reason))
            : Written::signed($v, 0);
    }

    private static function between(?float $low, ?float $high): string
    {
        return $low === null || $high === null
            ? (string) __('figures.none')
            : Written::signed($low, 0).__('figures.to').Written::signed($high, 0);
    }

    /**
     * @param  array{cases: int, readers: int, between: ?float, within: ?float, reason: ?Remark, mean_of: array<int,
     * float>}  $t
     */
    private function says(array $t): string
    {
        if ($t['reason'] !== null || $t['between'] === null || $t['within'] === null) {
            return $t['reason'] === null ? '' : $this->words->said($t['reason'], [], true);
        }
        $mean = array_map(
            static fn (int $readers, float $ms): string => trans_choice('agreement.times.mean-of', $readers, [
                'count' => $readers,
                'ms' => Written::fixed($ms, 1),
            ]),
            array_keys($t['mean_of']),
            $t['mean_of'],
        );

        return __('agreement.times.apart', [
            'cases' => $t['cases'],
            'readers' => $t['readers'],
            'between' => Written::fixed($t['between'], 1),
            'within' => Written::fixed($t['within'], 1),
            'mean' => implode(', ', $mean),
        ]);
    }
}
