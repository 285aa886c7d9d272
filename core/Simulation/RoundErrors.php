<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Agreement\Coefficient\Benchmark;
use Core\Agreement\PanelVote;
use Core\Agreement\Profile\DriftChart;
use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\RoundComparison;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Planning\SignOff;
use Core\Planning\SignOffDecision;

/** How often what is said of rounds beside intervals is wrong: false alarms, a key that errs, places, words. */
final class RoundErrors
{
    /**
     * Share of rounds in which a reader who never moves is said to drift.
     *
     * @throws CoreException
     */
    public static function drift(float $correlation, int $golfers, int $studies): float
    {
        $of = new GolferCoverage(0.3, true, $correlation, seed: 'drift');
        $alarms = 0;
        for ($s = 0; $s < $studies; $s++) {
            $set = $of->draw($golfers, $of->these(), new Chance("drift|$correlation|$golfers|$s"));
            $chart = DriftChart::ofCalls(self::against($set), seed: $s, permutations: 199);
            $alarms += $chart !== null && $chart->p <= 0.05 ? 1 : 0;
        }

        return (float) $alarms / $studies;
    }

    /** @return list<array{golfer: string, right: float, present: float}> the first reader against the others */
    private static function against(RatingSet $set): array
    {
        $out = [];
        $said = [];
        foreach ($set->raterNames() as $rater) {
            $said[$rater] = $set->ratingsOf($rater, '1');
        }
        foreach ($said['r0'] ?? [] as $case => $of) {
            foreach ($of as $item => [$value]) {
                $others = [];
                foreach (array_diff_key($said, ['r0' => true]) as $by) {
                    $other = $by[$case][$item][0] ?? '';
                    if ($other === 'present' || $other === 'absent') {
                        $others[] = $other === 'present' ? 1.0 : 0.0;
                    }
                }
                if ($others !== [] && $value !== GolferCoverage::CANNOT_TELL) {
                    $share = array_sum($others) / count($others);
                    $called = $value === 'present' ? 1.0 : 0.0;
                    $truth = $set->keyFor($item, (string) $case) === 'present';
                    $out[] = [
                        'golfer' => explode('-', (string) $case)[0],
                        'right' => ($truth ? $called : 1.0 - $called) - ($truth ? $share : 1.0 - $share),
                        'present' => $called - $share,
                    ];
                }
            }
        }

        return $out;
    }

    /**
     * Share of pairs of rounds in which a change is found where there is none, at 5 %.
     *
     * @param  bool  $moving  whether each reader moves by a leaning of the day, on average by none
     * @return array{these: float, like: float} by swapping golfers; among readers like them
     *
     * @throws CoreException
     */
    public static function change(int $golfers, int $readers, bool $moving, int $studies): array
    {
        $of = new GolferCoverage(0.3, true, readers: $readers, seed: 'change');
        $these = $like = 0;
        for ($s = 0; $s < $studies; $s++) {
            $name = "change|$golfers|$readers|".($moving ? 'moving' : 'still')."|$s";
            $chance = new Chance($name);
            $people = $of->readers($readers, $chance);
            $then = array_map(static fn (array $r): array => [
                max(0.3, $r[0] + ($moving ? 0.15 * $chance->normal() : 0.0)),
                $r[1] + ($moving ? 0.15 * $chance->normal() : 0.0),
            ], $people);
            $rounds = [];
            foreach ([$people, $then] as $which => $by) {
                $rounds[] = $of->draw($golfers, $by, new Chance("$name|golfers"), new Chance("$name|calls|$which"));
            }
            $found = (new RoundComparison($rounds[0], $rounds[1], new StudyOptions(
                categories: ['absent', 'present'],
                cannotTell: GolferCoverage::CANNOT_TELL,
                bootstrap: 199,
            )))->result()?->specific['present'] ?? null;
            $these += $found?->p !== null && $found->p <= 0.05 ? 1 : 0;
            $p = $found?->difference->newReaders?->p;
            $like += $p !== null && $p <= 0.05 ? 1 : 0;
        }

        return ['these' => (float) $these / $studies, 'like' => (float) $like / $studies];
    }

