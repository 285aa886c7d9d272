<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

/**
 * Light's κ without each reader in turn, and how far what a case does to it depends on who is left out: what is needed
 * to speak of readers like these. A case's part is what leaving it out does.
 */
final readonly class LightWithoutReaders
{
    /**
     * @param  list<float>  $values  by reader, NAN where no pair that is left has a κ
     * @param  float  $squares  Σ_g Σ_c (δ_gc − δ̄_c)², δ_gc what leaving out case c does without reader g, δ̄_c its
     *     mean
     */
    private function __construct(public array $values, public float $squares)
    {
    }

    /**
     * @param  list<array{int, int, list<int>}>  $pairs  raters and table
     * @param  list<float>  $kappas  by pair, NAN where undefined
     * @param  list<int>|null  $times  how often each case is there; once where null
     */
    public static function of(int $readers, array $pairs, array $kappas, PairJackknife $jackknife, ?array $times): self
    {
        $sums = array_fill(0, $readers, 0.0);
        $counts = array_fill(0, $readers, 0);
        foreach ($pairs as $i => [$g, $h]) {
            if (! is_nan($kappas[$i])) {
                $sums[$g] += $kappas[$i];
                $sums[$h] += $kappas[$i];
                $counts[$g]++;
                $counts[$h]++;
            }
        }
        $sum = array_sum($sums) / 2.0;
        $count = intdiv(array_sum($counts), 2);
        $values = [];
        foreach ($sums as $g => $own) {
            $values[] = $count > $counts[$g] ? ($sum - $own) / ($count - $counts[$g]) : NAN;
        }
        [$without, $lost] = $jackknife->byRater();
        $squares = 0.0;
        foreach ($without[0] ?? [] as $c => $_) {
            // Each pair is in the sums of two readers.
            $changed = $gone = 0;
            for ($g = 0; $g < $readers; $g++) {
                $changed += $without[$g][$c];
                $gone += $lost[$g][$c];
            }
            $one = $two = 0.0;
            for ($g = 0; $g < $readers; $g++) {
                $n = $count - $counts[$g] - intdiv($gone, 2) + $lost[$g][$c];
                $d = $n > 0
                    ? ($sum - $sums[$g] + $changed / 2.0 - $without[$g][$c]) / $n - $values[$g]
                    : NAN;
                $one += $d;
                $two += $d * $d;
            }
            $squares += ($times[$c] ?? 1) * max(0.0, $two - $one * $one / $readers);
        }

        return new self($values, $squares);
    }
}
