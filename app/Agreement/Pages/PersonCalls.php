<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundRatings;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Profile\ScoredCall;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\Thing;
use Illuminate\Support\Collection;

/**
 * One person's calls of a published round beside its key, without those of a recording that the one who asks still has
 * to read blind elsewhere.
 */
final readonly class PersonCalls
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * Scored calls of this person in the order they were handed in, fault by fault; a case's name is its round and
     * recording.
     *
     * @return list<ScoredCall>
     */
    public function of(Sitting $round, RoundRatings $ratings, User $person, User $asking): array
    {
        if (in_array('u'.$person->id, $ratings->unscored, true)) {
            return [];
        }
        $truth = [];
        foreach ($ratings->key as [$case, $fault, $label]) {
            $truth[$case][$fault] = $label === Presence::Present->value;
        }
        $out = [];
        $readings = $this->readings($round, $person);
        $onlooker = $this->onlookers
            ->of($asking)
            ->over($readings->map(static fn (Reading $r): SittingCase => $r->case));
        foreach ($readings as $reading) {
            if (! $onlooker->seesResult($reading->case, $round, Thing::Key)) {
                continue;
            }
            $case = 'c'.$reading->case->case_id;
            foreach ($reading->calls->sortBy('fault') as $call) {
                if (isset($truth[$case][$call->fault]) && $call->presence !== Presence::CannotTell) {
                    $out[] = new ScoredCall(
                        $round->id.$case,
                        $call->fault,
                        $call->presence === Presence::Present,
                        $truth[$case][$call->fault],
                        $call->confidence === null ? null : $call->confidence / 100,
                    );
                }
            }
        }

        return $out;
    }

    /** @return Collection<int, Reading> first readings handed in, in that order */
    private function readings(Sitting $round, User $person): Collection
    {
        return Reading::query()
            ->where('user_id', $person->id)
            ->where('stage', Stage::Blind)
            ->whereIn('sitting_case_id', $round->cases()->where('occasion', 1)->select('id'))
            ->whereNotNull('handed_in_at')
            ->where('exposed', false)
            ->with(['calls', 'case.swings'])
            ->orderBy('handed_in_at')
            ->orderBy('id')
            ->get();
    }
}
