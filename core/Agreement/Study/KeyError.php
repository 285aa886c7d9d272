<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;
use Core\Agreement\Profile\LatentKey;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\Resample;
use Core\Agreement\Undefined;
use Core\Remark\Remark;

/**
 * Sensitivity and specificity where the key is an estimate: from how the panel split on every question, contested ones
 * included. The intervals draw clusters with the panel's votes and the readers' calls, and fit everything anew.
 *
 * @phpstan-type Question array{cluster: int, pattern: int, settled: bool|null, calls: array<int, bool>}
 */
final class KeyError
{
    /** With fewer questions the model cannot be told from noise. */
    public const LEAST = 200;

    /** @var list<array{int, int, float|null}> votes for present and absent, and w where it is known */
    private array $patterns = [];

    /** @var array<string, int> */
    private array $known = [];

    /** @var list<Question> */
    private array $questions = [];

    /** @var \Closure(string): bool */
    private readonly \Closure $isPositive;

    /**
     * @param  list<string>  $items
     * @param  \Closure(string): bool  $isPositive
     */
    public function __construct(
        private readonly RatingSet $set,
        array $items,
        private readonly StudyOptions $options,
        \Closure $isPositive,
    ) {
        $this->isPositive = $isPositive;
        $called = [];
        foreach ($set->valueNames() as $v => $name) {
            $called[$v] = $v === 0 || $name === $options->cannotTell ? null : $isPositive($name);
        }
        foreach ($items as $item) {
            $rows = $set->first($item);
            foreach ($set->inClusters() as [$case, $rank]) {
                $c = $set->caseIndex($case);
                $question = $rows->has($c) ? $this->question($case, $item, $rank) : null;
                if ($question === null) {
                    continue;
                }
                foreach ($rows->row($c) as $r => $v) {
                    $call = $called[$v] ?? null;
                    if ($call !== null) {
                        $question['calls'][$r] = $call;
                    }
                }
                $this->questions[] = $question;
            }
        }
    }

    /** @return Question|null null where nothing is known of it */
    private function question(string $case, string $item, int $rank): ?array
    {
        $vote = $this->set->voteFor($item, $case);
        $value = $this->set->keyFor($item, $case);
        $settled = $value === null || $value === $this->options->cannotTell ? null : ($this->isPositive)($value);
        $pattern = match (true) {
            $vote?->weight !== null => [0, 0, $vote->weight],
            $vote !== null => [$vote->present, $vote->absent, null],
            $settled !== null => [0, 0, $settled ? 1.0 : 0.0],
            default => null,
        };
        if ($pattern === null) {
            return null;
        }
        $name = implode(' ', array_map(static fn (int|float|null $v): string => (string) $v, $pattern));
        if (! isset($this->known[$name])) {
            $this->known[$name] = count($this->patterns);
            $this->patterns[] = $pattern;
        }

        return ['cluster' => $rank, 'pattern' => $this->known[$name], 'settled' => $settled, 'calls' => []];
    }

    public function result(?ClusterBootstrap $bootstrap): KeyErrorResult
    {
        $times = array_count_values(array_column($this->questions, 'pattern'));
        $key = LatentKey::fit($this->patterns, $times);
        $names = $this->set->raterNames();
        $calls = [];
        foreach ($this->questions as $q) {
            foreach ($q['calls'] as $r => $call) {
                $calls[$r][$q['pattern']] ??= [0, 0];
                $calls[$r][$q['pattern']][$call ? 0 : 1]++;
            }
        }
        $enough = array_filter(
            $calls,
            static fn (array $of): bool => array_sum(array_map(array_sum(...), $of)) >= self::LEAST,
        );
        $drawn = $bootstrap === null || $enough === [] ? [] : $this->drawn($bootstrap, array_keys($enough));
        $out = [];
        foreach ($calls as $r => $of) {
            $n = array_sum(array_map(array_sum(...), $of));
            $few = Figure::undefined(Remark::of(Undefined::FewQuestions, least: self::LEAST, questions: $n));
            [$s, $c] = isset($enough[$r]) ? $key->reader($of) : [null, null];
            $out[$names[$r]] = new RaterResult($names[$r], $n, [
                'sensitivity' => $s === null ? $few : $this->figure($s, array_column($drawn[$r] ?? [], 0)),
                'specificity' => $c === null ? $few : $this->figure($c, array_column($drawn[$r] ?? [], 1)),
                ...$this->bounds($r),
            ]);
        }
        ksort($out, SORT_STRING);

        return new KeyErrorResult(
            count($this->questions),
            count(array_filter($this->questions, static fn (array $q): bool => $q['settled'] !== null)),
            $key->prevalence,
            $key->sensitivity,
            $key->specificity,
            array_values($out),
        );
    }

