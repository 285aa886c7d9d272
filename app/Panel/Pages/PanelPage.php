<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Http\Paged;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\CaseAdvice;
use App\Panel\UnsettledEntries;
use App\Sight\Onlookers;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Core\Consensus\Grade;
use Core\Number\Written;
use Core\Reading\Stop;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;

/**
 * A panel's consensus: every case and fault with the spread of calls and the grade.
 *
 * @phpstan-import-type Judged from CaseAdvice
 */
final readonly class PanelPage
{
    private const CASES_A_PAGE = 15;

    private const DECISIONS_A_PAGE = 15;

    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private UnsettledEntries $unsettled,
        private Wording $words,
        private CaseAdvice $advice,
        private JudgingSummary $judging,
        private PanelLenses $lenses,
        private RulingEffects $effects,
    ) {
    }

    /**
     * @param  int|null  $entry  one that is to be seen
     * @param  string|null  $lens  under which it is looked at; the study's own where null
     * @return array<string, mixed>
     */
    public function of(Sitting $round, User $user, ?int $entry = null, ?string $lens = null): array
    {
        $lens ??= $round->lens;
        $keys = $this->lenses->newest($round);
        $key = $keys[$lens] ?? null;
        abort_if($key === null && $lens !== $round->lens, 404);
        $withheld = $this->onlookers->of($user)->withheld($round) !== null;
        // A count over all of them would tell what is held back.
        $grades = match (true) {
            $withheld => null,
            $key === null => [],
            default => self::counts($key),
        };
        $mayRule = $user->can('rule', $round);
        $codebook = $this->codebooks->under($this->codebooks->document($round->codebook_version), $lens);
        $following = FollowingSummary::ofPanel($round);
        $cases = $this->cases($round, $key, $user, $codebook, $mayRule);
        $decisions = $this->decisions($key, $user, $codebook, $mayRule, $entry, $following);
        $sides = $this->lenses->sides($round, $keys, [...$cases->items(), ...$decisions->items()]);

        return [
            'round' => $round,
            'title' => $this->title($grades, $key !== null),
            'held' => $grades === null,
            'about' => $this->about($round, $key),
            'erased' => $round->erasedAt()?->timezone(Academy::zone())->format('j F Y'),
            'setRight' => $grades === null ? null : self::setRight($round, $key),
            'tiles' => $grades === null || $grades === [] ? [] : array_map(static fn (Grade $g): array => [
                'n' => $grades[$g->value] ?? 0,
                'grade' => $g->value,
                'says' => Term::grade($g),
            ], Grade::cases()),
            'unsettled' => $decisions,
            'sides' => $sides,
            'sided' => self::sided($cases->items(), $sides, $codebook),
            'lenses' => $this->lenses->links($round, $lens, $keys),
            'versions' => $key === null || $grades === null ? null : route('panel.versions', [$round, 'lens' => $lens]),
            'steps' => $mayRule && $grades !== null ? $this->steps($round, $following, $grades['contested'] ?? 0) : [],
            'frozen' => $mayRule && $key?->frozen_at !== null,
            'members' => $round->members()->count(),
            'faults' => array_values(array_map(
                static fn (Fault $f): array => ['name' => $f->name, 'look' => $f->lookFor],
                $codebook->faults,
            )),
            'judged' => array_filter(array_column($cases->items(), 'drills')) !== [],
            'rungs' => array_map(static fn (Stop $s): string => $s->value, Stop::cases()),
            'advised' => array_filter(array_column($cases->items(), 'advice')) !== [],
            'cases' => $cases,
        ];
    }

    /** @return array<string, array{open: ?string, close: ?string, says: string, held: string}> */
    private function steps(Sitting $round, FollowingSummary $following, int $contested): array
    {
        $judging = $this->judging->says($round);

        return ['judging' => $judging, 'following' => $following->says($contested, $judging['close'] !== null)];
    }

    /**
     * What lenses differ on in the cases shown, in words.
     *
     * @param  array<int, array{name: string, cells: list<array<string, mixed>|null>}>  $cases
     * @param  array<string, list<string>>  $sides
     * @return list<array{what: string, lines: list<string>}>
     */
    private static function sided(array $cases, array $sides, Codebook $codebook): array
    {
        $out = [];
        foreach ($cases as $case) {
            foreach (array_combine($codebook->keys(), $case['cells']) as $fault => $cell) {
                $lines = $sides[is_string($cell['side'] ?? null) ? $cell['side'] : ''] ?? null;
                if ($lines !== null) {
                    $out[] = [
                        'what' => (string) __('panel.lenses.row', [
                            'fault' => ucfirst($codebook->faults[$fault]->name),
                            'swing' => $case['name'],
                        ]),
                        'lines' => $lines,
                    ];
                }
            }
        }

        return $out;
    }

    /** @return array<string, int> entries by grade */
    private static function counts(KeyVersion $key): array
    {
        $out = [];
        foreach ($key->entries()->toBase()->groupBy('grade')->selectRaw('grade, count(*) as n')->get() as $row) {
            $out[Cell::text($row->grade)] = Cell::int($row->n);
        }

        return $out;
    }

    /** How many of its swings had facts set right after the key was frozen: it keeps what it used. */
    private static function setRight(Sitting $round, ?KeyVersion $key): ?string
    {
        $n = $key?->frozen_at === null ? 0 : Recording::query()
            ->where('facts_changed_at', '>', $key->frozen_at)
            ->whereIn('id', DB::table('case_swings')
                ->join('sitting_cases', 'sitting_cases.case_id', '=', 'case_swings.case_id')
                ->where('sitting_cases.sitting_id', $round->id)
                ->select('case_swings.recording_id'))
            ->count();

        return $n === 0 ? null : trans_choice('panel.set-right', $n, ['count' => $n]);
    }

    /** @param  array<string, int>|null  $grades */
    private function title(?array $grades, bool $made): string
    {
        if ($grades === null) {
            return (string) __('panel.waits');
        }

        return $made ? (string) __('panel.title', [
            'agreed' => array_sum($grades) - ($grades['contested'] ?? 0),
            'of' => array_sum($grades),
            'verified' => $grades['verified'] ?? 0,
        ]) : (string) __('panel.being-made');
    }

    private function about(Sitting $round, ?KeyVersion $key): string
    {
        $parts = [
            $round->name,
            __('panel.members', ['n' => $round->members()->count()]),
            __('panel.label', [
                'share' => Written::fixed(100.0 * $round->panelRules()->majority, 0),
                'able' => $round->panelRules()->able,
            ]),
        ];
        if ($key !== null) {
            $frozen = $key->frozen_at?->timezone(Academy::zone())->format('j M Y');
            $parts[] = __('panel.key', ['version' => $key->number])
                .($frozen === null ? '' : __('panel.frozen', ['date' => $frozen]));
        }

        return implode(' · ', array_map(strval(...), $parts));
    }

    /**
     * Where a person must decide, and what was decided: open conflicts first.
     *
     * @return LengthAwarePaginator<int, array<string, mixed>>
     */
    private function decisions(
        ?KeyVersion $key,
        User $user,
        Codebook $codebook,
        bool $mayRule,
        ?int $entry,
        FollowingSummary $following,
    ): LengthAwarePaginator {
        $ids = $key === null ? [] : array_column(
            $this->unsettled->ofKeys(new Collection([$key->loadMissing('sitting')]), $user),
            'id',
        );
        $place = $entry === null ? false : array_search($entry, $ids, true);
        $pages = Paged::of($ids, self::DECISIONS_A_PAGE, 'decide', $place === false ? null : $place);
        $entries = KeyEntry::query()
            ->whereKey($pages->items())
            ->with(['recording.golfer', 'recording.films'])
            ->get()
            ->keyBy('id')
            ->all();
        $effects = $this->effects->of($key, array_values(array_filter(
            $entries,
            static fn (KeyEntry $e): bool => $mayRule && $e->ruling === null && $e->grade === 'conflict',
        )));

        return $pages->through(fn (int $id): array => $this->decision(
            $entries[$id],
            $codebook,
            $mayRule,
            $following->moved($entries[$id]->case_id, $entries[$id]->fault),
            $effects[$id] ?? [],
        ));
    }

    /**
     * @param  list<string>  $effects
     * @return array<string, mixed>
     */
    private function decision(
        KeyEntry $e,
        Codebook $codebook,
        bool $mayRule,
        string $moved,
        array $effects,
    ): array {
        return [
            'effects' => $effects,
            'id' => $e->id,
            'case' => $e->case_id,
            'side' => "$e->case_id|$e->fault",
            'grade' => $e->grade,
            'fault' => ucfirst($codebook->faults[$e->fault]->name),
            'swing' => self::swing($e),
            'url' => $mayRule ? route('bench', $e->recording) : null,
            'curves' => $mayRule ? route('bench.why', [$e->recording, $e->fault, 'lens' => $codebook->lens->key], false) : null,
            'moment' => $mayRule ? ConflictMoment::of($e, $codebook->faults[$e->fault]) : [],
            'present' => $e->present,
            'absent' => $e->absent,
            'unsure' => $e->cannot_tell,
            'says' => self::parts($this->why($e, $codebook), $moved, self::second($e)),
            'ruled' => $e->ruling === null ? null : (string) __('panel.ruled', [
                'ruling' => __("panel.rulings.$e->ruling"),
                'date' => $e->ruled_at?->timezone(Academy::zone())->format('j M Y') ?? '',
                'reason' => (string) $e->ruling_reason,
            ]),
            'rule' => $e->ruling === null && $mayRule && $e->grade === 'conflict' ? route('panel.rule', $e) : null,
        ];
    }

    /**
     * @return LengthAwarePaginator<int, array{case: int, name: string, url: ?string, cells: list<array<string,
     *     mixed>|null>, advice: array<string, list<array{words: string, of: string, settled: bool}>>, drills: Judged}>
     */
    private function cases(
        Sitting $round,
        ?KeyVersion $key,
        User $user,
        Codebook $codebook,
        bool $mayRule,
    ): LengthAwarePaginator {
        $seen = $this->onlookers->of($user)->seenCases([$round], Thing::Key)[$round->id] ?? [];
        $pages = Paged::of($key === null ? [] : array_keys($seen), self::CASES_A_PAGE);
        /** @var array<int, KeyCase> $whole */
        $whole = $key?->cases()->whereIn('case_id', $pages->items())->get()->keyBy('case_id')->all() ?? [];
        /** @var array<int, Collection<int, KeyEntry>> $entries */
        $entries = $key
            ?->entries()
            ->whereIn('case_id', $pages->items())
            ->with('recording.golfer')
            ->get()
            ->groupBy('case_id')
            ->all() ?? [];

        return $pages->through(fn (int $case): array => [
            ...$this->case($entries[$case], $codebook, $mayRule),
            'advice' => isset($whole[$case]) ? $this->advice->of($whole[$case]->toCore(), $codebook) : [],
            'drills' => isset($whole[$case]) ? $this->advice->drills($whole[$case]->toCore(), $codebook) : [],
        ]);
    }

    /**
     * @param  Collection<int, KeyEntry>  $of
     * @return array{case: int, name: string, url: ?string, cells: list<array<string, mixed>|null>}
     */
    private function case(Collection $of, Codebook $codebook, bool $mayRule): array
    {
        $first = $of->firstOrFail();
        $by = $of->keyBy('fault')->all();

        return [
            'case' => $first->case_id,
            'name' => self::swing($first),
            'url' => $mayRule ? route('bench', $first->recording) : null,
            'cells' => array_map(
                fn (string $fault): ?array => isset($by[$fault]) ? $this->cell($by[$fault], $codebook) : null,
                $codebook->keys(),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function cell(KeyEntry $e, Codebook $codebook): array
    {
        return [
            'grade' => str_replace(' ', '-', $e->grade),
            'side' => "$e->case_id|$e->fault",
            'label' => $e->label === 'present' && $e->grade !== 'conflict',
            'hint' => implode(' · ', self::parts("$e->grade: ".$this->why($e, $codebook), self::second($e))),
            'present' => $e->present,
            'of' => $e->present + $e->absent,
        ];
    }

    private function why(KeyEntry $e, Codebook $codebook): string
    {
        return $this->words->said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name]);
    }

    /** @return list<string> */
    private static function parts(string ...$parts): array
    {
        return array_values(array_filter($parts, static fn (string $part): bool => $part !== ''));
    }

    /** How likely it is there if members differ in how often they err. */
    private static function second(KeyEntry $e): string
    {
        return $e->second === null ? '' : (string) __('panel.second', [
            'p' => Written::fixed(100.0 * $e->second, 0),
        ]);
    }

    private static function swing(KeyEntry $e): string
    {
        return "{$e->recording->golfer->pseudonym}, {$e->recording->club}";
    }
}
