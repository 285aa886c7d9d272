<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;

/** The sums by cluster of all that was said in a round, from which it is compared with another without its calls. */
final readonly class CaseSums
{
    /**
     * @param  list<string>  $raters  bytewise
     * @param  list<string>  $items  bytewise
     * @param  list<list<float>>  $byCluster  as CountSums has them
     */
    public function __construct(public array $raters, public array $items, public array $byCluster)
    {
    }

    public static function ofRatings(RatingSet $set, CountSums $sums): self
    {
        return new self(RatingSet::ordered($set->raterNames()), $set->items(), array_values($sums->byCluster()));
    }

    /** Whether both are of the same people and items. */
    public function isLike(self $other): bool
    {
        return $this->raters === $other->raters && $this->items === $other->items;
    }
}
