<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\CaseAdvice;
use App\Panel\ScoredBy;
use App\Sight\Onlookers;
use Core\Codebook\Codebook;
use Core\Number\Written;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;

/** Two versions of a panel's key side by side, line by line, and what the later would make of published rounds. */
final readonly class KeyVersions
{
    /** So many lines stand on a page at most; the rest is counted. */
    private const MOST = 200;

    /** What a line compares, in its order. */
    private const PARTS = ['label', 'grade', 'verdict', 'ruling', 'present', 'absent', 'cannot_tell'];

    /** What is said of a case beyond what is present, as CaseAdvice has it. */
    private const WHOLE = ['causes', 'chain', 'priority', 'misses', 'sound', 'drills'];

    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private CaseAdvice $advice,
        private ScoredBy $scored,
    ) {
    }

    /**
     * @param  int|null  $from  number of the earlier; the one before the later where null
     * @param  int|null  $to  number of the later; the newest where null
     * @return array<string, mixed>
     */
    public function of(Sitting $panel, User $user, string $lens, ?int $from, ?int $to): array
    {
        $versions = $panel->keysUnder($lens)->get();
        $later = $to === null ? $versions->first() : $versions->firstWhere('number', $to);
        abort_if($later === null, 404);
        $earlier = $from === null
            ? $versions->first(static fn (KeyVersion $k): bool => $k->number < $later->number)
            : $versions->firstWhere('number', $from);
        abort_if($from !== null && $earlier === null, 404);
        $seen = array_keys($this->onlookers->of($user)->seenCases([$panel], Thing::Key)[$panel->id] ?? []);
        $codebook = $this->codebooks->under($this->codebooks->document($panel->codebook_version), $lens);
        $lines = $earlier === null ? [] : [
            ...$this->entries($earlier, $later, $seen, $codebook),
            ...$this->whole($earlier, $later, $seen, $codebook),
        ];

        return [
            'round' => $panel,
            'lens' => $lens,
            'versions' => array_values($versions->map(static fn (KeyVersion $k): array => [
                'number' => $k->number,
                'says' => (string) __('panel.versions.one', [
                    'n' => $k->number,
                    'day' => $k->created_at?->timezone(Academy::zone())->format('j M Y') ?? '',
                ]).($k->frozen_at === null ? '' : __('panel.versions.frozen')),
            ])->all()),
            'from' => $earlier?->number,
            'to' => $later->number,
            'title' => $earlier === null
                ? (string) __('panel.versions.only')
                : trans_choice('panel.versions.title', count($lines), [
                    'count' => count($lines), 'from' => $earlier->number, 'to' => $later->number,
                ]),
            'lines' => array_slice($lines, 0, self::MOST),
            'more' => max(0, count($lines) - self::MOST),
            'rounds' => $earlier === null ? [] : $this->rounds($panel, $later, $lens),
        ];
    }

    /**
     * @param  list<int>  $seen
     * @return list<array{what: string, was: string, is: string}>
     */
    private function entries(KeyVersion $earlier, KeyVersion $later, array $seen, Codebook $codebook): array
    {
        $old = self::entriesOf($earlier, $seen);
        $new = self::entriesOf($later, $seen);
        $out = [];
        foreach ($new + $old as $at => $ignored) {
            $was = isset($old[$at]) ? self::said($old[$at]) : [];
            $is = isset($new[$at]) ? self::said($new[$at]) : [];
            if ($was === $is) {
                continue;
            }
            $entry = $new[$at] ?? $old[$at];
            $parts = array_filter(
                self::PARTS,
                static fn (string $p): bool => ($was[$p] ?? null) !== ($is[$p] ?? null),
            );
            $out[] = [
                'what' => (string) __('panel.lenses.row', [
                    'fault' => ucfirst($codebook->faults[$entry->fault]->name ?? $entry->fault),
                    'swing' => "{$entry->recording->golfer->pseudonym}, {$entry->recording->club}",
                ]),
                'was' => self::line($was, $parts),
                'is' => self::line($is, $parts),
            ];
        }

        return $out;
    }

    /**
     * @param  list<int>  $seen
     * @return array<string, KeyEntry> by case and fault
     */
    private static function entriesOf(KeyVersion $key, array $seen): array
    {
        $out = [];
        foreach ($key->entries()->whereIn('case_id', $seen)->with('recording.golfer')->orderBy('id')->get() as $entry) {
            $out["$entry->case_id|$entry->fault"] = $entry;
        }

        return $out;
    }

    /** @return array<string, string> */
    private static function said(KeyEntry $e): array
    {
        return [
            'label' => $e->label,
            'grade' => $e->grade,
            'verdict' => $e->verdict,
            'ruling' => (string) $e->ruling,
            'present' => (string) $e->present,
            'absent' => (string) $e->absent,
            'cannot_tell' => (string) $e->cannot_tell,
        ];
    }

    /**
     * @param  array<string, string>  $said
     * @param  array<int, string>  $parts  those that differ
     */
    private static function line(array $said, array $parts): string
    {
        if ($said === []) {
            return (string) __('panel.versions.nothing');
        }
        $out = [];
        foreach ($parts as $part) {
            $value = $said[$part];
            $out[] = (string) match ($part) {
                'label' => __("panel.versions.labels.$value"),
                'grade' => $value,
                'verdict' => __('panel.versions.verdict', ['verdict' => __("verdicts.$value")]),
                'ruling' => $value === ''
                    ? __('panel.versions.unruled')
                    : __('panel.versions.ruled', ['ruling' => __("panel.rulings.$value")]),
                default => __("panel.versions.votes.$part", ['n' => $value]),
            };
        }

        return implode(' · ', $out);
    }

    /**
     * What is said of a case beyond what is present, where it is said otherwise.
     *
     * @param  list<int>  $seen
     * @return list<array{what: string, was: string, is: string}>
     */
    private function whole(KeyVersion $earlier, KeyVersion $later, array $seen, Codebook $codebook): array
    {
        $of = static fn (KeyVersion $k): Collection => $k->cases()->whereIn('case_id', $seen)->get()->keyBy('case_id');
        $names = self::names($later, $seen);
        /** @var Collection<int, KeyCase> $old */
        $old = $of($earlier);
        $out = [];
        foreach ($of($later) as $case => $new) {
            /** @var KeyCase $new */
            $before = $old->get($case);
            [$said, $says] = array_map(
                fn (?KeyCase $k): ?array => $k === null ? null : $this->advice->of($k->toCore(), $codebook),
                [$before, $new],
            );
            foreach (self::WHOLE as $part) {
                [$was, $is] = [self::words($said, $part), self::words($says, $part)];
                if ($was !== $is) {
                    $out[] = [
                        'what' => ($names[$new->case_id] ?? '').': '.__("panel.advice.parts.$part"),
                        'was' => $was,
                        'is' => $is,
                    ];
                }
            }
            $judged = static fn (?KeyCase $k): string => (string) json_encode($k->body['judged'] ?? []);
            if ($judged($before) !== $judged($new)) {
                $out[] = [
                    'what' => ($names[$new->case_id] ?? '').': '.__('panel.advice.drills'),
                    'was' => self::drills($before),
                    'is' => self::drills($new),
                ];
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $seen
     * @return array<int, string> by case
     */
    private static function names(KeyVersion $key, array $seen): array
    {
        $out = [];
        $ids = $key->entries()->reorder()->whereIn('case_id', $seen)->groupBy('case_id')->selectRaw('min(id)');
        foreach (KeyEntry::query()->whereIn('id', $ids)->with('recording.golfer')->get() as $entry) {
            $out[$entry->case_id] = "{$entry->recording->golfer->pseudonym}, {$entry->recording->club}";
        }

        return $out;
    }

    private static function percent(int $right, int $of): string
    {
        return $of === 0 ? '–' : Written::fixed(100.0 * $right / (float) $of, 1);
    }

    /** @param  array<string, list<array{words: string, of: string, settled: bool}>>|null  $advice */
    private static function words(?array $advice, string $part): string
    {
        return $advice === null ? (string) __('panel.versions.nothing') : implode(', ', array_map(
            static fn (array $s): string => trim("{$s['words']} {$s['of']}"),
            $advice[$part] ?? [],
        ));
    }

    private static function drills(?KeyCase $k): string
    {
        $n = count($k?->toCore()->judged ?? []);

        return trans_choice('panel.versions.judged', $n, ['count' => $n]);
    }

    /**
     * What the version would make of rounds that were scored by another, if they were scored by it.
     *
     * @return list<string>
     */
    private function rounds(Sitting $panel, KeyVersion $later, string $lens): array
    {
        $out = [];
        $rounds = Sitting::query()
            ->where('state', 'published')
            ->whereIn(
                'key_version_id',
                $panel->keysUnder($lens)->reorder()->where('id', '<>', $later->id)->select('id'),
            )
            ->with('keyVersion')
            ->orderBy('id')
            ->get();
        foreach ($rounds as $round) {
            $used = $round->keyVersion;
            if ($used === null) {
                continue;
            }
            [$was, $is] = [$this->scored->right($round, $used), $this->scored->right($round, $later)];
            $out[] = (string) __('panel.versions.round', [
                'round' => $round->name,
                'used' => $used->number,
                'was' => self::percent(...$was),
                'wasn' => $was[1],
                'now' => $later->number,
                'is' => self::percent(...$is),
                'isn' => $is[1],
            ]);
        }

        return $out;
    }
}