    /**
     * Share of intervals behind a panel of five that hold the reader's true rates.
     *
     * @param  float  $cloud  how much what makes a swing hard moves panel and reader together; 0 for independent errors
     * @return array{sensitivity: float, specificity: float, plain_sensitivity: float, plain_specificity: float}
     *
     * @throws CoreException
     */
    public static function key(float $prevalence, float $cloud, int $golfers, int $studies): array
    {
        $of = new GolferCoverage($prevalence, true, 0.6, 6, 0.0, 0.0, $cloud, 'key');
        $alike = array_fill(0, 6, [1.0, 0.0]);
        $truth = self::rates($of->draw(6000, $alike, new Chance("key|$prevalence|$cloud|truth")));
        $in = ['sensitivity' => 0, 'specificity' => 0, 'plain_sensitivity' => 0, 'plain_specificity' => 0];
        for ($s = 0; $s < $studies; $s++) {
            $set = self::judged($of->draw($golfers, $alike, new Chance("key|$prevalence|$cloud|$golfers|$s")));
            $study = new Study($set, new StudyOptions(pairs: false, bootstrap: 200, seed: $s, order: false));
            $raters = $study->key()->keyError($set->items())->raters ?? [];
            $plain = array_column($study->againstKey($set->items()), null, 'rater')['r0']->figures ?? [];
            foreach (['sensitivity', 'specificity'] as $name) {
                $f = $raters[0]->figures[$name] ?? null;
                $in[$name] += $f?->low !== null && $f->low <= $truth[$name] && $truth[$name] <= $f->high ? 1 : 0;
                $f = $plain[$name] ?? null;
                $in["plain_$name"] += $f?->low !== null && $f->low <= $truth[$name] && $truth[$name] <= $f->high ? 1
                    : 0;
            }
        }

        return array_map(static fn (int $n): float => (float) $n / $studies, $in);
    }

    /**
     * The first reader's calls, with the others' as a panel's votes; four of five settle a question.
     *
     * @throws CoreException
     */
    private static function judged(RatingSet $set): RatingSet
    {
        $out = new RatingSet;
        $said = array_map(static fn (int $r): array => $set->ratingsOf("r$r", '1'), range(0, 5));
        foreach ($said[0] as $case => $of) {
            $out->group((string) $case, explode('-', (string) $case)[0]);
            foreach ($of as $item => [$value]) {
                $present = 0;
                foreach (array_slice($said, 1) as $by) {
                    $present += ($by[$case][$item][0] ?? '') === 'present' ? 1 : 0;
                }
                $label = $present >= 4 ? 'present' : ($present <= 1 ? 'absent' : '');
                $out->add((string) $case, $item, 'r0', $value);
                $out->addKey((string) $case, $item, $label, PanelVote::counted($present, 5 - $present));
            }
        }

        return $out;
    }

    /**
     * @return array{sensitivity: float, specificity: float} of the first reader
     *
     * @throws CoreException
     */
    private static function rates(RatingSet $set): array
    {
        [$tp, $p, $tn, $n] = [0, 0, 0, 0];
        foreach ($set->ratingsOf('r0', '1') as $case => $of) {
            foreach ($of as $item => [$value]) {
                if ($set->keyFor($item, (string) $case) === 'present') {
                    $p++;
                    $tp += $value === 'present' ? 1 : 0;
                } else {
                    $n++;
                    $tn += $value === 'absent' ? 1 : 0;
                }
            }
        }

        return ['sensitivity' => (float) $tp / max(1, $p), 'specificity' => (float) $tn / max(1, $n)];
    }

