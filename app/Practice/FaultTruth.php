<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\MadeSwing;
use App\Models\PracticeAnswer;
use App\Models\Recording;
use App\Models\User;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Core\Codebook\FaultVerdict;
use Core\Codebook\StandardLenses;
use Core\Number\Written;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * What is told of one fault in one swing once it may be: the panel, the measurement, what was pinned, another swing.
 */
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
        $made = $answer->made;
        $verdict = $this->verdict($answer, $key);
        $lines = [
            $made === null ? '' : self::planted($made, $key, $fault->name),
            $entry === null ? '' : (string) __('practice.panel', [
                'present' => (string) $entry->present,
                'of' => (string) ($entry->present + $entry->absent),
                'grade' => $entry->grade,
            ]),
            $this->says($verdict, $fault),
            $verdict?->proxy === null ? '' : (string) __('practice.cannot', [
                'proxy' => $this->words->phrase($verdict->proxy),
            ]),
        ];

        return [
            'lines' => array_values(array_filter($lines, static fn (string $line): bool => $line !== '')),
            'reasons' => $entry === null ? [] : self::reasons($entry, $key, $label),
        ];
    }

    /** What is true: as the key of the panel has it, or as the swing was made. '' where neither settles it. */
    public function label(PracticeAnswer $answer, string $key): string
    {
        return $answer->made === null
            ? $this->entry($answer, $key)?->scoredLabel() ?? ''
            : $this->labelOf($answer->made, $key);
    }

    /** Present or absent, as a swing was made and truly is; '' where that does not settle it. */
    public function labelOf(MadeSwing $made, string $key): string
    {
        $kept = $made->settled;
        $settled = $kept['version'] === $this->codebooks->document()->version()
            ? $kept['lenses'][StandardLenses::DEFAULT] ?? []
            : $made->spec()->settles($made->truly(), $this->under($made));

        return match ($settled[$key] ?? null) {
            true => 'present',
            false => 'absent',
            null => '',
        };
    }

    /** What the measurements say of it, by the instrument that recorded it. */
    public function verdict(PracticeAnswer $answer, string $key): ?FaultVerdict
    {
        return $answer->made === null
            ? $this->codebooks->verdicts(
                $this->codebooks->document(),
                StandardLenses::DEFAULT,
                $answer->recorded(),
            )[$key] ?? null
            : $this->verdictOf($answer->made, $key);
    }

    public function verdictOf(MadeSwing $made, string $key): ?FaultVerdict
    {
        return $made->basis()->faults($this->under($made), $key)[$key] ?? null;
    }

    /** What the measurements say, in a sentence. */
    public function says(?FaultVerdict $verdict, Fault $fault): string
    {
        return $verdict === null ? '' : $this->words->say(
            $verdict->judgement->why,
            ['fault' => $fault->name, 'Fault' => ucfirst($fault->name)],
        );
    }

    /** The codebook for the club that a made swing is made with. */
    public function under(MadeSwing $made): Codebook
    {
        return $this->codebooks->current(StandardLenses::DEFAULT, $made->spec()->club());
    }

    private static function planted(MadeSwing $made, string $key, string $name): string
    {
        $severity = $made->spec['faults'][$key] ?? null;

        return $severity === null
            ? (string) __('practice.made.without', ['fault' => $name])
            : (string) __('practice.made.with', ['fault' => $name, 'severity' => Written::fixed($severity, 1)]);
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
        if ($answer->recording === null || $answer->entry === null || ! $gate->allows('view', $answer->recording)) {
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
