<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Clusters;
use Core\Agreement\Coefficient\SetDistance;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Consensus\DrillConsensus;
use Core\CoreException;
use Core\Reading\Miss;
use Core\Reading\Misses;
use Core\Reading\Reading;

/**
 * First causes, chain, priority, decisions, drills and expected misses: how far readers agree with one another and with
 * the panel, over golfers. Sets are compared by 1 − MASI's distance (Passonneau 2006); misses by the Brier score over
 * all misses and none (Brier 1950), a ball with several misses being each of them in part.
 */
final readonly class AdviceStudy
{
    /**
     * @param  list<AdvisedCase>  $cases
     * @param  list<string>  $panel  readers who helped to make the key: they are not held against it
     */
    public function __construct(
        private array $cases,
        private array $panel = [],
        private Confidence $confidence = new Confidence,
    ) {
    }

    /** @throws CoreException */
    public function result(): AdviceResult
    {
        $readers = [];
        foreach ($this->cases as $case) {
            $readers += array_fill_keys(array_keys($case->readings), true);
        }
        ksort($readers, SORT_STRING);

        return new AdviceResult(
            count($this->cases),
            count($readers),
            $this->settled(),
            $this->among(),
            array_map(fn (int|string $reader): RaterResult => $this->beside((string) $reader), array_keys($readers)),
        );
    }

    /** @return array<string, int> */
    private function settled(): array
    {
        $n = ['causes' => 0, 'chain' => 0, 'priority' => 0, 'decision' => 0, 'drill' => 0];
        foreach ($this->cases as $case) {
            foreach ($case->key->judged ?? [] as $rungs) {
                $n['drill'] += count(array_filter($rungs, static fn (DrillConsensus $d): bool => $d->isSettled()));
            }
            $n['causes'] += $case->key?->causes->settled() === null ? 0 : 1;
            $n['chain'] += $case->key?->chain->settled() === null ? 0 : 1;
            $n['priority'] += $case->key?->priority->settled === null ? 0 : 1;
            foreach ($case->key->decisions ?? [] as $fault => $tally) {
                $n['decision'] += $tally->settled !== null && ($case->labels[$fault] ?? '') === 'present' ? 1 : 0;
            }
        }

        return $n;
    }

    /**
     * @return array<string, Figure>
     *
     * @throws CoreException
     */
    private function among(): array
    {
        $sets = ['causes' => [], 'chain' => []];
        $golfers = [];
        [$priority, $decision, $drill] = [new RatingSet, new RatingSet, new RatingSet];
        foreach ($this->cases as $case) {
            $golfers[] = $case->golfer;
            $sets['causes'][] = array_values(array_map(CaseConsensus::causes(...), $case->readings));
            $sets['chain'][] = array_values(array_map(CaseConsensus::links(...), $case->readings));
            foreach ($case->readings as $reader => $reading) {
                $first = $reading->priority();
                $priority->add($case->case, 'priority', (string) $reader, $first === '' ? '-' : $first);
                $drill->add($case->case, 'drill', (string) $reader, $reading->drill ?? '-');
                foreach ($reading->calls as $fault => $call) {
                    if ($call->decision !== null) {
                        $decision->add($case->case, $fault, (string) $reader, $call->decision->value);
                    }
                }
            }
            $priority->group($case->case, $case->golfer);
            $decision->group($case->case, $case->golfer);
            $drill->group($case->case, $case->golfer);
        }

        return [
            'causes' => SetDistance::alpha($sets['causes'], $this->confidence, clusterOf: $golfers),
            'overlap' => $this->overlap($sets['causes'], $golfers),
            'chain' => SetDistance::alpha($sets['chain'], $this->confidence, clusterOf: $golfers),
            'priority' => self::alpha($priority),
            'decision' => self::alpha($decision),
            'drill' => self::alpha($drill),
        ];
    }

    /** @throws CoreException */
    private static function alpha(RatingSet $said): Figure
    {
        $options = new StudyOptions(pairs: false, bootstrap: 0, order: false);

        return $said->isEmpty()
            ? Figure::undefined(Undefined::NoPairs)
            : (new Study($said, $options))->result()->pooled->coefficients['krippendorff_alpha'];
    }

    /**
     * The mean Jaccard index of first causes over pairs of readers.
     *
     * @param  list<list<list<string>>>  $cases
     * @param  list<string>  $golfers
     */
    private function overlap(array $cases, array $golfers): Figure
    {
        $sums = [];
        foreach ($cases as $i => $given) {
            foreach ($given as $j => $one) {
                foreach (array_slice($given, $j + 1) as $other) {
                    $sums[$golfers[$i]][] = SetDistance::jaccard($one, $other);
                }
            }
        }

        return $this->mean($sums, 1.0, Undefined::NoPairs);
    }

    /**
     * The mean of values of golfers; where nobody differs, as of so many successes.
     *
     * @param  array<string, list<float>>  $byGolfer
     */
    private function mean(array $byGolfer, float $most, Undefined $none): Figure
    {
        $clusters = array_values(array_map(static fn (array $of): array => [array_sum($of), count($of)], $byGolfer));
        $n = array_sum(array_column($clusters, 1));
        if ($n === 0) {
            return Figure::undefined($none);
        }
        $all = array_sum(array_column($clusters, 0));
        $value = (float) $all / $n;
        $whole = array_map(static fn (array $c): array => [(int) round($c[0] / $most), $c[1]], $clusters);
        $sizes = Clusters::ofSizes(array_column($clusters, 1));
        if ($value <= 1e-12 || $value >= $most - 1e-12) {
            // A mean without spread is as sure as a share that is none, or all.
            $share = Wilson::clustered($whole, $this->confidence, $none);

            return $share->low === null || $share->high === null
                ? Figure::estimated($value, null, null, null, 'point')->over($sizes)
                : Figure::estimated($value, null, $most * $share->low, $most * $share->high, 'clustered wilson')
                    ->over($sizes);
        }

        return ClusterError::clustered(
            $value,
            array_map(
                static fn (array $c): float => $n === $c[1] ? NAN : (float) ($all - $c[0]) / ($n - $c[1]),
                $clusters,
            ),
            $sizes,
            $this->confidence,
            static fn (): array => array_map(static fn (array $c): float => ($c[0] - $value * $c[1]) / $n, $clusters),
            0.0,
            $most,
        );
    }

    private function beside(string $reader): RaterResult
    {
        $values = array_fill_keys(['causes', 'chain', 'miss'], []);
        $shares = array_fill_keys(['priority', 'decision', 'trend', 'breaks', 'helps', 'harms', 'unsafe'], []);
        $n = 0;
        foreach ($this->cases as $case) {
            $reading = $case->readings[$reader] ?? null;
            if ($reading === null) {
                continue;
            }
            $n++;
            $golfer = $case->golfer;
            $of = self::ofCase($case, $reader, in_array($reader, $this->panel, true));
            foreach ($of['alike'] as $what => $v) {
                $values[$what][$golfer][] = $v;
            }
            foreach ($of['asked'] as [$what, $right]) {
                $shares[$what][$golfer][] = $right;
            }
        }
        $figures = [];
        foreach (AdviceResult::FIGURES as $name) {
            $figures[$name] = isset($values[$name])
                ? $this->mean($values[$name], $name === 'miss' ? 2.0 : 1.0, Undefined::NothingScored)
                : Wilson::clustered(
                    array_values(array_map(
                        static fn (array $of): array => [count(array_filter($of)), count($of)],
                        $shares[$name],
                    )),
                    $this->confidence,
                    Undefined::NothingScored,
                );
        }

        return new RaterResult($reader, $n, $figures);
    }

    /**
     * What one reader's sheet of one case adds to the figures.
     *
     * @param  bool  $panel  whether this reader helped to make the key
     * @return array{alike: array<string, float>, asked: list<array{string, bool}>} how alike causes and chain are, 0 to
     *     1, and the Brier score of the misses; what else was asked that the key settles, and whether it was said
     */
    public static function ofCase(AdvisedCase $case, string $reader, bool $panel = false): array
    {
        $reading = $case->readings[$reader];
        $miss = $case->flights === [] ? [] : ['miss' => self::brier($reading->misses, $case->flights)];

        return $case->key === null || $panel
            ? ['alike' => $miss, 'asked' => []]
            : [
                'alike' => [...$miss, ...self::alike($reading, $case->key)],
                'asked' => self::asked($reading, $case, $case->key),
            ];
    }

    /** @return array<string, float> how alike sets are that the key settles */
    private static function alike(Reading $reading, CaseConsensus $key): array
    {
        $out = [];
        foreach (
            [
                'causes' => [$key->causes->settled(), CaseConsensus::causes($reading)],
                'chain' => [$key->chain->settled(), CaseConsensus::links($reading)],
            ] as $what => [$settled, $own]
        ) {
            if ($settled !== null) {
                $out[$what] = 1.0 - SetDistance::masi($settled, $own);
            }
        }

        return $out;
    }

    /** @return list<array{string, bool}> what was asked that the key settles, and whether it was said */
    private static function asked(Reading $reading, AdvisedCase $case, CaseConsensus $key): array
    {
        $out = [];
        if ($key->priority->settled !== null) {
            $out[] = ['priority', $reading->priority() === $key->priority->settled];
        }
        if ($key->breaks?->settled !== null) {
            $out[] = ['breaks', (string) $reading->breaks === $key->breaks->settled];
        }
        $would = $reading->drill === null || $reading->stop === null
            ? null
            : $key->appropriateness($reading->drill, $reading->stop);
        if ($would !== null) {
            $out[] = ['helps', $would === Appropriateness::Helps];
            $out[] = ['harms', $would === Appropriateness::Harms];
            $out[] = ['unsafe', $would === Appropriateness::Unsafe];
        }
        foreach ($reading->calls as $fault => $call) {
            // Of what is not there nobody can decide rightly.
            if (($case->labels[$fault] ?? '') !== 'present') {
                continue;
            }
            $decision = ($key->decisions[$fault] ?? null)?->settled;
            if ($decision !== null && $call->decision !== null) {
                $out[] = ['decision', $call->decision->value === $decision];
            }
            $trend = ($key->trends[$fault] ?? null)?->settled;
            if ($trend !== null && $call->trend !== null) {
                $out[] = ['trend', $call->trend->value === $trend];
            }
        }

        return $out;
    }

    /**
     * Σ (p − o)² over all misses and none, from 0 to 2.
     *
     * @param  non-empty-list<list<string>>  $flights
     */
    public static function brier(Misses $expected, array $flights): float
    {
        $seen = [];
        foreach ($flights as $misses) {
            foreach ($misses === [] ? [Miss::None->value] : $misses as $miss) {
                $seen[$miss] = ($seen[$miss] ?? 0.0) + 1.0 / (count($flights) * max(1.0, (float) count($misses)));
            }
        }
        $score = 0.0;
        foreach (Miss::cases() as $miss) {
            $likely = $miss === Miss::None ? $expected->none() : $expected->percent[$miss->value] ?? 0;
            $score += ($likely / 100.0 - ($seen[$miss->value] ?? 0.0)) ** 2;
        }

        return $score;
    }
}
