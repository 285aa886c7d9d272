<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Sitting;
use App\Words\Wording;
use Core\Codebook\Verdict;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** The lenses under which a panel has a key, and where they judge one swing's fault differently. */
final readonly class PanelLenses
{
    /** Judgements that say there is a fault or there is none; the rest take no side. */
    private const SIDES = [Verdict::Supported->value, Verdict::Contradicted->value];

    public function __construct(private Codebooks $codebooks, private Wording $words)
    {
    }

    /** @return array<string, KeyVersion> the newest key under each lens that has one */
    public function newest(Sitting $panel): array
    {
        $out = [];
        foreach (KeyVersion::query()->where('sitting_id', $panel->id)->orderByDesc('number')->get() as $key) {
            $out[$key->lens] ??= $key->setRelation('sitting', $panel);
        }

        return $out;
    }

    /**
     * @param  array<string, KeyVersion>  $keys  by lens
     * @return list<array{name: string, url: string, here: bool}> the one it was asked under first
     */
    public function links(Sitting $panel, string $here, array $keys): array
    {
        $out = [];
        foreach ($this->codebooks->document($panel->codebook_version)->lenses() as $lens => $name) {
            $own = $lens === $panel->lens;
            $link = [
                'name' => (string) __($own ? 'panel.lenses.own' : 'panel.lenses.one', ['lens' => $name]),
                'url' => route('panel', $own ? $panel : [$panel, 'lens' => $lens]),
                'here' => $lens === $here,
            ];
            if ($own) {
                array_unshift($out, $link);
            } elseif (isset($keys[$lens])) {
                $out[] = $link;
            }
        }

        return $out;
    }

    /**
     * A line for each side, by the newest keys of a panel.
     *
     * @param  array<string, KeyVersion>  $keys  by lens
     * @param  list<array<string, mixed>>  $rows  of cases that may be told of, each with its id as case
     * @return array<string, list<string>> lines by case and fault as case|fault, of those only on which lenses differ
     */
    public function sides(Sitting $panel, array $keys, array $rows): array
    {
        $cases = array_map(static fn (mixed $id): int => Cell::int($id), array_column($rows, 'case'));
        $newest = array_values(array_map(static fn (KeyVersion $k): int => $k->id, $keys));
        $differing = DB::table('key_entries')
            ->whereIn('key_version_id', $newest)
            ->whereIn('case_id', $cases)
            ->whereIn('verdict', self::SIDES)
            ->groupBy('case_id', 'fault')
            ->havingRaw('count(distinct verdict) > 1')
            ->selectRaw('case_id, fault');
        $entries = KeyEntry::query()
            ->join('key_versions', 'key_versions.id', '=', 'key_entries.key_version_id')
            ->whereIn('key_version_id', $newest)
            ->whereIn('verdict', self::SIDES)
            ->joinSub($differing, 'differing', static fn (JoinClause $on): JoinClause => $on
                ->on('differing.case_id', 'key_entries.case_id')
                ->on('differing.fault', 'key_entries.fault'))
            ->orderBy('key_versions.id')
            ->get(['key_entries.*', 'key_versions.lens']);
        $document = $this->codebooks->document($panel->codebook_version);
        $faults = $this->codebooks->of($panel)->faults;
        $out = [];
        foreach ($entries as $entry) {
            $lens = Cell::text($entry->getAttribute('lens'));
            $out["$entry->case_id|$entry->fault"][] = (string) __('panel.lenses.side', [
                'lens' => $document->lenses()[$lens] ?? $lens,
                'says' => $this->words->said($entry->measured()->why, ['fault' => $faults[$entry->fault]->name]),
            ]);
        }

        return $out;
    }
}
