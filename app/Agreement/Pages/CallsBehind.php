<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;

/**
 * The calls behind a round's figures: everybody's on one fault, case by case; of first readings, as they were handed
 * in.
 *
 * @phpstan-type Row array{name: string, url: ?string, key: ?string, grade: ?string, why: string,
 *     cells: list<?CallCell>}
 */
final readonly class CallsBehind
{
    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private Wording $words,
    ) {
    }

    /** @return array<string, mixed> */
    public function ofFault(Sitting $round, string $fault, User $user): array
    {
        $codebook = $this->codebooks->of($round);
        $of = $codebook->faults[$fault] ?? abort(404);
        $cases = $this->cases($round, $user);
        $readings = self::readings($cases->modelKeys(), $fault);
        $readers = self::readers($readings);
        $entries = self::entries($round, $cases, $fault);
        $panel = self::panel($round);
        $rows = [];
        foreach ($cases as $case) {
            $entry = $entries->get($case->case_id);
            $rows[] = $this->row(
                $case->recording->called(),
                route('agreement.case', [$round, $case]),
                $entry,
                $readers,
                fn (int $reader): ?CallCell => self::cell(
                    $readings->first(static fn (Reading $r): bool => $r->sitting_case_id === $case->id
                        && $r->user_id === $reader),
                    $case,
                    $fault,
                    $entry,
                    $codebook,
                    isset($panel[$reader]),
                ),
                $of->name,
            );
        }

        return [
            'round' => $round,
            'title' => ucfirst($of->name),
            'about' => ucfirst($of->lookFor).'.',
            'first' => (string) __('agreement.behind.case'),
            'readers' => array_values($readers),
            'rows' => $rows,
            'counts' => self::counts($rows),
        ];
    }

    /**
     * Everybody's calls on one case, fault by fault; faults that nobody called and the key does not have are only
     * named.
     *
     * @return array{readers: list<string>, ways: list<string>, rows: list<Row>, others: list<string>,
     *     counts: list<string>}
     */
    public function ofCase(Sitting $round, SittingCase $case, Codebook $codebook): array
    {
        $readings = self::readings([$case->id]);
        $readers = self::readers($readings);
        $panel = self::panel($round);
        $entries = $round->keyVersion?->entries()->where('case_id', $case->case_id)->get()
            ->keyBy(static fn (KeyEntry $e): string => $e->fault) ?? new Collection();
        $rows = $others = [];
        foreach ($codebook->faults as $key => $fault) {
            $entry = $entries->get($key);
            $row = $this->row(
                $fault->name,
                route('agreement.fault', [$round, $key]),
                $entry,
                $readers,
                fn (int $reader): ?CallCell => self::cell(
                    $readings->firstWhere('user_id', $reader),
                    $case,
                    $key,
                    $entry,
                    $codebook,
                    isset($panel[$reader]),
                ),
                $fault->name,
            );
            $called = array_filter(
                $row['cells'],
                static fn (?CallCell $c): bool => $c !== null && $c->presence !== 'absent',
            );
            if ($called === [] && ($entry === null || $entry->scoredLabel() === 'absent')) {
                $others[] = $fault->name;
            } else {
                $rows[] = $row;
            }
        }

        return [
            'readers' => array_values($readers),
            // Where all were shown the same it stands at the head of the page.
            'ways' => $case->arm_id !== null ? [] : array_map(
                static fn (int $reader): string => (string) __(
                    'agreement.arms.'.($readings->firstWhere('user_id', $reader)->arm->code ?? 'both'),
                ),
                array_keys($readers),
            ),
            'rows' => $rows,
            'others' => $others,
            'counts' => self::counts($rows),
        ];
    }

    /** @return Collection<int, SittingCase> asked for the first time, not taken out, that this person may see */
    public function cases(Sitting $round, User $user): Collection
    {
        $seen = $this->onlookers->of($user)->seenCases([$round], Thing::Names)[$round->id] ?? [];

        return $round->cases()
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->whereIn('case_id', array_keys($seen))
            ->with(['arm', 'recording.golfer', 'swings.recording.films'])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  array<int, string>  $readers
     * @param  \Closure(int): ?CallCell  $cell
     * @return Row
     */
    private function row(
        string $name,
        string $url,
        ?KeyEntry $entry,
        array $readers,
        \Closure $cell,
        string $fault,
    ): array {
        return [
            'name' => $name,
            'url' => $url,
            'key' => $entry === null ? null : $entry->ruling ?? $entry->label,
            'grade' => $entry?->grade,
            'why' => $entry === null ? '' : $this->words->said($entry->measured()->why, ['fault' => $fault]),
            'cells' => array_map($cell, array_keys($readers)),
        ];
    }

    private static function cell(
        ?Reading $reading,
        SittingCase $case,
        string $fault,
        ?KeyEntry $entry,
        Codebook $codebook,
        bool $panel,
    ): ?CallCell {
        /** @var Call|null $call */
        $call = $reading?->calls->firstWhere('fault', $fault);

        return $reading === null || $call === null ? null : CallCell::of(
            $reading,
            $call,
            $entry,
            $codebook->fault($fault)->observability($case->shown($reading->arm)) !== Observability::NotObservable,
            $panel,
        );
    }

    /**
     * @param  array<array-key, mixed>  $cases
     * @return Collection<int, Reading>
     */
    private static function readings(array $cases, ?string $fault = null): Collection
    {
        return Reading::query()
            ->whereIn('sitting_case_id', $cases)
            ->where('stage', 'blind')
            ->whereNotNull('handed_in_at')
            ->with([
                'user',
                'arm',
                'calls' => static fn ($q) => $fault === null ? $q : $q->where('fault', $fault),
            ])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array<int, string> by user, in the order of their names
     */
    private static function readers(Collection $readings): array
    {
        $out = $readings->mapWithKeys(static fn (Reading $r): array => [$r->user_id => $r->user->name])->all();
        asort($out);

        return $out;
    }

    /**
     * @param  Collection<int, SittingCase>  $cases
     * @return Collection<int, KeyEntry> by case
     */
    private static function entries(Sitting $round, Collection $cases, string $fault): Collection
    {
        return $round->keyVersion?->entries()
            ->where('fault', $fault)
            ->whereIn('case_id', $cases->pluck('case_id'))
            ->get()
            ->keyBy(static fn (KeyEntry $e): int => $e->case_id) ?? new Collection();
    }

    /** @return array<int, true> who helped to make the key */
    private static function panel(Sitting $round): array
    {
        $out = [];
        foreach ($round->keyVersion?->sitting->members()->get(['users.id']) ?? [] as $member) {
            $out[$member->id] = true;
        }

        return $out;
    }

    /**
     * @param  list<Row>  $rows
     * @return list<string> of each reader, how many of those that count were right
     */
    private static function counts(array $rows): array
    {
        $out = [];
        foreach ($rows[0]['cells'] ?? [] as $i => $_) {
            $scored = array_filter(
                array_map(static fn (array $row): ?bool => $row['cells'][$i]?->right, $rows),
                static fn (?bool $right): bool => $right !== null,
            );
            $out[] = $scored === [] ? (string) __('figures.none')
                : count(array_filter($scored)).'/'.count($scored);
        }

        return $out;
    }
}
