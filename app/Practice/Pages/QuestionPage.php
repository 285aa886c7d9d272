<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Bench\Pages\TraceTitle;
use App\Bench\Pages\VerdictCurves;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\Recording;
use App\Models\User;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\Fault;
use Core\Codebook\StandardLenses;
use Core\Format\Json\RemarkJson;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** A question of practice; once it is answered, what is true, why, and what to look at. */
final readonly class QuestionPage
{
    /** So many of the panel's reasons are shown. */
    private const REASONS = 4;

    /** So many swings are looked at for one to stand beside. */
    private const LOOKED_AT = 6;

    public function __construct(
        private Codebooks $codebooks,
        private Wording $words,
        private VerdictCurves $curves,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(PracticeSitting $sitting, PracticeAnswer $answer, User $user): array
    {
        $recording = $answer->recording;
        $fault = $this->codebooks->current()->faults[$answer->fault]
            ?? $this->codebooks->document()->under(StandardLenses::DEFAULT)->fault($answer->fault);

        return [
            'sitting' => $sitting,
            'answer' => $answer,
            'place' => (string) __('practice.place', ['n' => $answer->place, 'of' => $sitting->questions]),
            'fault' => ucfirst($fault->name),
            'lookFor' => $fault->lookFor,
            'station' => $fault->station->value,
            'where' => Term::station($fault->station),
            'about' => self::about($recording),
            'traceTitle' => TraceTitle::ofRecording($recording),
            'evidence' => route('practice.evidence', [$sitting, $answer->place], false),
            'why' => $this->why($answer, $fault),
            'truth' => $answer->presence === null ? null : $this->truth($answer, $fault, $user),
            'next' => $this->next($sitting, $answer),
        ];
    }

    private static function about(Recording $recording): string
    {
        return implode(' · ', array_filter([
            (string) __("bench.about.hand.{$recording->golfer->handedness}"),
            "$recording->club, $recording->swing",
            Term::device($recording->deviceClass()),
            (string) Term::limits($recording->golfer),
        ], static fn (string $part): bool => $part !== ''));
    }

    private function why(PracticeAnswer $answer, Fault $fault): string
    {
        $why = RemarkJson::read($answer->why);
        $other = $why->with['other'] ?? '';

        return $this->words->say($why, [
            'fault_name' => $fault->name,
            'other_name' => is_string($other) ? $this->codebooks->current()->faults[$other]->name ?? $other : '',
        ]);
    }

    /**
     * @return array{right: bool, head: string, panel: string, measured: string, conditions: list<array<string, mixed>>,
     *     reasons: list<array{says: string, at: ?float}>, confused: string, beside: ?string, cannot: string}
     */
    private function truth(PracticeAnswer $answer, Fault $fault, User $user): array
    {
        $entry = $answer->entry()->with('case')->firstOrFail();
        $label = $entry->scoredLabel() ?? $entry->label;
        $recording = $answer->recording;
        $verdict = $this->codebooks->verdicts(
            $this->codebooks->document(),
            StandardLenses::DEFAULT,
            $recording,
        )[$answer->fault] ?? null;

        return [
            'right' => $answer->right === true,
            'head' => (string) __($answer->right === true ? 'practice.right' : 'practice.wrong', [
                'label' => __("calls.$label"),
                'said' => __('calls.'.($answer->presence->value ?? 'none')),
            ]),
            'panel' => (string) __('practice.panel', [
                'present' => (string) $entry->present,
                'of' => (string) ($entry->present + $entry->absent),
                'grade' => $entry->grade,
            ]),
            'measured' => $verdict === null ? '' : $this->words->say(
                $verdict->judgement->why,
                ['fault' => $fault->name, 'Fault' => ucfirst($fault->name)],
            ),
            'conditions' => $this->curves->of($recording, $answer->fault, StandardLenses::DEFAULT),
            'reasons' => self::reasons($answer, $label),
            'confused' => implode(', ', $fault->confusedWith),
            'beside' => self::beside($answer, $label, $user),
            'cannot' => $verdict?->proxy === null ? '' : (string) __('practice.cannot', [
                'proxy' => $this->words->phrase($verdict->proxy),
            ]),
        ];
    }

    /** @return list<array{says: string, at: ?float}> what panel members who called it so wrote, and where; no names */
    private static function reasons(PracticeAnswer $answer, string $label): array
    {
        $out = [];
        $readings = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('key_versions', 'key_versions.sitting_id', '=', 'sitting_cases.sitting_id')
            ->where('key_versions.id', $answer->entry->key_version_id)
            ->where('sitting_cases.case_id', $answer->entry->case_id)
            ->where('readings.stage', 'blind')
            ->whereNotNull('readings.handed_in_at')
            ->select('readings.id');
        foreach (Call::query()
            ->where('fault', $answer->fault)
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
    private static function beside(PracticeAnswer $answer, string $label, User $user): ?string
    {
        $gate = Gate::forUser($user);
        if (! $gate->allows('view', $answer->recording)) {
            return null;
        }
        $others = Recording::query()
            ->whereIn('id', DB::table('key_entries')
                ->join('cases', 'cases.id', '=', 'key_entries.case_id')
                ->join('case_swings', 'case_swings.case_id', '=', 'key_entries.case_id')
                ->where('key_entries.key_version_id', $answer->entry->key_version_id)
                ->where('key_entries.fault', $answer->fault)
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

    private function next(PracticeSitting $sitting, PracticeAnswer $answer): ?string
    {
        return match (true) {
            $answer->presence === null => null,
            $sitting->answers()->where('place', $answer->place + 1)->exists() => route('practice.question', [
                $sitting,
                $answer->place + 1,
            ]),
            default => route('practice'),
        };
    }
}
