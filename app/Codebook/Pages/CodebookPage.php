<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Codebook\Codebooks;
use App\Models\CodebookDraft;
use App\Models\CodebookVersion;
use App\Words\Glossary;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Drill;
use Core\Codebook\DrillPlan;
use Core\Codebook\Fault;
use Core\Codebook\RuleChange;
use Core\Codebook\Rung;
use Core\Measurement\Measure;
use Core\Number\Written;
use Illuminate\Support\Facades\Lang;

/**
 * The codebook under one lens, with everything a person may look up in it.
 */
final readonly class CodebookPage
{
    public function __construct(
        private Codebooks $codebooks,
        private Wording $words,
        private FaultSection $faults,
        private Glossary $glossary,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(string $lens): array
    {
        $document = $this->codebooks->document();
        $codebook = $document->under($lens);

        return [
            'version' => $codebook->version,
            'lenses' => self::lenses($document, $lens),
            'says' => $codebook->lens->says,
            'footwork' => self::footwork($codebook),
            'faults' => array_values(array_map(
                fn (Fault $fault): array => $this->faults->of($fault, $document),
                $codebook->faults,
            )),
            'drills' => array_map(
                static fn (Drill $d): array => [
                    ...self::drill($d, $document->lenses()),
                    'helps' => self::faultsOf($codebook, $d->key, true),
                    'worse' => self::faultsOf($codebook, $d->key, false),
                ],
                array_values($codebook->drills()),
            ),
            'lensNames' => array_values($document->lenses()),
            'bands' => self::bands($document),
            'measures' => self::measures($document),
            'changes' => $this->changes($document),
            'words' => $this->glossary->all(),
            'versions' => self::versions(),
            'draft' => CodebookDraft::query()->whereIn('state', ['open', 'dropped'])->orderByRaw("state = 'open' desc")
                ->orderByDesc('id')->first()?->state,
        ];
    }

    /** @return list<array{name: string, url: string, here: bool}> */
    private static function lenses(CodebookDocument $document, string $chosen): array
    {
        $out = [];
        foreach ($document->lenses() as $key => $name) {
            $out[] = ['name' => $name, 'url' => route('codebook', ['lens' => $key]), 'here' => $key === $chosen];
        }

        return $out;
    }

    private static function footwork(Codebook $codebook): string
    {
        $out = [];
        foreach ($codebook->lens->footwork as $what => $says) {
            $out[] = (string) __('codebook.footwork', ['what' => __("codebook.feet.$what"), 'says' => $says]);
        }

        return implode(' ', $out);
    }

    /** @return list<array{name: string, url: string}> the faults a drill helps with, or makes worse */
    private static function faultsOf(Codebook $codebook, string $drill, bool $helps): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            if (in_array($drill, $helps ? $fault->helps : $fault->harms, true)) {
                $out[] = ['name' => $fault->name, 'url' => route('codebook.fault', $key)];
            }
        }

        return $out;
    }

    /**
     * @param  array<string, string>  $lensNames  by key
     * @return array{key: string, name: string, for: string, facts: array<string, string>}
     */
    private static function drill(Drill $d, array $lensNames): array
    {
        $expected = [];
        foreach ($d->expected as $measure => $says) {
            $expected[] = Term::measure(Measure::from($measure))." $says";
        }

        return [
            'key' => $d->key,
            'name' => ucfirst($d->name),
            'for' => (string) ($d->harms
                ? __('codebook.drills.harms')
                : __('codebook.drills.for', ['what' => $d->for])),
            'facts' => FaultSection::worded('codebook.drills', [
                ($d->harms ? 'why-not' : 'not') => $d->not,
                'set-up' => $d->setUp,
                'steps' => implode(' ', $d->steps),
                'far' => $d->far,
                'expected' => implode('; ', $expected),
                'caution' => $d->caution,
                ...$d->plan === null ? [] : self::plan($d->plan, $lensNames),
            ]),
        ];
    }

    /**
     * @param  array<string, string>  $lensNames  by key
     * @return array<string, string> by the line that names each
     */
    private static function plan(DrillPlan $plan, array $lensNames): array
    {
        $lenses = [];
        foreach ($plan->lenses as $lens => [$isUsed, $says]) {
            $lenses[] = (string) __($isUsed ? 'codebook.drills.under' : 'codebook.drills.not-under', [
                'lens' => $lensNames[$lens] ?? $lens,
                'says' => $says,
            ]);
        }

        return [
            'dose' => $plan->dose,
            'check' => $plan->check,
            'pass' => $plan->pass,
            'stop' => $plan->stop,
            'ladder' => implode(' → ', array_map(
                static fn (Rung $r): string => (string) __("codebook.rungs.$r->value"),
                $plan->ladder(),
            )),
            'ball' => $plan->ball,
            'feels' => $plan->feels,
            'lenses' => implode('; ', $lenses),
            'loads' => implode(', ', array_map(
                static fn (array $of): string => trim(($of[1] === null ? '' : __("limits.sides.{$of[1]->value}").' ')
                    .__("limits.regions.{$of[0]->value}")),
                $plan->loads,
            )),
        ];
    }

    /** @return list<array{measure: string, name: string, unit: string, bands: list<string>}> a band for each lens */
    private static function bands(CodebookDocument $document): array
    {
        $all = array_map(
            static fn (string $key): array => $document->under($key)->lens->bands,
            array_keys($document->lenses()),
        );
        $out = [];
        foreach (array_keys(array_merge(...$all)) as $name) {
            [$key, $station] = array_pad(explode('@', $name), 2, null);
            $measure = Measure::from((string) $key);
            $out[] = [
                'measure' => $measure->value,
                'name' => Term::measure($measure, $station),
                'unit' => $measure->unit(),
                'bands' => array_map(
                    static fn (array $bands): string => isset($bands[$name])
                        ? (string) __('codebook.bands.from-to', [
                            'from' => Written::set($bands[$name][0]),
                            'to' => Written::set($bands[$name][1]),
                        ])
                        : (string) __('figures.none'),
                    $all,
                ),
            ];
        }

        return $out;
    }

    /** @return list<array{key: string, name: string, means: string, note: string, more: list<string>}> */
    private static function measures(CodebookDocument $document): array
    {
        $sides = [];
        foreach ($document->disagreements() as $row) {
            foreach ($row['measures'] as $key) {
                $sides[$key][] = (string) __('codebook.measures.sides', [
                    'one' => $row['one'],
                    'other' => $row['other'],
                ]);
            }
        }

        return array_values(array_map(static fn (Measure $m): array => [
            ...self::measure($m),
            'more' => [
                ...(Lang::has("measures.information.$m->value")
                    ? [(string) __('codebook.measures.information', ['why' => __("measures.information.$m->value")])]
                    : []),
                ...$sides[$m->value] ?? [],
            ],
        ], Measure::cases()));
    }

    /**
     * What is another since the version that shipped before, a line for each fault and lens.
     *
     * @return array{since: string, lines: list<array{name: string, says: string}>}|null
     */
    private function changes(CodebookDocument $document): ?array
    {
        $at = array_search($document->version(), CodebookDocument::SHIPPED, true);
        if ($at === false || $at === 0) {
            return null;
        }
        $before = Codebooks::shipped(CodebookDocument::SHIPPED[$at - 1]);
        $lines = [];
        foreach (RuleChange::between($before, $document) as $change) {
            $lines[] = [
                'name' => ucfirst($change->name),
                'says' => $change->was === null
                    ? (string) __('codebook.versions.new', ['lenses' => implode(', ', $change->lenses)])
                    : (string) __("codebook.versions.{$change->member}", [
                        'was' => $this->words->said($change->was),
                        'is' => $change->is === null ? '' : $this->words->said($change->is),
                        'lenses' => implode(', ', $change->lenses),
                    ]),
            ];
        }

        return ['since' => $before->version(), 'lines' => $lines];
    }

    /** @return array{key: string, name: string, means: string, note: string} */
    private static function measure(Measure $m): array
    {
        return [
            'key' => $m->value,
            'name' => Term::measure($m),
            'means' => ucfirst(Term::definition($m)).'.',
            'note' => $m->unit().($m->isByStation() ? __('codebook.measures.at-stations') : '')." · $m->value",
        ];
    }

    /** @return list<string> */
    private static function versions(): array
    {
        return array_values(
            CodebookVersion::query()
                ->orderByDesc('id')
                ->get(['version', 'note', 'created_at'])
                ->map(static fn (CodebookVersion $v): string => (string) __('codebook.versions.line', [
                    'version' => $v->version,
                    'date' => $v->created_at->format('j M Y'),
                    'note' => $v->note,
                ]))
                ->all(),
        );
    }
}
