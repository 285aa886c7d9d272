<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\DawidSkene;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\Study\PersonResult;

/** What a round tells of each of its people: made one by one, since all their calls at once would be the round's. */
final readonly class PeopleResults
{
    private const STARTS = 5;

    /**
     * @param  array<string, LatentRates>  $latent  by rater
     * @param  list<PairResult>  $pairs
     */
    private function __construct(private RoundRatings $ratings, private array $latent, private array $pairs)
    {
    }

    /** @param  list<PairResult>  $pairs  of all faults pooled */
    public static function ofRound(RoundRatings $ratings, array $pairs): self
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

        return new self($ratings, $latent, $pairs);
    }

    /** Everybody's right and wrong calls on one scale; null where all are alike. */
    public function scale(): ?FacetModel
    {
        $calls = [];
        foreach ($this->ratings->said->raterNames() as $rater) {
            foreach ($this->ratings->callsOf((int) substr($rater, 1)) as $case => $of) {
                foreach ($of as $call) {
                    $calls[] = [$call->isRight(), [$rater, "c$case", $call->item]];
                }
            }
        }

        // Faults are the same in every round: they link nothing.
        return FacetModel::fit($calls, ['reader', 'case', 'fault'], links: ['reader', 'case']);
    }

    /** @return \Generator<int, PersonResult> by user; whoever said something */
    public function each(): \Generator
    {
        foreach ($this->ratings->said->raterNames() as $rater) {
            $user = (int) substr($rater, 1);
            yield $user => new PersonResult(
                $this->ratings->callsOf($user),
                $this->latent[$rater] ?? null,
                array_values(array_filter(
                    $this->pairs,
                    static fn (PairResult $p): bool => $p->a === $rater || $p->b === $rater,
                )),
            );
        }
    }
}
