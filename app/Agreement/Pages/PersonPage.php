<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\DawidSkene;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Codebook\Codebook;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\Thing;
use Illuminate\Support\Collection;

/**
 * One person's calls of a published round against its key: what they see, miss and over-call, whether their confidence
 * holds, and whether they moved over all published rounds. Somebody who still has to read a recording blind elsewhere
 * is told nothing of it.
 */
final readonly class PersonPage
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $person, User $asking): array
    {
        $codebook = $this->codebooks->of($round);
        $ratings = RoundRatings::of($round, $this->codebooks);
        $calls = $this->calls($round, $ratings, $person, $asking);
        $profile = new RaterProfile($calls);
        $rounds = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->whereHas('members', static fn ($q) => $q->whereKey($person->id))
            ->with('keyVersion.sitting')
            ->orderBy('published_at')
            ->get();
        $over = [];
        foreach ($rounds as $each) {
            array_push(
                $over,
                ...$each->is($round)
                    ? $calls
                    : $this->calls($each, RoundRatings::of($each, $this->codebooks), $person, $asking),
            );
        }
        $time = new RaterProfile($over);

        return [
            'round' => $round, 'person' => $person, 'own' => $person->is($asking), 'codebook' => $codebook,
            'unscored' => (bool) $round->keyVersion?->sitting->members()->whereKey($person->id)->exists(),
            'n' => count($profile->calls),
            'figures' => $profile->figures(),
            'faults' => self::faults($profile, $codebook),
            'calibration' => $profile->calibration(),
            'swagger' => $profile->swagger(),
            'sure' => $this->cases($round, $profile->sureAndWrong()),
            'windows' => $time->windows(), 'drift' => $time->drift(), 'rounds' => $rounds,
            'latent' => self::latent($ratings, $person),
        ];
    }

    /** What the page is made from, without what waits for a reading of the one who asks. */
    public function record(Sitting $round, User $person, User $asking): RaterProfile
    {
        return new RaterProfile($this->calls($round, RoundRatings::of($round, $this->codebooks), $person, $asking));
    }

    /**
     * Scored calls of this person in the order they were handed in, fault by fault; a case's name is its round and
     * recording.
     *
     * @return list<ScoredCall>
     */
    private function calls(Sitting $round, RoundRatings $ratings, User $person, User $asking): array
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
        $onlooker = $this->onlookers->of($asking)->over($readings->pluck('case'));
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

    /**
     * @return list<array{key: string, name: string, station: string, cells: array{int, int, int, int}, hits: Figure,
     * right: Figure}> the most wrong calls first
     */
    private static function faults(RaterProfile $profile, Codebook $codebook): array
    {
        $out = [];
        foreach ($profile->byItem() as $key => [$tp, $fn, $fp, $tn]) {
            $fault = $codebook->faults[$key];
            $out[] = [
                'key' => $key,
                'name' => $fault->name,
                'station' => $fault->station->value,
                'cells' => [$tp, $fn, $fp, $tn],
                'hits' => Wilson::figure($tp, $tp + $fn, new Confidence(), Undefined::NeverThere),
                'right' => Wilson::figure($tn, $tn + $fp, new Confidence(), Undefined::AlwaysThere),
            ];
        }
        usort(
            $out,
            static fn (array $a, array $b): int => [$b['cells'][1] + $b['cells'][2], $a['key']] <=> [
                $a['cells'][1] + $a['cells'][2],
                $b['key'],
            ],
        );

        return $out;
    }

    /**
     * @param  list<ScoredCall>  $calls
     * @return list<array{call: ScoredCall, recording: Recording|null, entry: KeyEntry|null}> with the recording and
     *     what the key says of it
     */
    private function cases(Sitting $round, array $calls): array
    {
        $cases = $round
            ->cases()
            ->where('occasion', 1)
            ->with('recording.golfer')
            ->get()
            ->keyBy(static fn (SittingCase $c): string => $round->id.'c'.$c->case_id);
        $entries =
            $round->keyVersion
                ?->entries()
                ->get()
                ->keyBy(static fn (KeyEntry $e): string => "{$round->id}c{$e->case_id}|{$e->fault}") ?? collect();

        return array_map(
            static fn (ScoredCall $c): array => [
                'call' => $c,
                'recording' => $cases[$c->case]?->recording,
                'entry' => $entries["$c->case|$c->item"] ?? null,
            ],
            $calls,
        );
    }

    /**
     * What the round's calls alone, without the key, say of this person: rates of a latent-class model over all faults.
     *
     * @return array{hit: float, alarm: float, prevalence: float, converged: bool, starts: int, of: int,
     *     separated: bool}|null
     */
    private static function latent(RoundRatings $ratings, User $person): ?array
    {
        $set = $ratings->said();
        if ($set->isEmpty()) {
            return null;
        }
        $table = ItemTable::of(
            $set,
            $set->items(),
            [Presence::Absent->value, Presence::Present->value],
            Presence::CannotTell->value,
        );
        $at = array_search('u'.$person->id, $table->raters, true);
        $fit = $at === false || count($table->raters) < 3 ? null : DawidSkene::fit($table, 5);

        return $fit === null
            ? null
            : [
                'hit' => $fit->confusion[(int) $at][1][1],
                'alarm' => $fit->confusion[(int) $at][0][1],
                'prevalence' => $fit->prevalence[1],
                'converged' => $fit->converged,
                'starts' => $fit->starts,
                'of' => $fit->of,
                'separated' => $fit->separated,
            ];
    }
}
