<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Codebook\Codebooks;
use App\Codebook\Flips;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Codebook\ClubGroup;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DocumentChecks;
use Core\Codebook\FaultRules;
use Core\Codebook\Rule;
use Core\CoreException;

/**
 * One fault as it would be: its rules in words, what is wrong with them, and the verdicts they would turn.
 *
 * @phpstan-import-type FlipRow from FlipRows
 */
final readonly class FaultTrial
{
    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private Wording $words,
    ) {
    }

    /**
     * @return array{says: array<string, array<string, string>>, defects: list<string>, flips: list<FlipRow>,
     *     title: string}
     *
     * @throws CoreException
     */
    public function of(CodebookDocument $document, string $fault, User $user): array
    {
        $turned = $this->turned($document, $fault, $user);
        $groups = FlipRows::byFault($turned, [], $document->lenses());

        return [
            'says' => array_map(
                fn (array $pair): array => array_map(
                    fn (array $rule): string => $this->words->said(Rule::from($rule)->remark()),
                    array_filter($pair, is_array(...)),
                ),
                FaultRules::of($document, $fault),
            ),
            'defects' => $this->defects($document, $fault),
            'flips' => $groups[0]['rows'] ?? [],
            'title' => $groups === [] ? (string) __('draft.flips.none') : $groups[0]['says'],
        ];
    }

    /** @return list<array{recording: Recording, lens: string, fault: string, was: ?\Core\Codebook\Said,
     *     is: ?\Core\Codebook\Said, was_margin: ?float, is_margin: ?float}>
     *
     * @throws CoreException
     */
    private function turned(CodebookDocument $document, string $fault, User $user): array
    {
        $flips = new Flips($this->codebooks->document(), $document);
        $out = [];
        // Of what was measured only what its rules ask: the rest would be read for nothing, of every swing.
        $asked = '{'.implode(',', self::measures([$this->codebooks->document(), $document], $fault)).'}';
        $recordings = $this->onlookers->of($user)->recordings()->with([
            'measured' => static fn ($q) => $q
                ->select(['id', 'recording_id', 'codebook_version', 'held', 'quality'])
                ->selectRaw("(select coalesce(jsonb_object_agg(k, measurements -> k), '{}'::jsonb)
                    from unnest(?::text[]) k where jsonb_exists(measurements, k)) as measurements", [$asked]),
            'stations',
            'golfer',
        ])->orderBy('id');
        foreach ($recordings->lazy(50) as $recording) {
            foreach ($flips->of($recording, $fault) ?? [] as $flip) {
                $out[] = ['recording' => $recording, ...$flip];
            }
        }

        return $out;
    }

    /**
     * @param  list<CodebookDocument>  $documents
     * @return list<string> the measures that the rules of a fault ask, wherever they stand
     *
     * @throws CoreException
     */
    private static function measures(array $documents, string $fault): array
    {
        $out = [];
        foreach ($documents as $document) {
            foreach (isset($document->toArray()['faults'][$fault]) ? FaultRules::of($document, $fault) : [] as $pair) {
                foreach (array_filter($pair, is_array(...)) as $rule) {
                    foreach (Rule::from($rule)->conditions() as $condition) {
                        $out[$condition->measure->value] = $condition->measure->value;
                    }
                }
            }
        }

        return array_values($out);
    }

    /**
     * @return list<string>
     *
     * @throws CoreException
     */
    private function defects(CodebookDocument $document, string $fault): array
    {
        $found = [];
        foreach (array_keys($document->lenses()) as $lens) {
            foreach ([null, ...ClubGroup::cases()] as $club) {
                $codebook = $document->under($lens, $club);
                foreach (isset($codebook->faults[$fault]) ? DocumentChecks::ofRules($codebook->faults[$fault], $codebook) : [] as $r) {
                    $found[] = $this->words->say($r);
                }
            }
        }

        return array_values(array_unique($found));
    }
}
