<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/**
 * How often a reader is right in the surest part of the questions: questions in the order of stated confidence, those
 * left with "cannot tell" last. Two readers are compared at the same share of questions only: who answers what is easy
 * is right more often.
 *
 * Equally sure calls have no order among themselves; a part of them is taken to be right as often as all of them.
 */
final readonly class AnsweredCurve
{
    public const SHARES = [25, 50, 75, 100];

    /**
     * For its codec.
     *
     * @param  int  $questions  that the key settles and what was shown could tell
     * @param  int  $answered  with present or absent
     * @param  float  $half  the share right, "cannot tell" half right: never to put people in order by, since below one
     *     half it pays not to answer
     * @param  array<int, float>  $right  by per cent of the questions, as far as they were answered
     * @param  array<int, float>  $others  the others' mean, of those who reach the share
     */
    public function __construct(
        public int $questions,
        public int $answered,
        public float $half,
        public array $right,
        public array $others = [],
    ) {
    }

    /**
     * @param  list<ScoredCall>  $calls  answered ones
     * @param  int  $left  questions left with "cannot tell"
     * @return self|null null where nothing was asked, or no confidence was stated
     */
    public static function of(array $calls, int $left): ?self
    {
        $bySureness = [];
        $right = 0;
        foreach ($calls as $c) {
            if ($c->confidence === null) {
                return null;
            }
            $at = (string) round($c->confidence, 6);
            [$n, $good] = $bySureness[$at] ?? [0, 0];
            $bySureness[$at] = [$n + 1, $good + ($c->isRight() ? 1 : 0)];
            $right += $c->isRight() ? 1 : 0;
        }
        if ($calls === []) {
            return null;
        }
        krsort($bySureness, SORT_NUMERIC);
        $all = count($calls) + $left;
        $shares = [];
        foreach (self::SHARES as $share) {
            $room = $share / 100.0 * $all;
            if ($room <= count($calls) + 1e-9) {
                $good = 0.0;
                $rest = $room;
                foreach ($bySureness as [$n, $own]) {
                    $taken = min($rest, (float) $n);
                    $good += $taken * $own / $n;
                    $rest -= $taken;
                }
                $shares[$share] = $good / $room;
            }
        }

        return new self($all, count($calls), ($right + $left / 2.0) / $all, $shares);
    }

    /** @param  list<self>  $others */
    public function beside(array $others): self
    {
        $means = [];
        foreach (array_keys($this->right) as $share) {
            $theirs = array_filter(array_map(static fn (self $o): ?float => $o->right[$share] ?? null, $others),
                static fn (?float $v): bool => $v !== null);
            if ($theirs !== []) {
                $means[$share] = array_sum($theirs) / count($theirs);
            }
        }

        return new self($this->questions, $this->answered, $this->half, $this->right, $means);
    }
}
