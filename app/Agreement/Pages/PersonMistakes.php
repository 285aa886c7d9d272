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
use Illuminate\Support\Str;

/**
 * Calls that were sure and wrong, each with its recording, the key's grade and what the measurement says.
 *
 * @phpstan-type Mistake array{recording: \App\Models\Recording, case: string, fault: string, called: string,
 *     confidence: int, truth: string, entry: KeyEntry|null, measured: string}
 */
final readonly class PersonMistakes
{
    /** So many are shown at once; more on demand. */
    private const AT_ONCE = 10;

    /** So many are shown at all, the surest; the rest stand in the person's file. */
    private const MOST = 40;

    public function __construct(private Wording $words)
    {
    }

    /**
     * @return array{sure: list<Mistake>, sureParts: list<list<Mistake>>, surely: string, surelyNone: string,
     *     sureLeft: ?string}
     */
    public function of(Sitting $round, RaterProfile $profile, Codebook $codebook): array
    {
        $all = $profile->sureAndWrong();
        $sure = $this->rows($round, array_slice($all, 0, self::MOST), $codebook);
        $left = count($all) - count($sure);

        return [
            'sure' => $sure,
            'sureParts' => array_values(
                array_filter([array_slice($sure, 0, self::AT_ONCE), array_slice($sure, self::AT_ONCE)]),
            ),
            'surely' => trans_choice('agreement.person.sure.title', count($all), ['count' => count($all)]),
            'sureLeft' => $left > 0 ? trans_choice('agreement.person.sure.left', $left, ['count' => $left]) : null,
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
        $ids = array_map(static fn (ScoredCall $c): int => (int) Str::afterLast($c->case, 'c'), $calls);
        $cases = $round
            ->cases()
            ->where('occasion', 1)
            ->whereIn('case_id', $ids)
            ->with('recording.golfer')
            ->get()
            ->keyBy(static fn (SittingCase $c): string => $round->id.'c'.$c->case_id);
        /** @var Collection<string, KeyEntry> $entries */
        $entries =
            $round->keyVersion
                ?->entries()
                ->whereRaw(
                    '(case_id, fault) in ('.implode(', ', array_fill(0, max(1, count($calls)), '(?, ?)')).')',
                    $calls === [] ? [0, ''] : array_merge(...array_map(
                        static fn (ScoredCall $c, int $case): array => [$case, $c->item],
                        $calls,
                        $ids,
                    )),
                )
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
                'case' => $recording->called(),
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
