<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Lessons\LessonSeries;
use App\Lessons\PlanFields;
use App\Lessons\Situations;
use App\Models\Academy;
use App\Models\FollowUp;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Codebook\CueCheck;
use Core\Codebook\Rung;
use Core\Format\Json\ShownJson;
use Core\Prescription\RankedDrill;
use Core\Prescription\Ranking;
use Core\Prescription\SeriesChange;

/**
 * What is prescribed in a session: every drill with what speaks for it and against it, then the chosen one in full;
 * once it is handed over, what was handed over and how it has been followed up.
 */
final readonly class PrescriptionPage
{
    /** So many are open from the start. */
    private const FIRST = 5;

    public function __construct(
        private Situations $situations,
        private LessonSeries $series,
        private ExpectedRows $expected,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Prescription $of): array
    {
        $lesson = $of->lesson;
        $codebook = $this->situations->codebook($of);
        $situation = $this->situations->of($of);
        $ranked = $of->issued_at === null ? Ranking::of($codebook, $situation) : [];
        $chosen = $this->situations->chosen($of);

        return [
            'prescription' => $of,
            'lesson' => $lesson,
            'golfer' => $lesson->golfer,
            'day' => $lesson->held_on->format('j F Y'),
            'limits' => Term::limits($lesson->golfer),
            'seen' => self::seen($of, $codebook),
            'outside' => $situation->isOutside(),
            'first' => $this->drills(array_slice($ranked, 0, self::FIRST), $codebook, $of),
            'rest' => $this->drills(array_slice($ranked, self::FIRST), $codebook, $of),
            'chosen' => $chosen === null ? null : $this->drills([$chosen], $codebook, $of)[0],
            'asksWhy' => $of->issued_at === null ? ($chosen?->against() ?? []) !== [] : $of->against !== [],
            'against' => array_map(
                static fn (string $key): string => Reasons::kept($key, $codebook),
                $of->against,
            ),
            'plan' => $of->plan ?? [],
            'texts' => PlanFields::TEXTS,
            'rungs' => Term::all('codebook.rungs', array_column(Rung::cases(), 'value')),
            'balls' => Term::all('prescriptions.balls', PlanFields::BALLS),
            'expected' => $this->expected->of($of, $chosen?->drill),
            'least' => SeriesChange::LEAST,
            'cue' => $this->cue((string) ($of->plan['cue'] ?? ''), $of),
            'still' => $this->still($of, $codebook),
            'lines' => $of->lines['before'] ?? [],
            'handedOver' => $of->issued_at?->timezone(Academy::zone())->format('j M Y, H:i'),
            'followUps' => $of->issued_at === null ? [] : $this->followUps($of),
            'sessions' => $of->issued_at === null ? [] : self::later($of),
        ];
    }

    /** What was seen, in a line. */
    private static function seen(Prescription $of, Codebook $codebook): string
    {
        $parts = [];
        foreach ($of->faults as $fault => $decision) {
            $parts[] = (string) __('prescriptions.one-seen', [
                'fault' => $codebook->faults[$fault]->name ?? $fault,
                'decision' => __("reading.decisions.$decision"),
            ]);
        }
        $causes = array_map(static fn (string $c): string => Term::finding($c, $codebook), $of->causes);

        return implode(' ', array_filter([
            $parts === [] ? (string) __('prescriptions.nothing-seen') : ucfirst(implode(', ', $parts)).'.',
            $causes === [] ? '' : (string) __('prescriptions.causes', ['causes' => implode(', ', $causes)]),
        ], static fn (string $part): bool => $part !== ''));
    }

    /**
     * @param  list<RankedDrill>  $ranked
     * @return list<array<string, mixed>>
     */
    private function drills(array $ranked, Codebook $codebook, Prescription $of): array
    {
        return array_map(static fn (RankedDrill $r): array => [
            'key' => $r->drill->key,
            'name' => ucfirst($r->drill->name),
            'for' => $r->drill->for,
            'setUp' => $r->drill->setUp,
            'steps' => $r->drill->steps,
            'caution' => $r->drill->caution,
            'reasons' => Reasons::all($r->reasons, $codebook),
            'grave' => $r->against() !== [],
            'here' => $r->drill->key === $of->drill,
        ], $ranked);
    }

    /** @return list<string> what is to be said against the cue */
    private function cue(string $cue, Prescription $of): array
    {
        if ($cue === '') {
            return [];
        }
        $swing = $this->series->full($of->lesson)[0] ?? null;
        $held = $swing?->measured?->held;
        $phrases = $this->situations->phrases($of);
        $check = CueCheck::of($cue, $phrases, $held === null ? null : ShownJson::read($held));
        $out = [];
        if ($check->words < CueCheck::WORDS[0] || $check->isTooLong()) {
            $out[] = (string) __('prescriptions.cue.words', [
                'words' => $check->words, 'least' => CueCheck::WORDS[0], 'most' => CueCheck::WORDS[1],
            ]);
        }
        foreach (['provokes' => $check->provokes, 'unsupported' => $check->unsupported] as $line => $found) {
            foreach ($found as $key => $said) {
                $out[] = (string) __("prescriptions.cue.$line", [
                    'said' => $said,
                    'why' => $phrases[$key]->why,
                    'instead' => rtrim($phrases[$key]->instead, '.'),
                ]);
            }
        }

        return $out;
    }

    /** @return array<string, mixed>|null */
    private function still(Prescription $of, Codebook $codebook): ?array
    {
        $swing = $this->series->full($of->lesson)[0] ?? null;

        return $swing === null ? null : Stills::of($swing, StillStation::of($of, $codebook));
    }

    /** @return list<array{url: string, day: string, says: string}> */
    private function followUps(Prescription $of): array
    {
        return array_values($of->followUps()->with('lesson')->get()->map(static fn (FollowUp $f): array => [
            'url' => route('follow-ups.show', $f),
            'day' => $f->lesson->held_on->format('j F Y'),
            'says' => (string) __($f->locked_at === null ? 'followup.feel-waits' : 'followup.taken'),
        ])->all());
    }

    /** @return array<string, string> sessions that it may be held against, by id */
    private static function later(Prescription $of): array
    {
        $taken = $of->followUps->pluck('lesson_id')->all();
        $out = [];
        foreach (Lesson::query()
            ->where('golfer_id', $of->lesson->golfer_id)
            ->whereKeyNot($of->lesson_id)
            ->whereNotIn('id', $taken)
            ->where('held_on', '>=', $of->lesson->held_on->toDateString())
            ->orderByDesc('held_on')
            ->limit(20)
            ->get() as $lesson) {
            $out[$lesson->public_id] = (string) __(
                $lesson->awaitsFeel() ? 'followup.session-waits' : 'followup.session',
                ['day' => $lesson->held_on->format('j M Y')],
            );
        }

        return $out;
    }
}
