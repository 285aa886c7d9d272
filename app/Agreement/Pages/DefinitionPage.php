<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\DefinitionCounts;
use App\Agreement\KeptFigures;
use App\Codebook\Codebooks;
use App\Codebook\Pages\FaultSection;
use App\Models\Casts\Cell;
use App\Models\CodebookExample;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Agreement\Study\Definition;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Drill;
use Core\Codebook\FaultRules;
use Core\Codebook\Rule;
use Core\Codebook\StandardLenses;
use Core\Reading\CaseKind;
use Core\Remark\Remark;
use Core\Sight\Scope;
use Core\Sight\Sight;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** One fault of the codebook: what it is, its rules, examples, its drills – and, for who edits it, whether it holds. */
final readonly class DefinitionPage
{
    public function __construct(
        private Codebooks $codebooks,
        private FaultSection $section,
        private DefinitionCounts $counts,
        private Onlookers $onlookers,
        private Wording $words,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(string $fault, User $user): array
    {
        $document = $this->codebooks->document();
        $under = $this->lensOf($document, $fault) ?? abort(404);
        $codebook = $this->codebooks->under($document, $under);
        $of = $codebook->faults[$fault];
        $edits = Gate::forUser($user)->allows('create', CodebookExample::class);

        return [
            'fault' => $this->section->of($of, $document),
            'rules' => $this->rules($document, $fault),
            'off' => array_values(array_intersect_key($document->lenses(), array_flip(array_keys(array_filter(
                $document->lenses(),
                fn (string $lens): bool => ! isset($this->codebooks->under($document, $lens)->faults[$fault]),
                ARRAY_FILTER_USE_KEY,
            ))))),
            'helps' => self::drills($document->drills(), $of->helps),
            'harms' => self::drills($document->drills(), $of->harms),
            'examples' => $this->examples($fault, $user),
            'candidates' => $edits ? $this->candidates($user) : [],
            'holds' => $edits ? $this->holds($fault, $document, $user) : null,
            'edits' => $edits,
        ];
    }

    /** The lens to describe it under: the one that holds where none is chosen, else the first under which it counts. */
    private function lensOf(CodebookDocument $document, string $fault): ?string
    {
        foreach ([StandardLenses::DEFAULT, ...array_keys($document->lenses())] as $lens) {
            if (isset($this->codebooks->under($document, $lens)->faults[$fault])) {
                return $lens;
            }
        }

        return null;
    }

    /** @return list<array{lens: string, supported: string, contradicted: string}> under each lens where it counts */
    private function rules(CodebookDocument $document, string $fault): array
    {
        $byClub = array_filter(
            array_keys(FaultRules::of($document, $fault)),
            static fn (string $place): bool => str_contains($place, 'club/'),
        );
        $out = [];
        foreach ($document->lenses() as $lens => $name) {
            $of = $this->codebooks->under($document, $lens)->faults[$fault] ?? null;
            if ($of !== null) {
                $out[] = [
                    'lens' => $name,
                    'supported' => $this->rule($of->supported),
                    'contradicted' => $this->rule($of->contradicted),
                ];
            }
        }
        foreach ($byClub as $place) {
            $pair = FaultRules::of($document, $fault)[$place];
            $way = explode('/', $place);
            $club = (string) __('draft.clubs.'.end($way));
            $out[] = [
                'lens' => $way[0] === 'lens'
                    ? (string) __('draft.places.lens-club', ['lens' => $document->lenses()[$way[1]], 'club' => $club])
                    : (string) __('draft.places.club', ['club' => $club]),
                'supported' => $pair['supported'] === null ? '–' : $this->rule(Rule::from($pair['supported'])),
                'contradicted' => $pair['contradicted'] === null ? '–' : $this->rule(Rule::from($pair['contradicted'])),
            ];
        }

        return $out;
    }

    private function rule(Rule $rule): string
    {
        return $this->words->said($rule->remark());
    }

    /**
     * @param  array<string, Drill>  $drills
     * @param  list<string>  $keys
     * @return list<array{name: string, url: string, for: string}>
     */
    private static function drills(array $drills, array $keys): array
    {
        return array_values(array_map(static fn (string $key): array => [
            'name' => ucfirst($drills[$key]->name),
            'url' => route('codebook')."#d-$key",
            'for' => $drills[$key]->for,
        ], array_filter($keys, static fn (string $key): bool => isset($drills[$key]))));
    }

    /** @return list<array{name: string, shows: bool, note: string, key: ?string, look: string, drop: string}> */
    private function examples(string $fault, User $user): array
    {
        $onlooker = $this->onlookers->of($user);
        $all = CodebookExample::query()->where('fault', $fault)->with('recording.golfer')->orderByDesc('shows')
            ->orderBy('id')->get();
        $onlooker->know(array_values($all->map(static fn (CodebookExample $e): int => $e->recording_id)->all()));
        $out = [];
        $said = $this->panelSaid($fault, $all);
        foreach ($all as $example) {
            if (Sight::offersExample($onlooker->standing($example->recording_id))) {
                $out[] = [
                    'name' => $example->recording->called(),
                    'shows' => $example->shows,
                    'note' => $example->note,
                    'key' => $onlooker->standing($example->recording_id)->looked || $user->isHeadCoach()
                        ? $said[$example->recording_id] ?? null
                        : null,
                    'look' => route('codebook.example.look', $example),
                    'drop' => route('codebook.example.drop', $example),
                ];
            }
        }

        return $out;
    }

    /**
     * What the newest key that is frozen says of each.
     *
     * @param  Collection<int, CodebookExample>  $examples
     * @return array<int, string> by recording
     */
    private function panelSaid(string $fault, Collection $examples): array
    {
        $out = [];
        foreach (DB::table('key_entries')
            ->join('key_versions', 'key_versions.id', '=', 'key_entries.key_version_id')
            ->join('cases', 'cases.id', '=', 'key_entries.case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'key_entries.case_id')
            ->whereIn('case_swings.recording_id', $examples->pluck('recording_id'))
            ->where('cases.kind', CaseKind::Single)
            ->where('key_entries.fault', $fault)
            ->whereNotNull('key_versions.frozen_at')
            ->orderBy('key_entries.id')
            ->get(['recording_id', 'label', 'present', 'absent', 'grade']) as $row) {
            $out[Cell::int($row->recording_id)] = (string) __('definition.examples.panel', [
                'label' => __('calls.'.Cell::text($row->label)),
                'present' => (string) Cell::int($row->present),
                'of' => (string) (Cell::int($row->present) + Cell::int($row->absent)),
                'grade' => Cell::text($row->grade),
            ]);
        }

        return $out;
    }

    /** @return array<string, string> recordings that may stand in teaching material, by id */
    private function candidates(User $user): array
    {
        $out = [];
        foreach ($this->onlookers->of($user)->recordings()
            ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::TeachingMaterial))
            ->with('golfer')
            ->orderBy('id')
            ->get() as $recording) {
            /** @var Recording $recording */
            $out[$recording->public_id] = $recording->called();
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function holds(string $fault, CodebookDocument $document, User $user): array
    {
        ['rounds' => $rounds, 'panels' => $panels] = $this->counts->sittings($user);
        $byRound = self::byRound($fault, $rounds, $document->lenses());
        $joined = null;
        foreach ($byRound as $row) {
            $joined ??= $row['joined'];
        }
        $definition = $this->counts->definition($fault, $rounds, $panels, $joined);
        $names = array_map(
            static fn (array $row): string => is_string($row['name'] ?? null) ? $row['name'] : '',
            $document->toArray()['faults'],
        );

        return [
            'proposals' => array_map(fn (Remark $r): string => $this->words->say(
                $r,
                self::named($r, $names),
            ), $definition->proposals()),
            'rounds' => $byRound,
            'panel' => (string) __('definition.panel', [
                'cases' => (string) $definition->panelCases,
                'contested' => (string) $definition->contested,
                'present' => (string) array_sum(array_column($definition->present, 0)),
            ]),
            'devices' => self::devices($definition),
        ];
    }

    /**
     * @param  array<string, string>  $faults
     * @return array<string, string> what only this page knows the words of
     */
    private static function named(Remark $remark, array $faults): array
    {
        $out = [];
        foreach (['other', 'device'] as $name) {
            $value = $remark->with[$name] ?? null;
            if (is_string($value)) {
                $out["{$name}_name"] = $faults[$value] ?? (string) __("definition.devices.$value");
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  array<string, string>  $lenses  names by key
     * @return list<array{name: string, url: string, lens: string, cases: int, joined: ?Figure, alpha: ?Figure}>
     */
    private static function byRound(string $fault, Collection $rounds, array $lenses): array
    {
        $out = [];
        foreach ($rounds as $round) {
            $item = KeptFigures::ofRound($round)->item($fault);
            if ($item !== null) {
                $out[] = [
                    'name' => $round->name,
                    'url' => route('agreement.fault', [$round, $fault]),
                    'lens' => $lenses[$round->lens] ?? $round->lens,
                    'cases' => $item->cases,
                    'joined' => $item->specific['present'] ?? null,
                    'alpha' => $item->coefficients['krippendorff_alpha'] ?? null,
                ];
            }
        }

        return $out;
    }

    /**
     * @return list<array{name: string, calls: int, figure: Figure}> how often it could not be told, by what was shown
     */
    private static function devices(Definition $definition): array
    {
        $out = [];
        foreach (array_keys($definition->untold) as $device) {
            $out[] = [
                'name' => (string) __("definition.devices.$device"),
                'calls' => array_sum(array_column($definition->untold[$device], 1)),
                'figure' => $definition->untoldOn((string) $device),
                'joined' => $definition->joinedOn((string) $device),
            ];
        }

        return $out;
    }
}
