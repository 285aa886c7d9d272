<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\AgreementException;

/**
 * How a room voted on one question before and after it was talked about. Where the key answers it, whether more went
 * over to its answer than left it, by the exact test of McNemar (1947): of those who changed sides so many as went the
 * commoner way, or more, were it a coin's. Without a key, how many changed their answer.
 */
final readonly class VoteChange
{
    /** With fewer voters nothing is told but the totals: who moved would be known. */
    public const VOTERS = 5;

    /**
     * @param  array<string, int>  $before  votes by answer
     * @param  array<string, int>  $after  likewise
     * @param  int  $both  how many voted twice
     * @param  int  $changed  of these, how many gave another answer
     * @param  int|null  $won  of these, how many went over to what the key says; null where it says nothing
     * @param  int|null  $lost  how many left it
     * @param  float|null  $p  two-sided, exact; null where it says nothing or nobody changed sides
     */
    private function __construct(
        public array $before,
        public array $after,
        public int $both,
        public int $changed,
        public ?int $won,
        public ?int $lost,
        public ?float $p,
    ) {
    }

    /**
     * @param  array<string, string>  $before  answers by voter
     * @param  array<string, string>  $after  likewise
     * @param  list<string>|null  $right  answers the key would give; null where it gives none
     *
     * @throws AgreementException
     */
    public static function of(array $before, array $after, ?array $right): self
    {
        $both = array_intersect_key($before, $after);
        $changed = $won = $lost = 0;
        foreach ($both as $voter => $was) {
            $changed += $after[$voter] === $was ? 0 : 1;
            if ($right !== null) {
                $knew = in_array($was, $right, true);
                $knows = in_array($after[$voter], $right, true);
                $won += ! $knew && $knows ? 1 : 0;
                $lost += $knew && ! $knows ? 1 : 0;
            }
        }

        return new self(
            array_count_values($before),
            array_count_values($after),
            count($both),
            $changed,
            $right === null ? null : $won,
            $right === null ? null : $lost,
            $right === null || $won + $lost === 0 ? null : self::p($won, $lost),
        );
    }

    /** Whether it may be told who moved how, in numbers. */
    public function isTold(): bool
    {
        return $this->both >= self::VOTERS;
    }

    /**
     * 2·P(X ≤ min(b, c)), X binomial of b + c throws of a coin, at most 1.
     *
     * @throws AgreementException
     */
    public static function p(int $b, int $c): float
    {
        if ($b < 0 || $c < 0) {
            throw AgreementException::because('below-none');
        }
        [$n, $least] = [$b + $c, min($b, $c)];
        $one = -$n * log(2.0);
        $sum = exp($one);
        for ($k = 1; $k <= $least; $k++) {
            $one += log(($n - $k + 1) / (float) $k);
            $sum += exp($one);
        }

        return min(1.0, 2.0 * $sum);
    }
}
