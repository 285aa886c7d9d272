<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Number\Distribution;

/**
 * How much more often people are right in one round than in another, once it is taken out who read, which cases and
 * which faults there were (Linacre 1989): the round is a fourth facet of the many-facet model, whose spread is so wide
 * that nothing pulls it to the middle.
 *
 * It supposes that everybody moved alike, and holds where people and cases link the rounds: without a case of both,
 * harder cases and less skill are the same.
 */
final readonly class RoundsOnScale
{
    public const FACETS = ['reader', 'case', 'fault'];

    private const WIDE = 4.0;

    /**
     * For its codec.
     *
     * @param  float  $difference  logits, second less first
     * @param  float  $first  share of right calls with everything else middling
     * @param  int  $parts  in how many parts the design falls
     * @param  int  $calls  of both
     * @param  float  $misfit  the larger infit of the two rounds
     */
    public function __construct(
        public float $difference,
        public float $se,
        public float $first,
        public float $second,
        public int $parts,
        public int $calls,
        public float $misfit,
    ) {
    }

    /**
     * @param  iterable<array{bool, list<string>}>  $before  whether right; reader, case, fault
     * @param  iterable<array{bool, list<string>}>  $now
     * @param  FacetModel  $model  whose spreads are taken
     * @return self|null null where one of them has no calls
     */
    public static function between(iterable $before, iterable $now, FacetModel $model): ?self
    {
        $calls = (static function () use ($before, $now): \Generator {
            foreach (['1' => $before, '2' => $now] as $round => $of) {
                foreach ($of as [$right, $levels]) {
                    yield [$right, [...$levels, (string) $round]];
                }
            }
        })();
        $design = new FacetDesign($calls, [...self::FACETS, 'round']);
        if ($design->size(count(self::FACETS)) < 2) {
            return null;
        }
        // Cases of one round may all be harder: only those of both may speak, so that no case is drawn to the middle.
        $sd = [$model->sd['reader'], self::WIDE, $model->sd['fault'], self::WIDE];
        $fit = new FacetFit($design);
        $both = $fit->effects($sd);
        [$difference, $se] = $fit->contrast(count(self::FACETS), '2', '1', $sd);
        // In byte order: the first, the second.
        [$first, $second] = array_values($both['facets']['round'] ?? []);
        $at = static fn (FacetEffect $e): float => 1.0 / (1.0 + exp(-($both['mean'] + $e->estimate)));

        return new self(
            $difference,
            $se,
            $at($first),
            $at($second),
            $design->parts([0, 1]),
            $design->calls(),
            max($first->infit, $second->infit),
        );
    }

    /**
     * The difference in points of the share, where the middle of both is held.
     *
     * @return array{float, float, float} with its 95 % interval
     */
    public function points(): array
    {
        $logit = static fn (float $p): float => log($p / (1.0 - $p));
        $share = static fn (float $x): float => 1.0 / (1.0 + exp(-$x));
        $middle = ($logit($this->first) + $logit($this->second)) / 2.0;
        $at = static fn (float $d): float => $share($middle + $d / 2.0) - $share($middle - $d / 2.0);

        return [
            $at($this->difference),
            $at($this->difference - 1.96 * $this->se),
            $at($this->difference + 1.96 * $this->se),
        ];
    }

    /** That there is no difference, by Wald. */
    public function p(): float
    {
        return 2.0 * Distribution::normal(-abs($this->difference) / $this->se);
    }
}