    /** @param  list<float>  $values */
    private function figure(float $estimate, array $values): Figure
    {
        if (count($values) < 2) {
            return Figure::estimated($estimate, null, null, null, 'point');
        }
        $level = $this->options->confidence->level;
        [$low, $high] = Resample::quantiles($values, [(1 - $level) / 2, (1 + $level) / 2]);
        $mean = array_sum($values) / count($values);
        $squares = 0.0;
        foreach ($values as $v) {
            $squares += ($v - $mean) * ($v - $mean);
        }

        return Figure::estimated($estimate, sqrt($squares / (count($values) - 1.0)), $low, $high, 'percentile');
    }

    /**
     * @param  list<int>  $raters
     * @return array<int, list<array{float, float}>> sensitivity and specificity of each replicate, by rater
     */
    private function drawn(ClusterBootstrap $bootstrap, array $raters): array
    {
        $wanted = array_flip($raters);
        $votes = $calls = [];
        foreach ($this->questions as $q) {
            $g = $q['cluster'];
            $votes[$g][$q['pattern']] = ($votes[$g][$q['pattern']] ?? 0) + 1;
            foreach (array_intersect_key($q['calls'], $wanted) as $r => $call) {
                $at = 2 * $q['pattern'] + ($call ? 0 : 1);
                $calls[$r][$g][$at] = ($calls[$r][$g][$at] ?? 0) + 1;
            }
        }
        $out = [];
        for ($b = 1; $b <= $bootstrap->replicates; $b++) {
            $draw = $bootstrap->draw($b);
            $times = self::summed($votes, $draw);
            if ($times === []) {
                continue;
            }
            $key = LatentKey::fit($this->patterns, $times);
            foreach ($raters as $r) {
                $pairs = [];
                foreach (self::summed($calls[$r], $draw) as $at => $n) {
                    $pairs[$at >> 1] ??= [0, 0];
                    $pairs[$at >> 1][$at & 1] = $n;
                }
                if ($pairs !== []) {
                    $out[$r][] = $key->reader($pairs);
                }
            }
        }

        return $out;
    }

    /**
     * @param  array<int, array<int, int>>  $of  counts by cluster
     * @param  list<int>  $draw
     * @return array<int, int>
     */
    private static function summed(array $of, array $draw): array
    {
        $out = [];
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            foreach ($of[$draw[$j]] ?? [] as $i => $n) {
                $out[$i] = ($out[$i] ?? 0) + $draw[$j + 1] * $n;
            }
        }
        ksort($out);

        return $out;
    }

    /** @return array<string, Figure> */
    private function bounds(int $rater): array
    {
        $tp = $p = $tn = $n = $present = $contested = 0;
        foreach ($this->questions as $q) {
            $call = $q['calls'][$rater] ?? null;
            if ($call === null) {
                continue;
            }
            if ($q['settled'] === null) {
                $contested++;
                $present += $call ? 1 : 0;
            } elseif ($q['settled']) {
                $p++;
                $tp += $call ? 1 : 0;
            } else {
                $n++;
                $tn += $call ? 0 : 1;
            }
        }
        $share = static fn (int $k, int $of, Undefined $why): Figure => $of === 0
            ? Figure::undefined($why)
            : Figure::estimated((float) $k / $of, null, null, null, 'point');

        return [
            'if_contested_present' => $share($tp + $present, $p + $contested, Undefined::NoPositive),
            'if_contested_absent' => $share($tn + $contested - $present, $n + $contested, Undefined::NoNegative),
        ];
    }
}
