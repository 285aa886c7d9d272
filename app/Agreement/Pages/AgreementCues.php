<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundCues;
use App\Codebook\Codebooks;
use App\Models\Sitting;
use Core\Agreement\Study\CueResult;
use Core\Agreement\Study\RaterResult;
use Core\Codebook\CuePhrase;
use Core\Number\Written;

/** What is known against the cues the staff would give: their length, what they provoke, what nobody was shown. */
final readonly class AgreementCues
{
    /** Links to so many of a phrase's cases. */
    private const CASES = 12;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, RaterNames $raters): array
    {
        $document = $this->codebooks->document($round->codebook_version);
        $phrases = $document->cues();
        $result = RoundCues::ofRound($round, $phrases);
        $places = [];
        foreach ($round->cases()->where('occasion', 1)->orderBy('id')->pluck('id', 'case_id') as $case => $place) {
            $places["c$case"] = route('agreement.case', [$round, $place]);
        }
        $faults = array_map(
            static fn (array $row): string => is_string($row['name'] ?? null) ? $row['name'] : '',
            $document->toArray()['faults'],
        );

        return [
            'finding' => self::finding($result),
            'people' => array_map(static fn (RaterResult $p): array => [
                'name' => $raters->name($p->rater),
                'n' => $p->n,
                'words' => Written::fixed($result->words[$p->rater], 1),
                'figures' => array_map(static fn (string $name) => $p->figures[$name], CueResult::FIGURES),
            ], $result->people),
            'phrases' => array_map(static fn (string $key, array $of): array => [
                'said' => $phrases[$key]->said[0],
                'times' => count($of['cases']),
                'readers' => count($of['raters']),
                'provokes' => implode(', ', array_map(
                    static fn (string $fault): string => $faults[$fault] ?? $fault,
                    $phrases[$key]->provokes,
                )),
                'unsupported' => $of['unsupported'],
                'why' => self::why($phrases[$key]),
                'cases' => array_slice(
                    array_values(array_intersect_key($places, array_flip($of['cases']))),
                    0,
                    self::CASES,
                ),
            ], array_keys($result->phrases), $result->phrases),
        ];
    }

    private static function finding(CueResult $r): string
    {
        if ($r->cues === 0) {
            return (string) __('agreement.cues.none');
        }
        $against = array_sum(array_map(static fn (array $of): int => count($of['cases']), $r->phrases));

        return trans_choice('agreement.cues.finding', $against, [
            'count' => (string) $against,
            'cues' => (string) $r->cues,
            'sheets' => (string) $r->sheets,
        ]);
    }

    private static function why(CuePhrase $phrase): string
    {
        return $phrase->instead === '' ? $phrase->why : (string) __('agreement.cues.why', [
            'why' => $phrase->why,
            'instead' => $phrase->instead,
        ]);
    }
}
