<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Figure;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\ArmResult;
use Core\Agreement\Undefined;

/**
 * Whether people agree more where they are shown film, trace or both: the cases of a round by what was shown, each two
 * compared.
 */
final readonly class ArmComparison
{
    private const RESAMPLES = 1000;

    private const ARMS = ['both', 'film', 'trace'];

    /**
     * AC1 and the share of same calls in each arm; differences of AC1 (second less first) with p adjusted for their
     * number.
     */
    public static function fromRatings(RoundRatings $ratings): ArmResult
    {
        $options = RoundRatings::options();
        $arms = $sums = [];
        foreach (array_intersect(self::ARMS, $ratings->arms()) as $arm) {
            $said = $ratings->ofArm($arm);
            $of = RoundRatings::sums($said);
            if ($of !== null) {
                $sums[$arm] = $of;
                [$same, , $ac1] = array_map(static fn (float $v): ?float => is_nan($v) ? null : $v, $of->estimates());
                $arms[] = new ArmFigures($arm, count($said->cases()), $ac1, $same);
            }
        }
        $found = $p = [];
        foreach ($sums as $first => $one) {
            foreach (array_slice($sums, 1 + (int) array_search($first, array_keys($sums), true)) as $second => $other) {
                $comparison = Comparison::independent(
                    $one->byCluster(),
                    $other->byCluster(),
                    $one->statistic('gwet_ac'),
                    $options->confidence,
                    $options->seed,
                    self::RESAMPLES,
                );
                if ($comparison->p !== null) {
                    $p[count($found)] = $comparison->p;
                }
                $found[] = [$first, $second, $comparison];
            }
        }
        $adjusted = Comparison::holm($p);

        return new ArmResult(
            $arms,
            array_map(
                static fn (int $i, array $of): ArmDifference => self::difference(
                    $of[0],
                    $of[1],
                    $of[2],
                    $adjusted[$i] ?? null,
                ),
                array_keys($found),
                $found,
            ),
        );
    }

    private static function difference(string $first, string $second, Comparison $comparison, ?float $p): ArmDifference
    {
        $d = $comparison->difference;
        // One case's own difficulty is no arm's.
        $d = $d->low === null && $d->estimate !== null ? Figure::undefined(Undefined::FewCasesInOne) : $d;

        return new ArmDifference($first, $second, $d, $p, $d->se === null ? null : Comparison::detectable($d->se));
    }
}
