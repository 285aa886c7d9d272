<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\DawidSkene;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\Study\PersonResult;

/** What a round tells of each of its people: made one by one, since all their calls at once would be the round's. */
final readonly class PeopleResults
{
    private const STARTS = 5;

    /**
     * @param  array<string, LatentRates>  $latent  by rater
     * @param  list<PairResult>  $pairs
     * @param  FacetModel|null  $scale  everybody's calls on one
     */
    private function __construct(
        private RoundRatings $ratings,
        private array $latent,
        private array $pairs,
        public ?FacetModel $scale,
    ) {
    }

    /** @param  list<PairResult>  $pairs  of all faults pooled */
    public static function ofRound(RoundRatings $ratings, array $pairs, ?FacetModel $scale): self
    {
        $options = RoundRatings::options();
        $said = $ratings->said;
        $table = ItemTable::fromRatings($said, $said->items(), $options->categories, $options->cannotTell);
        // A latent-class model over all faults wants three readers.
        $fit = count($table->raters) < 3 ? null : DawidSkene::fit($table, self::STARTS);
        $latent = [];
        if ($fit !== null) {
            foreach ($table->raters as $at => $rater) {
                $latent[$rater] = LatentRates::ofRater($fit, $at);
            }
        }

        return new self($ratings, $latent, $pairs, $scale);
    }

    /** Everybody's right and wrong calls on one scale; null where all are alike. */
    public static function scaleOf(RoundRatings $ratings): ?FacetModel
    {
        // Faults are the same in every round: they link nothing.
        return FacetModel::fit($ratings->rightOrWrong(), RoundsOnScale::FACETS, links: ['reader', 'case']);
    }

    /** @return \Generator<int, PersonResult> by user; whoever said something */
    public function each(): \Generator
    {
        $curves = $this->curves();
        foreach ($this->ratings->said->raterNames() as $rater) {
            $user = (int) substr($rater, 1);
            yield $user => new PersonResult(
                $this->ratings->callsOf($user),
                $this->latent[$rater] ?? null,
                array_values(array_filter(
                    $this->pairs,
                    static fn (PairResult $p): bool => $p->a === $rater || $p->b === $rater,
                )),
                ($curves[$rater] ?? null)?->beside(array_values(array_diff_key($curves, [$rater => true]))),
            );
        }
    }

    /** @return array<string, AnsweredCurve> by rater, of those who are scored */
    private function curves(): array
    {
        $out = [];
        foreach ($this->ratings->said->raterNames() as $rater) {
            $user = (int) substr($rater, 1);
            $out[$rater] = AnsweredCurve::of(
                array_merge(...array_values($this->ratings->callsOf($user))),
                $this->ratings->leftBy($user),
            );
        }

        return array_filter($out, static fn (?AnsweredCurve $c): bool => $c !== null);
    }
}
