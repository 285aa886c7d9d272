<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Words\Wording;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;
use Core\Codebook\Codebook;
use Illuminate\Support\Collection;

/**
 * Calls that were sure and wrong, each with its recording, the key's grade and what the measurement says.
 *
 * @phpstan-type Mistake array{recording: \App\Models\Recording, case: string, fault: string, called: string,
 *     confidence: int, truth: string, entry: KeyEntry|null, measured: string}
 */
final readonly class PersonMistakes
{
    /** So many are shown at once; the rest on demand. */
    private const AT_ONCE = 10;

    public function __construct(private Wording $words)
    {
    }

    /** @return array{sure: list<Mistake>, sureParts: list<list<Mistake>>, surely: string, surelyNone: string} */
    public function of(Sitting $round, RaterProfile $profile, Codebook $codebook): array
    {
        $sure = $this->rows($round, $profile->sureAndWrong(), $codebook);

        return [
            'sure' => $sure,
            'sureParts' => array_values(
                array_filter([array_slice($sure, 0, self::AT_ONCE), array_slice($sure, self::AT_ONCE)]),
            ),
            'surely' => trans_choice('agreement.person.sure.title', count($sure), ['count' => count($sure)]),
            'surelyNone' => (string) __('agreement.person.sure.none', [
                'percent' => (int) round(100.0 * RaterProfile::SURE),
            ]),
        ];
    }

    /**
     * @param  list<ScoredCall>  $calls
     * @return list<Mistake>
     */
    private function rows(Sitting $round, array $calls, Codebook $codebook): array
    {
        $cases = $round
            ->cases()
            ->where('occasion', 1)
            ->with('recording.golfer')
            ->get()
            ->keyBy(static fn (SittingCase $c): string => $round->id.'c'.$c->case_id);
        /** @var Collection<string, KeyEntry> $entries */
        $entries =
            $round->keyVersion
                ?->entries()
                ->get()
                ->keyBy(static fn (KeyEntry $e): string => "{$round->id}c{$e->case_id}|{$e->fault}") ?? collect();
        $out = [];
        foreach ($calls as $call) {
            $recording = $cases[$call->case]?->recording;
            if ($recording === null) {
                continue;
            }
            $entry = $entries["$call->case|$call->item"] ?? null;
            $fault = $codebook->faults[$call->item]->name;
            $out[] = [
                'recording' => $recording,
                'case' => "{$recording->golfer->pseudonym}, $recording->club",
                'fault' => $fault,
                'called' => $call->called ? 'present' : 'absent',
                'confidence' => (int) round(100.0 * (float) $call->confidence),
                'truth' => $call->truth ? 'present' : 'absent',
                'entry' => $entry,
                'measured' => $entry === null ? '' : $this->words->said($entry->measured()->why, ['fault' => $fault]),
            ];
        }

        return $out;
    }
}
