<?php

declare(strict_types=1);

namespace Core\Training;

/**
 * What one person knows, estimated from every answer: performance factors with forgetting (Pavlik, Cen & Koedinger
 * 2009; Choffin et al. 2019).
 *
 * logit P(right) = person + person×fault − difficulty + a·ln(1 + hits) + b·ln(1 + misses), hits and misses being the
 * answers to that fault whose truth was told, each counted less by half for every HALF_LIFE days that have passed.
 * Normal priors on person and person×fault; the mode by Newton's method, the interval by Laplace's approximation. The
 * matrix of second derivatives is an arrow: one row for the person, a diagonal for the faults.
 */
final readonly class Learner
{
    /** Of the constants below: what was estimated by others is not comparable. */
    public const VERSION = '1';

    /** Lower ends: one side of an interval that holds four times in five, both sides. */
    public const LOWER = 1.2816;

    /** Gains from an answer that was right, and from one that was wrong, its truth told. */
    private const HIT = 0.45;

    private const MISS = 0.25;

    /** Days in which what was practised counts half (between the retention intervals of Cepeda et al. 2008). */
    private const HALF_LIFE = 21.0;

    /** A usual person on a usual fault: three in four right. */
    private const USUAL = 1.1;

    /** Standard deviations between people, and between one person's faults. */
    private const PEOPLE = 0.7;

    private const FAULTS = 1.0;

    private const STEPS = 40;

    private const DONE = 1e-9;

    /**
     * @param  list<Answer>  $answers  in the order in which they were given
     * @param  list<string>  $faults  every fault that is asked about
     * @param  float  $today  in the days of the answers
     * @return array<string, Skill> by fault
     */
    public static function skills(array $answers, array $faults, float $today): array
    {
        [$rows, $counts] = self::rows($answers);
        [$person, $own, $information] = self::mode($rows);
        // The arrow's inverse: the person's variance, and how each fault leans on it.
        $arrow = 1.0 / (self::PEOPLE ** 2);
        foreach ($information as $fault => $sum) {
            $arrow += $sum - $sum ** 2 / ($sum + 1.0 / self::FAULTS ** 2);
        }
        $variance = 1.0 / $arrow;
        $out = [];
        foreach ($faults as $fault) {
            $sum = $information[$fault] ?? 0.0;
            $diagonal = $sum + 1.0 / self::FAULTS ** 2;
            [$hits, $misses, $n, $last] = $counts[$fault] ?? [[], [], 0, null];
            $out[$fault] = new Skill(
                $fault,
                self::USUAL + $person + ($own[$fault] ?? 0.0) + self::practised($hits, $misses, $today),
                sqrt($variance * (1.0 - $sum / $diagonal) ** 2 + 1.0 / $diagonal),
                $n,
                $last === null ? null : max(0.0, $today - $last),
            );
        }

        return $out;
    }

    /**
     * @param  list<Answer>  $answers
     * @return array{list<array{string, bool, float, int}>, array<string, array{list<float>, list<float>, int, ?float}>}
     *     fault, right, what is given and how often of each answer; by fault the days of hits and of misses, how many
     *     answers, the last day
     */
    private static function rows(array $answers): array
    {
        $rows = $counts = [];
        foreach ($answers as $answer) {
            [$hits, $misses, $n] = $counts[$answer->fault] ?? [[], [], 0, null];
            $rows[] = [
                $answer->fault,
                $answer->right,
                self::USUAL + self::practised($hits, $misses, $answer->day) - $answer->difficulty,
                $answer->times,
            ];
            if ($answer->taught) {
                if ($answer->right) {
                    $hits[] = $answer->day;
                } else {
                    $misses[] = $answer->day;
                }
            }
            $counts[$answer->fault] = [$hits, $misses, $n + $answer->times, $answer->day];
        }

        return [$rows, $counts];
    }

    /**
     * What practice has given by a day.
     *
     * @param  list<float>  $hits  days
     * @param  list<float>  $misses
     */
    private static function practised(array $hits, array $misses, float $day): float
    {
        return self::HIT * log(1.0 + self::left($hits, $day)) + self::MISS * log(1.0 + self::left($misses, $day));
    }

    /** @param  list<float>  $days */
    private static function left(array $days, float $day): float
    {
        $left = 0.0;
        foreach ($days as $then) {
            $left += 2.0 ** (-max(0.0, $day - $then) / self::HALF_LIFE);
        }

        return $left;
    }

    /**
     * @param  list<array{string, bool, float, int}>  $rows
     * @return array{float, array<string, float>, array<string, float>} the person, the faults, and the information on
     *     each
     */
    private static function mode(array $rows): array
    {
        $person = 0.0;
        $own = $information = [];
        foreach ($rows as [$fault]) {
            $own[$fault] = 0.0;
        }
        for ($step = 0; $step < self::STEPS; $step++) {
            $slope = -$person / self::PEOPLE ** 2;
            $slopes = array_map(static fn (float $u): float => -$u / self::FAULTS ** 2, $own);
            $information = array_map(static fn (): float => 0.0, $own);
            foreach ($rows as [$fault, $right, $given, $times]) {
                $p = 1.0 / (1.0 + exp(-($given + $person + $own[$fault])));
                $slope += $times * (($right ? 1.0 : 0.0) - $p);
                $slopes[$fault] += $times * (($right ? 1.0 : 0.0) - $p);
                $information[$fault] += $times * $p * (1.0 - $p);
            }
            $arrow = 1.0 / self::PEOPLE ** 2;
            $right = $slope;
            foreach ($information as $fault => $sum) {
                $diagonal = $sum + 1.0 / self::FAULTS ** 2;
                $arrow += $sum - $sum ** 2 / $diagonal;
                $right -= $sum / $diagonal * $slopes[$fault];
            }
            $move = $right / $arrow;
            $person += $move;
            $moved = abs($move);
            foreach ($information as $fault => $sum) {
                $by = ($slopes[$fault] - $sum * $move) / ($sum + 1.0 / self::FAULTS ** 2);
                $own[$fault] += $by;
                $moved = max($moved, abs($by));
            }
            if ($moved < self::DONE) {
                break;
            }
        }

        return [$person, $own, $information];
    }
}
