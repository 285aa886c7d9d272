<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Sitting;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Study\CaseSums;
use Core\Agreement\Study\RoundChange;
use Core\Sight\SittingKind;
use Core\Version;

/** Whether the staff agree more in one round than in the one before, over the faults and the people that both have. */
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
            ->first();
    }

    /** Null where they share less than two people, or no fault. */
    public function between(Sitting $before, RatingSet $said, CountSums $sums): ?RoundChange
    {
        $own = CaseSums::ofRatings($said, $sums);
        $ac1 = $sums->statistic('gwet_ac');
        // The same people and faults as then, as a rule: what was kept of that round will do.
        $then = KeptFigures::ofRound($before);
        $kept = $then->result->core_version === Version::AGREEMENT ? $then->sums() : null;
        if ($kept !== null && $kept->isLike($own)) {
            return self::compared($ac1, $kept->raters, $kept->items, $kept->byCluster, $own->byCluster);
        }
        $then = RoundRatings::saidIn($before, $this->codebooks);
        $people = array_values(array_intersect($then->raterNames(), $said->raterNames()));
        $faults = array_values(array_intersect($then->items(), $said->items()));
        $was = RoundRatings::sums($then->only($faults, $people));
        unset($then);
        $is = RoundRatings::sums($said->only($faults, $people));

        return $was === null || $is === null
            ? null
            : self::compared($ac1, $people, $faults, $was->byCluster(), $is->byCluster());
    }

    /**
     * @param  \Closure(list<float>): float  $statistic  of added sums
     * @param  list<string>  $people
     * @param  list<string>  $faults
     * @param  array<int, list<float>>  $was  sums by golfer
     * @param  array<int, list<float>>  $is
     */
    private static function compared(
        \Closure $statistic,
        array $people,
        array $faults,
        array $was,
        array $is,
    ): ?RoundChange {
        if (count($people) < 2 || $faults === []) {
            return null;
        }
        $options = RoundRatings::options();
        $ac1 = Comparison::independent(
            $was,
            $is,
            $statistic,
            $options->confidence,
            $options->seed,
            self::RESAMPLES,
        );
        $se = $ac1->difference->se;

        return new RoundChange(
            count($people),
            count($faults),
            $ac1->first,
            $ac1->second,
            $ac1->difference,
            $ac1->p,
            $se === null ? null : Comparison::detectable($se),
        );
    }
}
