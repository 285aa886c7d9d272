<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Core\Consensus\Grade;
use Core\Number\Written;
use Illuminate\Database\Eloquent\Collection;

/** A panel's consensus: every case and fault with the spread of calls and the grade. */
final readonly class PanelPage
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers, private Wording $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user): array
    {
        $key = $round->keys()->first();
        $all =
            $key === null
                ? new Collection()
                : $key
                    ->entries()
                    ->with(['recording.golfer', 'case.swings'])
                    ->orderBy('case_id')
                    ->get();
        $onlooker = $this->onlookers->of($user)->over($all);
        $entries = $all->filter(static fn (KeyEntry $e): bool => $onlooker->seesEntry($e, $round))->values();

        // A count over all of them would tell what is held back.
        /** @var array<string, int>|null $grades */
        $grades = $onlooker->withheld($round) === null ? $all->countBy('grade')->all() : null;
        $mayRule = $user->can('rule', $round);
        $codebook = $this->codebooks->of($round);

        return [
            'round' => $round,
            'title' => $this->title($grades, $key !== null),
            'held' => $grades === null,
            'about' => $this->about($round, $key),
            'erased' => $round->erasedAt()?->timezone(config()->string('academy.zone'))->format('j F Y'),
            'tiles' => $grades === null || $grades === [] ? [] : array_map(static fn (Grade $g): array => [
                'n' => $grades[$g->value] ?? 0,
                'grade' => $g->value,
                'says' => Term::grade($g),
            ], Grade::cases()),
            'unsettled' => $this->unsettled($entries, $codebook, $mayRule),
            'frozen' => $mayRule && $key?->frozen_at !== null,
            'members' => $round->members()->count(),
            'faults' => array_values(array_map(
                static fn (Fault $f): array => ['name' => $f->name, 'look' => $f->lookFor],
                $codebook->faults,
            )),
            'cases' => $this->cases($entries, $codebook, $mayRule),
        ];
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
                'share' => Written::fixed(100.0 * config()->float('academy.majority'), 0),
                'able' => config()->integer('academy.able'),
            ]),
        ];
        if ($key !== null) {
            $frozen = $key->frozen_at?->timezone(config()->string('academy.zone'))->format('j M Y');
            $parts[] = __('panel.key', ['version' => $key->number])
                .($frozen === null ? '' : __('panel.frozen', ['date' => $frozen]));
        }

        return implode(' · ', array_map(strval(...), $parts));
    }

    /**
     * Where a person must decide, and what was decided: open conflicts first.
     *
     * @param  Collection<int, KeyEntry>  $entries
     * @return list<array<string, mixed>>
     */
    private function unsettled(Collection $entries, Codebook $codebook, bool $mayRule): array
    {
        $zone = config()->string('academy.zone');

        return array_values($entries
            ->filter(static fn (KeyEntry $e): bool => $e->ruling !== null ||
                in_array($e->grade, ['conflict', 'contested'], true))
            ->sortBy(static fn (KeyEntry $e): array => [$e->ruling !== null, $e->grade === 'contested', $e->id])
            ->map(fn (KeyEntry $e): array => [
                'id' => $e->id,
                'grade' => $e->grade,
                'fault' => ucfirst($codebook->faults[$e->fault]->name),
                'swing' => self::swing($e),
                'url' => $mayRule ? route('bench', $e->recording) : null,
                'present' => $e->present,
                'absent' => $e->absent,
                'unsure' => $e->cannot_tell,
                'why' => $this->why($e, $codebook),
                'ruled' => $e->ruling === null ? null : (string) __('panel.ruled', [
                    'ruling' => __("panel.rulings.$e->ruling"),
                    'date' => $e->ruled_at?->timezone($zone)->format('j M Y') ?? '',
                    'reason' => (string) $e->ruling_reason,
                ]),
                'rule' => $e->ruling === null && $mayRule && $e->grade === 'conflict'
                    ? route('panel.rule', $e)
                    : null,
            ])
            ->all());
    }

    /**
     * @param  Collection<int, KeyEntry>  $entries
     * @return list<array{name: string, url: ?string, cells: list<array<string, mixed>|null>}>
     */
    private function cases(Collection $entries, Codebook $codebook, bool $mayRule): array
    {
        return array_values($entries->groupBy('case_id')->map(function (Collection $of) use ($codebook, $mayRule): array {
            $first = $of->firstOrFail();
            $by = $of->keyBy('fault')->all();

            return [
                'name' => self::swing($first),
                'url' => $mayRule ? route('bench', $first->recording) : null,
                'cells' => array_map(
                    fn (string $key): ?array => isset($by[$key]) ? $this->cell($by[$key], $codebook) : null,
                    $codebook->keys(),
                ),
            ];
        })->all());
    }

    /** @return array<string, mixed> */
    private function cell(KeyEntry $e, Codebook $codebook): array
    {
        return [
            'grade' => str_replace(' ', '-', $e->grade),
            'label' => $e->label === 'present' && $e->grade !== 'conflict',
            'hint' => "$e->grade: ".$this->why($e, $codebook),
            'present' => $e->present,
            'of' => $e->present + $e->absent,
        ];
    }

    private function why(KeyEntry $e, Codebook $codebook): string
    {
        return $this->words->said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name]);
    }

    private static function swing(KeyEntry $e): string
    {
        return "{$e->recording->golfer->pseudonym}, {$e->recording->club}";
    }
}
