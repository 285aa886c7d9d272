<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Number\Distribution;
use Core\Number\Median;
use Core\Remark\Remark;

/**
 * A verdict with its margin – how far the deciding value stands beyond its threshold, in units of its own
 * 95 % uncertainty; null when nothing can be said – and why.
 */
final readonly class Judgement
{
    /**
     * @param  Remark  $why  a Ground
     * @param  Remark|null  $proxy  what stood in for the fault, where it was judged indirectly
     * @param  list<Condition>  $deciding  the conditions it came from
     */
    public function __construct(
        public Verdict $verdict,
        public ?float $margin,
        public Remark $why,
        public ?Remark $proxy = null,
        public array $deciding = [],
    ) {
    }

    /** Of what the rules are not for. */
    public static function refused(Ground $why): self
    {
        return new self(Verdict::NotMeasurable, null, Remark::of(Ground::NotJudged, why: Remark::of($why)));
    }

    /**
     * A series judged as a whole: what shows in more than half of the swings that could be measured. Swings that speak
     * against each other without a majority leave it borderline. The margin is the median of those that decided.
     *
     * @param  non-empty-list<self>  $swings  cold ones set aside by the caller
     */
    public static function ofSeries(array $swings): self
    {
        $with = static fn (Verdict $v): array => array_values(
            array_filter($swings, static fn (self $j): bool => $j->verdict === $v),
        );
        $held = count($swings) - count($with(Verdict::NotMeasurable));
        if ($held === 0) {
            return $swings[0];
        }
        foreach ([Verdict::Supported, Verdict::Contradicted] as $verdict) {
            $agreeing = $with($verdict);
            if (2 * count($agreeing) > $held) {
                return new self(
                    $verdict,
                    self::median($agreeing),
                    Remark::of(Ground::MostSwings, agreeing: count($agreeing), held: $held, swing: $agreeing[0]->why),
                    $agreeing[0]->proxy,
                );
            }
        }
        $split = Remark::of(
            Ground::SplitSwings,
            held: $held,
            speaking: count($with(Verdict::Supported)),
            against: count($with(Verdict::Contradicted)),
        );

        return new self(Verdict::Borderline, null, $split);
    }

    /** Two swings, before and after: present means in either. */
    public static function ofPair(self $before, self $after): self
    {
        [$b, $a] = [$before->verdict === Verdict::Supported, $after->verdict === Verdict::Supported];
        if ($b || $a) {
            $sure = ! $a || ($b && $before->margin >= $after->margin) ? $before : $after;

            return new self(
                Verdict::Supported,
                $sure->margin,
                Remark::of(
                    $b && $a ? Ground::BeforeAndAfter : ($b ? Ground::Before : Ground::After),
                    swing: $sure->why,
                ),
                $sure->proxy,
            );
        }
        foreach ([Verdict::NotMeasurable, Verdict::Borderline] as $open) {
            foreach ([[Ground::Before, $before], [Ground::After, $after]] as [$when, $j]) {
                if ($j->verdict === $open) {
                    return new self($open, null, Remark::of($when, swing: $j->why), $j->proxy);
                }
            }
        }

        return new self(
            Verdict::Contradicted,
            $before->margin === null || $after->margin === null ? null : min($before->margin, $after->margin),
            Remark::of(Ground::NeitherBeforeNorAfter, swing: $after->why),
            $after->proxy,
        );
    }

    /** @param  list<self>  $judgements */
    private static function median(array $judgements): ?float
    {
        return Median::of(array_filter(
            array_map(static fn (self $j): ?float => $j->margin, $judgements),
            static fn (?float $m): bool => $m !== null,
        ));
    }

    /**
     * How likely the true value lies on the other side of the threshold that decided, when errors are as the ± says and
     * normal; null where nothing is claimed. Where one of several conditions was enough it is at most this.
     */
    public function chanceWrong(): ?float
    {
        $claims = in_array($this->verdict, [Verdict::Supported, Verdict::Contradicted], true);

        return $claims && $this->margin !== null ? 1.0 - Distribution::normal(1.96 * $this->margin) : null;
    }

    /** Whether the verdict stands clear of its threshold by more than its uncertainty. */
    public function isSure(): bool
    {
        return self::clears($this->margin);
    }

    public static function clears(?float $margin): bool
    {
        return $margin !== null && $margin >= 1.0;
    }
}
