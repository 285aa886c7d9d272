<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\PracticeAnswer;
use App\Models\Recording;
use App\Models\User;
use App\Words\Wording;
use Core\Codebook\Fault;
use Core\Codebook\StandardLenses;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** What is told of one fault in one swing once it may be: the panel, the measurement, what was pinned, another swing. */
final readonly class FaultTruth
{
    /** So many of the panel's reasons are shown. */
    private const REASONS = 4;

    /** So many swings are looked at for one to stand beside. */
    private const LOOKED_AT = 6;

    public function __construct(private Codebooks $codebooks, private Wording $words)
    {
    }

    public function fault(string $key): Fault
    {
        return $this->codebooks->current()->faults[$key]
            ?? $this->codebooks->document()->under(StandardLenses::DEFAULT)->fault($key);
    }

    /** @return array{lines: list<string>, reasons: list<array{says: string, at: ?float}>} */
    public function of(PracticeAnswer $answer, string $key, string $label): array
    {
        $fault = $this->fault($key);
        $entry = $this->entry($answer, $key);
        $verdict = $this->codebooks->verdicts(
            $this->codebooks->document(),
            StandardLenses::DEFAULT,
            $answer->recording,
        )[$key] ?? null;
        $lines = [
            $entry === null ? '' : (string) __('practice.panel', [
                'present' => (string) $entry->present,
                'of' => (string) ($entry->present + $entry->absent),
                'grade' => $entry->grade,
            ]),
            $verdict === null ? '' : $this->words->say(
                $verdict->judgement->why,
                ['fault' => $fault->name, 'Fault' => ucfirst($fault->name)],
            ),
            $verdict?->proxy === null ? '' : (string) __('practice.cannot', [
                'proxy' => $this->words->phrase($verdict->proxy),
            ]),
        ];

        return [
            'lines' => array_values(array_filter($lines, static fn (string $line): bool => $line !== '')),
            'reasons' => $entry === null ? [] : self::reasons($entry, $key, $label),
        ];
    }

    /** The key's word on this fault in the same case of the same key. */
    public function entry(PracticeAnswer $answer, string $key): ?KeyEntry
    {
        $of = $answer->entry;

        return $of === null || $of->fault === $key ? $of : KeyEntry::query()
            ->where('key_version_id', $of->key_version_id)
            ->where('case_id', $of->case_id)
            ->where('fault', $key)
            ->first();
    }

    /** @return list<array{says: string, at: ?float}> what panel members who called it so wrote, and where; no names */
    private static function reasons(KeyEntry $entry, string $fault, string $label): array
    {
        $out = [];
        $readings = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('key_versions', 'key_versions.sitting_id', '=', 'sitting_cases.sitting_id')
            ->where('key_versions.id', $entry->key_version_id)
            ->where('sitting_cases.case_id', $entry->case_id)
            ->where('readings.stage', 'blind')
            ->whereNotNull('readings.handed_in_at')
            ->select('readings.id');
        foreach (Call::query()
            ->where('fault', $fault)
            ->where('presence', $label)
            ->whereIn('reading_id', $readings)
            // In an order that tells nobody.
            ->orderByRaw('md5(calls.id::text)')
            ->get() as $call) {
            foreach ($call->pins as $pin) {
                $says = $pin['reason'] ?? '';
                if ($says !== '' || isset($pin['t'])) {
                    $out[] = ['says' => $says === '' ? (string) __('practice.pin') : $says, 'at' => $pin['t'] ?? null];
                }
            }
        }

        return array_slice($out, 0, self::REASONS);
    }

    /** Another swing the person may look at in which the same key says the opposite, beside this one. */
    public function beside(PracticeAnswer $answer, string $fault, string $label, User $user): ?string
    {
        $gate = Gate::forUser($user);
        if ($answer->entry === null || ! $gate->allows('view', $answer->recording)) {
            return null;
        }
        $others = Recording::query()
            ->whereIn('id', DB::table('key_entries')
                ->join('cases', 'cases.id', '=', 'key_entries.case_id')
                ->join('case_swings', 'case_swings.case_id', '=', 'key_entries.case_id')
                ->where('key_entries.key_version_id', $answer->entry->key_version_id)
                ->where('key_entries.fault', $fault)
                ->where('cases.kind', CaseKind::Single)
                ->where('key_entries.label', $label === 'present' ? 'absent' : 'present')
                ->where('key_entries.grade', 'verified')
                ->select('case_swings.recording_id'))
            ->orderByRaw('device_class <> ?, club <> ?', [
                $answer->recording->device_class,
                $answer->recording->club,
            ])
            ->orderBy('id')
            ->limit(self::LOOKED_AT)
            ->get();
        foreach ($others as $other) {
            if ($gate->allows('view', $other)) {
                return route('bench.compare', [$answer->recording, $other]);
            }
        }

        return null;
    }
}
