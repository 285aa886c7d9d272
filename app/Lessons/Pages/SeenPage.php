<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Codebook\Codebooks;
use App\Lessons\LessonSeries;
use App\Models\Lesson;
use App\Models\Recording;
use App\Models\User;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Codebook\Said;
use Core\Codebook\StandardLenses;
use Core\Reading\Decision;
use Core\Reading\Outside;

/**
 * What was seen in a session, to be said before a drill is looked for: fault by fault in the order of work, with what
 * the swings measure beside it.
 *
 * @phpstan-import-type Said from OwnReadings as Told
 *
 * @phpstan-type FaultRow array{key: string, name: string, station: string, decision: string, cause: bool,
 *     measured: string, strong: bool}
 */
final readonly class SeenPage
{
    public function __construct(private Codebooks $codebooks, private LessonSeries $series, private OwnReadings $own)
    {
    }

    /**
     * @param  ?string  $taken  a reading of one's own to begin with, by its public id
     * @return array<string, mixed>
     */
    public function of(Lesson $lesson, User $user, ?string $lens, ?string $taken): array
    {
        $draft = $lesson->prescriptions()->whereNull('issued_at')->first();
        $document = $this->codebooks->document();
        $lenses = $document->lenses();
        $lens = isset($lenses[$lens ?? '']) ? (string) $lens : ($draft->lens ?? StandardLenses::DEFAULT);
        $codebook = $this->codebooks->current($lens);
        $swings = $this->series->full($lesson);
        $measured = $this->measured($swings, $lens);
        $own = $this->own->of($lesson, $user, $lens);
        $said = $own[$taken ?? '']['said'] ?? ['faults' => $draft->faults ?? [], 'causes' => $draft->causes ?? []];
        $rows = array_map(
            static fn (string $key): array => self::row($key, $codebook, $said, $measured[$key] ?? []),
            $codebook->keys(),
        );

        return [
            'lesson' => $lesson,
            'golfer' => $lesson->golfer,
            'day' => $lesson->held_on->format('j F Y'),
            'limits' => Term::limits($lesson->golfer),
            'lens' => $lens,
            'lenses' => $lenses,
            'swings' => count($swings),
            'strong' => array_values(array_filter($rows, static fn (array $r): bool => $r['strong'])),
            'rest' => array_values(array_filter($rows, static fn (array $r): bool => ! $r['strong'])),
            'decisions' => Term::all('reading.decisions', array_column(Decision::cases(), 'value')),
            'outside' => Term::all('reading.outside', array_values(array_diff(
                array_column(Outside::cases(), 'value'),
                [Outside::Other->value],
            ))),
            'causes' => $said['causes'],
            'own' => array_map(static fn (array $reading): string => $reading['name'], $own),
            'taken' => isset($own[$taken ?? '']) ? $taken : null,
        ];
    }

    /**
     * What the swings say of each fault.
     *
     * @param  list<Recording>  $swings
     * @return array<string, array<string, int>> swings by what is said, by fault
     */
    private function measured(array $swings, string $lens): array
    {
        $out = [];
        foreach ($swings as $swing) {
            $document = $this->codebooks->document();
            foreach ($this->codebooks->verdicts($document, $lens, $swing) ?? [] as $fault => $verdict) {
                $said = Said::of($verdict->judgement, $verdict->observability)->value;
                $out[$fault][$said] = ($out[$fault][$said] ?? 0) + 1;
            }
        }

        return $out;
    }

    /**
     * @param  Told  $told
     * @param  array<string, int>  $said  by the swings
     * @return FaultRow
     */
    private static function row(string $key, Codebook $codebook, array $told, array $said): array
    {
        $fault = $codebook->fault($key);
        $of = array_sum($said);
        $decision = $told['faults'][$key] ?? '';
        $parts = [];
        foreach ([Said::Supported, Said::LeansSupported, Said::Borderline, Said::Contradicted] as $case) {
            $n = $said[$case->value] ?? 0;
            if ($n > 0) {
                $parts[] = (string) __("prescriptions.seen.said.$case->value", ['n' => $n, 'of' => $of]);
            }
        }

        return [
            'key' => $key,
            'name' => $fault->name,
            'station' => $fault->station->value,
            'decision' => $decision,
            'cause' => in_array($key, $told['causes'], true),
            'measured' => match (true) {
                $parts !== [] => implode(', ', $parts),
                $of > 0 => (string) __('prescriptions.seen.untold'),
                default => '',
            },
            'strong' => $decision !== ''
                || 2 * (($said[Said::Supported->value] ?? 0) + ($said[Said::LeansSupported->value] ?? 0)) >= max(
                    1,
                    $of,
                ),
        ];
    }
}
