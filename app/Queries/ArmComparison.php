<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Sitting;
use Core\Agreement\Comparison;
use Core\Agreement\Figure;

/** Whether people agree more where they are shown film, trace or both: the cases of a round by what was shown, each two compared. */
final readonly class ArmComparison
{
    private const RESAMPLES = 1000;

    /**
     * AC1 and the share of same calls in each arm; differences of AC1 (second less first) with p adjusted for their number.
     *
     * @return array{arms: list<array{arm: string, cases: int, ac1: ?float, same: ?float}>, differences: list<array{first: string, second: string, estimate: ?float, low: ?float, high: ?float, reason: ?string, p: ?float, detectable: ?float}>}
     */
    public static function of(Sitting $round, RoundRatings $ratings): array
    {
        $words = ['film' => 'film only', 'trace' => 'trace only', 'both' => 'film and trace'];
        $arms = collect(array_unique(array_values($ratings->arms)))->mapWithKeys(static fn (string $code): array => [$words[$code] => $code])->sortKeys();
        $options = RoundRatings::options();
        $out = $sums = [];
        foreach ($arms as $arm => $code) {
            $of = $ratings->sums(static fn (array $row): bool => $row[4] === '1' && ($ratings->arms["$row[0]|$row[2]"] ?? null) === $code);
            if ($of !== null) {
                $sums[(string) $arm] = $of;
                [$same, , $ac1] = array_map(static fn (float $v): ?float => is_nan($v) ? null : $v, $of->estimates());
                $out[] = ['arm' => (string) $arm, 'cases' => count($of->byCase()), 'ac1' => $ac1, 'same' => $same];
            }
        }
        $found = $p = [];
        foreach (array_keys($sums) as $i => $first) {
            foreach (array_slice(array_keys($sums), $i + 1) as $second) {
                $found[] = $both = [$first, $second, Comparison::independent($sums[$first]->byCase(), $sums[$second]->byCase(), $sums[$first]->statistic('gwet_ac'), $options->confidence, $options->seed, self::RESAMPLES)];
                if ($both[2]->p !== null) {
                    $p[count($found) - 1] = $both[2]->p;
                }
            }
        }
        $adjusted = Comparison::holm($p);
        $differences = array_map(static function (int $i, array $both) use ($adjusted): array {
            // One case's own difficulty is no arm's.
            $d = $both[2]->difference->low === null && $both[2]->difference->estimate !== null ? Figure::undefined('too few cases in one of the two') : $both[2]->difference;

            return ['first' => $both[0], 'second' => $both[1], 'estimate' => $d->estimate, 'low' => $d->low, 'high' => $d->high, 'reason' => $d->reason, 'p' => $adjusted[$i] ?? null, 'detectable' => $d->se === null ? null : Comparison::detectable($d->se)];
        }, array_keys($found), $found);

        return ['arms' => $out, 'differences' => $differences];
    }
}
