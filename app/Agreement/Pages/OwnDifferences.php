<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;

/** Where a person's own calls differ from the key, on recordings that await no blind reading by them. */
final readonly class OwnDifferences
{
    public function __construct(private Onlookers $onlookers, private Codebooks $codebooks, private Wording $words)
    {
    }

    /**
     * @return list<array{case: string, url: string, fault: string, call: string, confidence: ?int, truth: string,
     *     grade: string, measured: string}>
     */
    public function of(Sitting $round, User $user): array
    {
        $entries = $round->keyVersion?->entries()->get() ?? new Collection();
        $entries = $entries->keyBy(static fn (KeyEntry $e): string => "$e->case_id|$e->fault")->all();
        $codebook = $this->codebooks->of($round);
        $readings = $this->readings($round, $user);
        $onlooker = $this->onlookers->of($user)->over($readings->map(static fn (Reading $r): SittingCase => $r->case));
        $out = [];
        foreach ($readings as $reading) {
            if ($onlooker->seesResult($reading->case, $round, Thing::Key)) {
                array_push($out, ...$this->inReading($reading, $entries, $codebook));
            }
        }

        return $out;
    }

    /** @return Collection<int, Reading> */
    private function readings(Sitting $round, User $user): Collection
    {
        return Reading::query()
            ->where('user_id', $user->id)
            ->where('stage', Stage::Blind)
            ->whereIn('sitting_case_id', $round->cases()->select('id'))
            ->whereNotNull('handed_in_at')
            ->with(['calls', 'case.swings', 'case.recording.golfer'])
            ->orderBy('position')
            ->get();
    }

    /**
     * @param  array<string, KeyEntry>  $entries
     * @return list<array{case: string, url: string, fault: string, call: string, confidence: ?int, truth: string,
     *     grade: string, measured: string}>
     */
    private function inReading(Reading $reading, array $entries, Codebook $codebook): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            $entry = $entries["{$reading->case->case_id}|$key"] ?? null;
            $call = $reading->calls->firstWhere('fault', $key);
            $truth = $entry?->scoredLabel();
            if ($entry === null || $call === null || $truth === null) {
                continue;
            }
            if ($call->presence->value === $truth || $call->presence === Presence::CannotTell) {
                continue;
            }
            $out[] = [
                'case' => (string) __('agreement.case', ['n' => $reading->position]),
                'url' => route('bench', $reading->case->recording),
                'fault' => $fault->name,
                'call' => $call->presence->value,
                'confidence' => $call->confidence,
                'truth' => $truth,
                'grade' => $entry->grade,
                'measured' => $this->words->said($entry->measured()->why, ['fault' => $fault->name]),
            ];
        }

        return $out;
    }
}
