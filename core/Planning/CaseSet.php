<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\CoreException;
use Core\Remark\Remark;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A set of cases out of those at hand that tells the raters' faults apart: every fault often enough present and often
 * enough absent, easy and hard ones, and of every device, hand and club their share; with cases to be shown again.
 *
 * Picked one by one for the largest gain and then improved by exchange until nothing gains; where gains are equal the
 * seed decides. What falls short is said, never hidden.
 */
final readonly class CaseSet
{
    /** So many candidates are tried in exchange for each case. */
    private const TRIED = 200;

    /** Days between the two readings of a repeat that is to count as agreement with oneself. */
    public const DAYS = 21;

    /**
     * @param  list<Candidate>  $cases  in the order to show them
     * @param  list<string>  $repeats  ids to be shown once more, later
     * @param  array<string, array{present: int, absent: int, wanted: int}>  $faults
     * @param  array<string, array<string, array{chosen: int, at_hand: int}>>  $traits  with the difficulty among them
     * @param  list<Remark>  $short  what the cases at hand could not give
     */
    private function __construct(
        public array $cases,
        public array $repeats,
        public array $faults,
        public array $traits,
        public array $short,
    ) {
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  int  $size  how many cases
     * @param  list<string>  $faults  the faults that matter
     * @param  float  $prevalence  the share of present wanted of each fault
     * @param  int  $repeats  how many are to be shown again
     *
     * @throws CoreException when there are fewer candidates than cases, or the numbers make no sense
     */
    public static function suggest(
        array $candidates,
        int $size,
        array $faults,
        float $prevalence = 0.4,
        int $repeats = 0,
        int $seed = 1,
    ): self {
        if ($size < 1 || $size > count($candidates)) {
            throw PlanningException::because('few-cases', size: $size, candidates: count($candidates));
        }
        if ($repeats < 0 || $repeats > $size || is_nan($prevalence) || $prevalence <= 0.0 || $prevalence >= 1.0) {
            throw PlanningException::because('set');
        }
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed.'|cases', true)));
        $pool = $random->shuffleArray($candidates);
        $shares = self::shares($candidates);
        $wanted = max(1, (int) round($prevalence * $size));
        $tally = new Tally($wanted, min($wanted, $size - $wanted), $faults, $shares);
        $chosen = [];
        while (count($chosen) < $size) {
            $best = null;
            foreach ($pool as $i => $candidate) {
                $c = $tally->costWith($candidate);
                if ($best === null || $c < $best[0] - 1e-12) {
                    $best = [$c, $i];
                }
            }
            if ($best !== null) {
                $chosen[] = $pool[$best[1]];
                $tally->add($pool[$best[1]]);
                unset($pool[$best[1]]);
            }
        }
        $now = $tally->cost();
        for ($round = 0, $better = true; $better && $round < 20; $round++) {
            $better = false;
            foreach (array_keys($chosen) as $at) {
                $tally->remove($chosen[$at]);
                foreach (array_slice($pool, 0, self::TRIED, true) as $i => $candidate) {
                    $c = $tally->costWith($candidate);
                    if ($c < $now - 1e-9) {
                        [$pool[$i], $chosen[$at], $now, $better] = [$chosen[$at], $candidate, $c, true];
                    }
                }
                $tally->add($chosen[$at]);
            }
        }
        $order = array_values($random->shuffleArray($chosen));

        return new self(
            $order,
            self::toRepeat($order, $repeats),
            self::balance($order, $faults, $wanted),
            self::spread($order, $candidates),
            self::short($order, $faults, $wanted, $size, $repeats),
        );
    }

    /**
     * Which are shown again: as many as the deal has room for; the order is chance already. Those come first that are
     * not the only ones of their kind, and would be known again by that.
     *
     * @param  list<Candidate>  $order
     * @return list<string>
     */
    private static function toRepeat(array $order, int $repeats): array
    {
        $alike = array_count_values(array_map(static fn (Candidate $c): string => $c->beside, $order));
        usort(
            $order,
            static fn (Candidate $a, Candidate $b): int => ($alike[$a->beside] === 1) <=> ($alike[$b->beside] === 1),
        );

        return array_map(
            static fn (Candidate $c): string => $c->id,
            array_slice($order, 0, min($repeats, Deal::room(count($order), true))),
        );
    }

    /**
     * Of every trait's values an even share, as far as there are so many at hand.
     *
     * @param  list<Candidate>  $candidates
     * @return array<string, array<string, float>>
     */
    private static function shares(array $candidates): array
    {
        $counts = [];
        foreach ($candidates as $c) {
            foreach ($c->allTraits as $trait => $value) {
                $counts[$trait][$value] = ($counts[$trait][$value] ?? 0) + 1;
            }
        }
        $out = [];
        foreach ($counts as $trait => $values) {
            // Half way between even and as they are, so that what is rare is not all used up.
            foreach ($values as $value => $n) {
                $out[$trait][$value] = 0.5 / count($values) + 0.5 * $n / array_sum($values);
            }
        }

        return $out;
    }

    /**
     * @param  list<Candidate>  $set
     * @param  list<string>  $faults
     * @return array<string, array{present: int, absent: int, wanted: int}>
     */
    private static function balance(array $set, array $faults, int $wanted): array
    {
        $out = [];
        foreach ($faults as $fault) {
            $calls = array_filter(
                array_map(static fn (Candidate $c): ?bool => $c->faults[$fault] ?? null, $set),
                is_bool(...),
            );
            $present = count(array_filter($calls));
            $out[$fault] = ['present' => $present, 'absent' => count($calls) - $present, 'wanted' => $wanted];
        }

        return $out;
    }

    /**
     * @param  list<Candidate>  $set
     * @param  list<Candidate>  $candidates
     * @return array<string, array<string, array{chosen: int, at_hand: int}>>
     */
    private static function spread(array $set, array $candidates): array
    {
        $out = [];
        foreach (['at_hand' => $candidates, 'chosen' => $set] as $which => $of) {
            foreach ($of as $c) {
                foreach ($c->allTraits as $trait => $value) {
                    $out[$trait][$value] ??= ['chosen' => 0, 'at_hand' => 0];
                    $out[$trait][$value][$which]++;
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<Candidate>  $set
     * @param  list<string>  $faults
     * @return list<Remark>
     */
    private static function short(array $set, array $faults, int $wanted, int $size, int $repeats): array
    {
        $out = [];
        foreach (self::balance($set, $faults, $wanted) as $fault => $b) {
            if ($b['present'] < $wanted) {
                $out[] = Remark::of(Shortage::Present, fault: $fault, found: $b['present'], wanted: $wanted);
            }
            $absent = min($wanted, $size - $wanted);
            if ($b['absent'] < $absent) {
                $out[] = Remark::of(Shortage::Absent, fault: $fault, found: $b['absent'], wanted: $absent);
            }
        }
        if ($repeats > Deal::room($size, true)) {
            $out[] = Remark::of(
                Shortage::Repeats,
                between: Deal::BETWEEN,
                cases: $size,
                room: Deal::room($size, true),
            );
        }

        return $out;
    }
}
