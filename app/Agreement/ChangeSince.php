<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Sitting;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\RoundComparison;
use Core\Agreement\Study\StudyOptions;
use Core\Reading\Presence;
use Core\Sight\SittingKind;

/**
 * Whether the staff agree more in one round than in the one before, over the people, the faults and the cases that both
 * have: other cases would be harder or easier.
 */
final readonly class ChangeSince
{
    private const RESAMPLES = 1000;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /** The round that was published last before this one is, or was. */
    public static function roundBefore(Sitting $round): ?Sitting
    {
        return Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->whereKeyNot($round->id)
            ->when(
                $round->published_at !== null,
                static fn ($q) => $q->where('published_at', '<', $round->published_at),
            )
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->first();
    }

    /**
     * Null where they share less than two people.
     *
     * @param  FacetModel|null  $scale  of the later round
     */
    public function between(Sitting $before, RoundRatings $now, ?FacetModel $scale): ?RoundChange
    {
        $then = RoundRatings::ofRound($before, $this->codebooks);
        $people = count(array_intersect($then->said->raterNames(), $now->said->raterNames()));
        if ($people < 2) {
            return null;
        }
        $options = RoundRatings::options();
        $found = (new RoundComparison($then->said, $now->said, new StudyOptions(
            categories: $options->categories,
            cannotTell: $options->cannotTell,
            bootstrap: self::RESAMPLES,
            seed: $options->seed,
        )))->result();
        $linked = $scale !== null && ($found->anchors ?? 0) > 0;

        return new RoundChange(
            $found->readers ?? $people,
            $found->anchors ?? 0,
            $found->clusters ?? 0,
            $found->specific[Presence::Present->value] ?? null,
            $found->coefficients['gwet_ac1'] ?? null,
            $linked ? RoundsOnScale::between($then->rightOrWrong(), $now->rightOrWrong(), $scale) : null,
        );
    }
}