    /**
     * Share of places that lie in their range, and of pairs of equal readers told apart.
     *
     * @return array{places: float, apart: float}
     */
    public static function places(int $golfers, int $studies): array
    {
        $inside = $all = $apart = 0;
        for ($s = 0; $s < $studies; $s++) {
            $chance = new Chance("places|$golfers|$s");
            $skills = array_map(static fn (): float => 0.75 + 0.07 * $chance->normal(), range(1, 7));
            $skills[] = $skills[0];
            $right = [];
            for ($g = 0; $g < $golfers; $g++) {
                $hard = 0.1 * $chance->normal();
                for ($k = 0, $n = $chance->between(4, 20); $k < $n; $k++) {
                    foreach ($skills as $r => $skill) {
                        $right["r$r"][$g] ??= [0, 0];
                        $right["r$r"][$g][0] += $chance->uniform() < $skill + $hard ? 1 : 0;
                        $right["r$r"][$g][1]++;
                    }
                }
            }
            $people = array_column(PeopleInOrder::of($right, $s)->people ?? [], null, 'rater');
            foreach (array_slice($skills, 0, 7) as $r => $skill) {
                $above = count(array_filter($skills, static fn (float $v): bool => $v > $skill));
                $as = count(array_filter($skills, static fn (float $v): bool => abs($v - $skill) < 1e-12));
                $inside += $people["r$r"]->best <= $above + $as && $people["r$r"]->worst > $above ? 1 : 0;
                $all++;
            }
            $apart += $people['r0']->isTiedWith($people['r7']) ? 0 : 1;
        }

        return ['places' => (float) $inside / max(1, $all), 'apart' => (float) $apart / $studies];
    }

    /**
     * Sign-offs of a reader who is right in a given share of the calls.
     *
     * @return array{off: float, refused: float, cases: float} share signed off and refused, mean number of cases
     *
     * @throws CoreException
     */
    public static function signOff(SignOff $test, float $right, float $alike, int $studies): array
    {
        $out = ['off' => 0.0, 'refused' => 0.0, 'cases' => 0.0];
        $chance = new Chance("sign-off|$test->bar|$test->good|$right|$alike|$test->callsACase");
        $calls = (int) $test->callsACase;
        for ($s = 0; $s < $studies; $s++) {
            $lambda = 0.0;
            $cases = 0;
            do {
                $common = $chance->uniform() < $right;
                $y = 0;
                for ($k = 0; $k < $calls; $k++) {
                    $own = $chance->uniform() < sqrt($alike) ? $common : $chance->uniform() < $right;
                    $y += $own ? 1 : 0;
                }
                $lambda += $test->step($y, $calls);
                $decision = $test->decision($lambda, ++$cases);
            } while ($decision === SignOffDecision::GoesOn);
            $out['off'] += $decision === SignOffDecision::SignedOff ? 1.0 / $studies : 0.0;
            $out['refused'] += $decision === SignOffDecision::Refused ? 1.0 / $studies : 0.0;
            $out['cases'] += (float) $cases / $studies;
        }

        return $out;
    }

    /**
     * Readers who call at random: what the figures are, and in what share of rounds a word is earned.
     *
     * @return array{gwet_ac1: float, krippendorff_alpha: float, present: float, ac1_words: float, alpha_words: float}
     *
     * @throws CoreException
     */
    public static function random(float $rate, int $studies): array
    {
        $out = [
            'gwet_ac1' => 0.0,
            'krippendorff_alpha' => 0.0,
            'present' => 0.0,
            'ac1_words' => 0.0,
            'alpha_words' => 0.0,
        ];
        $named = 0;
        for ($s = 0; $s < $studies; $s++) {
            $chance = new Chance("random|$rate|$s");
            $set = new RatingSet;
            for ($c = 0; $c < 60; $c++) {
                foreach (GolferCoverage::FAULTS as $fault) {
                    for ($r = 0; $r < 8; $r++) {
                        $set->add("$c", $fault, "r$r", $chance->uniform() < $rate ? 'present' : 'absent');
                    }
                }
                $set->group("$c", 'g'.intdiv($c, 2));
            }
            $found = (new Study($set, new StudyOptions(['absent', 'present'], pairs: false, bootstrap: 0)))
                ->item($set->items());
            foreach (['gwet_ac1', 'krippendorff_alpha'] as $name) {
                $out[$name] += ($found->coefficients[$name]->estimate ?? 0.0) / $studies;
            }
            if (isset($found->specific['present']->estimate)) {
                $out['present'] += $found->specific['present']->estimate;
                $named++;
            }
            $earned = static fn (string $name): float => in_array(
                Benchmark::LandisKoch->read($found->coefficients[$name])['level'] ?? 'poor',
                ['poor', 'slight'],
                true,
            ) ? 0.0 : 1.0 / $studies;
            $out['ac1_words'] += $earned('gwet_ac1');
            $out['alpha_words'] += $earned('krippendorff_alpha');
        }
        $out['present'] /= max(1, $named);

        return $out;
    }
}
