<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\Profile\ScoredCall;

/** What a round tells of one person alone. */
final readonly class PersonResult
{
    /**
     * @param  array<int, list<ScoredCall>>  $calls  scored ones by case, in the order of reading
     * @param  list<PairResult>  $pairs  with each of the others
     * @param  AnsweredCurve|null  $curve  null where no confidence was stated, and in results of before
     */
    public function __construct(
        public array $calls,
        public ?LatentRates $latent,
        public array $pairs,
        public ?AnsweredCurve $curve = null,
    ) {
    }
}
