<?php

declare(strict_types=1);

namespace App\Debrief;

use App\Agreement\KeptFigures;
use App\Agreement\RoundRatings;
use App\Agreement\RoundTalk;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\Contention;
use Core\Motion\StationTime;
use Core\Reading\Presence;
use Core\Sight\Thing;
use Illuminate\Support\Collection;

/**
 * A published round as something to talk about: its cases in the order of what they are worth to a debrief, and of
 * one case what everybody said, by letter first. Letters are dealt anew for each case, so that they tell nobody.
 *
 * @phpstan-type Pin array{on: string, t?: float|int, swing?: int, reason?: string, view?: string}
 * @phpstan-type SaidCall array{letter: string, presence: string, severity?: int, onset?: string, confidence?: int,
 *     pins?: list<Pin>, trend?: string}
 * @phpstan-type SaidPerson array{letter: string, name: string, marks: object, aids: array<mixed>, causes: list<string>,
 *     cue: string}
 * @phpstan-type SaidFault array{key: string, name: string, station: string, lookFor: string, weight: float,
 *     present: int, absent: int, unsure: int, calls: list<SaidCall>, truth: ?string, grade: ?string,
 *     why: \Core\Remark\Remark|null,
 *     ruling: ?string}
 * @phpstan-type Turn array{place: int, name: string, weight: float, fault: ?string}
 * @phpstan-type Said array{people: list<SaidPerson>, faults: list<SaidFault>, stations: array<string, float>}
 */
final readonly class Debrief
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * Cases by what there is to talk about, the most first. Repeats of a case, what is reserved, and swings whose
     * consent has ended, are left out.
     *
     * @return list<Turn>
     */
    public function order(Sitting $round, User $for): array
    {
        $seen = $this->onlookers->of($for)->seenCases([$round], Thing::Names)[$round->id] ?? [];
        $cases = $round
            ->cases()
            ->where('occasion', 1)
            ->where('reserved', false)
            ->whereIn('case_id', array_keys($seen))
            ->without('rated')
            ->with('recording.golfer')
            ->get()
            ->keyBy('id');
        $out = [];
        foreach ($this->talk($round) as $talk) {
            $case = $cases->get($talk->case);
            if ($case !== null) {
                $out[] = [
                    'place' => $case->id,
                    'name' => $case->recording->called(),
                    'weight' => $talk->weight,
                    'fault' => $talk->item,
                ];
            }
        }

        return $out;
    }

    /** @return list<CaseTalk> as it is kept, or counted where a release before did not keep it */
    private function talk(Sitting $round): array
    {
        return KeptFigures::ofRound($round)->talk() ??
            $this->counted(RoundRatings::ofRound($round, $this->codebooks));
    }

    /** @return list<CaseTalk> */
    private function counted(RoundRatings $ratings): array
    {
        return RoundTalk::ofCounts($ratings->counts, $ratings->inputs);
    }

    /** One case with all that is said of it. */
    public function case(Sitting $round, int $place): SittingCase
    {
        return $round
            ->cases()
            ->with(['recording.golfer', 'arm', 'swings.recording.golfer', 'readings.calls', 'readings.user'])
            ->findOrFail($place);
    }

    /**
     * Of one case: its people by letter, with name, own marks, aids, causes and cue; its faults, the most to talk about
     * first, with counts, calls by letter and what the key says; the stations' times, s.
     *
     * @return Said
     */
    public function of(Sitting $round, SittingCase $case): array
    {
        $codebook = $this->codebooks->of($round);
        $entries = $this->entries($round, [$case->case_id])[$case->case_id] ?? [];
        $readings = self::handedIn($case);
        $letters = $this->letters($readings, $case);
        $people = $readings
            ->map(
                static fn (Reading $r): array => [
                    'letter' => $letters[$r->id],
                    'name' => $r->user->name,
                    'marks' => (object) $r->marks,
                    'aids' => $r->aids,
                    'causes' => array_map(
                        static fn (string $k): string => Term::finding($k, $codebook, $r->other_cause),
                        $r->first_causes,
                    ),
                    'cue' => $r->cue,
                ],
            )
            ->sortBy('letter')
            ->values()
            ->all();
        $order = array_flip($codebook->keys());
        $calls = self::calls($readings, $letters);
        $faults = self::questions($calls, $entries)
            ->map(static function (Contention $c, string $key) use ($codebook, $calls, $entries): array {
                $entry = $entries[$key] ?? null;

                return [
                    'key' => $key,
                    'name' => $codebook->faults[$key]->name,
                    'station' => $codebook->faults[$key]->station->value,
                    'lookFor' => $codebook->faults[$key]->lookFor,
                    'weight' => round($c->weight(), 4),
                    'present' => $c->present,
                    'absent' => $c->absent,
                    'unsure' => $c->unsure,
                    'calls' => $calls[$key],
                    'truth' => $entry?->scoredLabel(),
                    'grade' => $entry?->grade,
                    'why' => $entry?->measured()->why,
                    'ruling' => $entry?->ruling_reason,
                ];
            })
            ->values()
            ->sort(
                static fn (array $a, array $b): int => [$b['weight'], $order[$a['key']]] <=> [
                    $a['weight'],
                    $order[$b['key']],
                ],
            )
            ->values()
            ->all();

        $case->recording->loadMissing('stations');

        return [
            'people' => array_values($people),
            'faults' => array_values($faults),
            'stations' => array_map(
                static fn (StationTime $t): float => round($t->t, 4),
                $case->recording->stationTimes()->all(),
            ),
        ];
    }

    /** @return Collection<int, Reading> */
    private static function handedIn(SittingCase $case): Collection
    {
        return $case->readings->filter(static fn (Reading $r): bool => $r->handed_in_at !== null)->values();
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @param  array<int, string>  $letters  by reading
     * @return array<string, list<SaidCall>> by fault, in the order of the letters
     */
    private static function calls(Collection $readings, array $letters): array
    {
        $out = [];
        foreach ($readings->sortBy(static fn (Reading $r): string => $letters[$r->id]) as $reading) {
            foreach ($reading->calls as $call) {
                $out[$call->fault][] = self::call($call, $letters[$reading->id]);
            }
        }

        return $out;
    }

    /**
     * @param  array<string, list<SaidCall>>  $calls
     * @param  array<string, KeyEntry>  $entries
     * @return Collection<string, Contention> by fault, of those that were called
     */
    private static function questions(array $calls, array $entries): Collection
    {
        return collect($calls)->map(static function (array $said, string $fault) use ($entries): Contention {
            $n = array_count_values(array_column($said, 'presence'));
            $label = ($entries[$fault] ?? null)?->scoredLabel();

            return new Contention(
                $n[Presence::Present->value] ?? 0,
                $n[Presence::Absent->value] ?? 0,
                $n[Presence::CannotTell->value] ?? 0,
                $label === null ? null : $label === Presence::Present->value,
            );
        });
    }

    /**
     * @param  list<int>  $cases
     * @return array<int, array<string, KeyEntry>> by case and fault
     */
    private function entries(Sitting $round, array $cases): array
    {
        $out = [];
        foreach ($round->keyVersion?->entries()->whereIn('case_id', $cases)->get() ?? [] as $entry) {
            $out[$entry->case_id][$entry->fault] = $entry;
        }

        return $out;
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array<int, string> letter by reading
     */
    private function letters(Collection $readings, SittingCase $case): array
    {
        $out = [];
        foreach (
            $readings
                ->sortBy(
                    static fn (Reading $r): string => hash('sha256', "{$case->sitting_id}|{$case->id}|{$r->public_id}"),
                )
                ->values() as $i => $reading
        ) {
            $out[$reading->id] = self::letter($i);
        }

        return $out;
    }

    /** A … Z, then AA … */
    private static function letter(int $i): string
    {
        return ($i >= 26 ? chr(64 + intdiv($i, 26)) : '').chr(65 + $i % 26);
    }

    /** @return SaidCall */
    private static function call(Call $call, string $letter): array
    {
        return array_filter(
            [
                'letter' => $letter,
                'presence' => $call->presence->value,
                'severity' => $call->severity?->value,
                'onset' => $call->onset?->value,
                'confidence' => $call->confidence,
                'pins' => $call->pins,
                'trend' => $call->trend?->value,
            ],
            static fn (mixed $v): bool => $v !== null,
        );
    }
}
