<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\CaseSwing;
use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Panel\Events\KeyMadeAnew;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Panel\PanelSheets;
use App\Shelf\Actions\MeasureRecording;
use App\Works\Progress;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Judgement;
use Core\Consensus\CaseConsensus;
use Core\Consensus\KeyEntry as CoreKeyEntry;
use Core\Format\Json\CaseConsensusJson;
use Core\Format\Json\JudgementJson;
use Core\Motion\Station;
use Core\Reading\Call as CoreCall;
use Core\Reading\CaseKind;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Reading\Stage;
use Core\Sight\SittingState;
use Core\Version;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Turns a panel's handed-in readings into a key: consensus per case and fault, graded by the measurement. Made from
 * what is stored; what a reader said of a repeat is for that reader's own agreement and does not count a second time.
 */
final readonly class BuildKey
{
    private const MEASURED_AT_ONCE = 25;

    /** What tells whether a measuring is of now. */
    private const STAMPS = [
        'id', 'recording_id', 'core_version', 'codebook_version', 'format', 'inputs_checksum', 'shape', 'supported',
    ];

    public function __construct(private MeasureRecording $measure, private Codebooks $codebooks)
    {
    }

    /** Makes the key of a closed panel that has none, or whose key was made from something else. */
    public function carryOut(Sitting $panel, Progress $progress): void
    {
        if ($panel->state === SittingState::Draft || $panel->state === SittingState::Open) {
            throw ActionException::because('refusals.panel.not-closed-its-key', ['panel' => $panel->name]);
        }
        $this->measureAll($panel, $progress);
        DB::transaction(function () use ($panel, $progress): void {
            $progress->claim();
            Sitting::query()->lockForUpdate()->findOrFail($panel->id);
            $newest = $panel->keys()->first();
            if (
                $newest === null ||
                ($newest->frozen_at === null &&
                    $newest->inputs_checksum !== null &&
                    $newest->inputs_checksum !== $this->inputs($panel))
            ) {
                $this->now($panel, $newest);
            }
        });
    }

    private function measureAll(Sitting $panel, Progress $progress): void
    {
        $ids = DB::table('sitting_cases')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->where('sitting_cases.sitting_id', $panel->id)
            ->distinct()
            ->orderBy('case_swings.recording_id')
            ->pluck('case_swings.recording_id')
            ->map(static fn (mixed $id): int => Cell::int($id));
        $done = 0;
        foreach ($ids->chunk(self::MEASURED_AT_ONCE) as $some) {
            $recordings = Recording::query()
                ->whereKey($some)
                ->with(['stations', 'views', 'measured' => static fn ($q) => $q->select(self::STAMPS)])
                ->get();
            foreach ($recordings as $recording) {
                ($this->measure)($recording);
                $progress->tell(0.9 * (++$done) / $ids->count());
            }
        }
    }

    /**
     * @param  KeyVersion|null  $before  the version that this one takes the place of; rulings are carried over where
     *     the
     *                                    panel and the measurement say what they said
     */
    public function now(Sitting $panel, ?KeyVersion $before = null): KeyVersion
    {
        return DB::transaction(function () use ($panel, $before): KeyVersion {
            $key = KeyVersion::query()->create([
                'sitting_id' => $panel->id,
                'number' => 1 + Cell::int($panel->keys()->max('number')),
                'lens' => $panel->lens,
                'core_version' => Version::CURRENT,
                'inputs_checksum' => $this->inputs($panel),
            ]);
            $rulings =
                $before
                    ?->entries()
                    ->whereNotNull('ruling')
                    ->get()
                    ->keyBy(static fn (KeyEntry $e): string => "{$e->case_id}|{$e->fault}") ?? new Collection();
            $codebook = $this->codebooks->of($panel);
            $rows = $whole = [];
            $said = $this->said($panel);
            $sheets = PanelSheets::ofPanel($panel);
            $judged = Judgings::said($panel);
            foreach ($this->cases($panel) as $case) {
                $measured = $this->measured($case, $panel->lens);
                if (isset($sheets[$case->id])) {
                    $whole[] = [
                        'key_version_id' => $key->id,
                        'case_id' => $case->case_id,
                        'body' => json_encode(CaseConsensusJson::write(CaseConsensus::fromReadings(
                            $sheets[$case->id],
                            config()->float('academy.majority'),
                            config()->integer('academy.able'),
                        )->judged($judged[$case->case_id] ?? [])), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                    ];
                }
                foreach ($codebook->keys() as $fault) {
                    $rows[] = [
                        'key_version_id' => $key->id,
                        'case_id' => $case->case_id,
                        ...self::entry(
                            $case->kind,
                            $fault,
                            $said[$case->id][$fault] ?? [],
                            $measured,
                            $rulings->get("{$case->case_id}|$fault"),
                        ),
                    ];
                }
            }
            foreach (array_chunk($rows, 200) as $chunk) {
                KeyEntry::query()->insert($chunk);
            }
            foreach (array_chunk($whole, 100) as $chunk) {
                KeyCase::query()->insert($chunk);
            }
            if ($before !== null) {
                event(new KeyMadeAnew($panel, $key, $before));
            }

            return $key;
        });
    }

    /** What a key made now would be made from, as a checksum: hand-ins, and what was measured of every swing. */
    public function inputs(Sitting $panel): string
    {
        $hash = hash_init('sha256');
        [$later, $judged] = [self::later($panel), Judgings::stamp($panel)];
        hash_update(
            $hash,
            json_encode(
                [$panel->lens, $panel->codebook_version, config('academy.majority'), config('academy.able'),
                    ...$later === [] ? [] : [$later], ...$judged === '' ? [] : [$judged]],
                JSON_THROW_ON_ERROR,
            ),
        );
        [$readings, $swings] = [self::readings($panel), self::swings($panel)];
        foreach ($panel->cases()->where('occasion', 1)->orderBy('id')->get(['id', 'case_id']) as $case) {
            hash_update($hash, json_encode(
                [$case->case_id, $readings[$case->id] ?? [], $swings[$case->case_id] ?? []],
                JSON_THROW_ON_ERROR,
            ));
        }

        return hash_final($hash);
    }

    /** @return list<array{int, string, int, string, ?int, ?string}> what following rounds changed */
    private static function later(Sitting $panel): array
    {
        $out = [];
        foreach (FollowingRounds::said($panel) as $case => $faults) {
            foreach ($faults as $fault => $members) {
                foreach ($members as $member => $a) {
                    $out[] = [$case, $fault, $member, $a->presence->value, $a->severity?->value, $a->onset?->value];
                }
            }
        }
        sort($out);

        return $out;
    }

    /** @return array<int, list<array{int, int}>> readings handed in and their versions, by place */
    private static function readings(Sitting $panel): array
    {
        $out = [];
        $rows = self::handedIn($panel)->orderBy('readings.id')->get([
            'readings.id',
            'readings.version',
            'readings.sitting_case_id',
        ]);
        foreach ($rows as $row) {
            $out[Cell::int($row->sitting_case_id)][] = [Cell::int($row->id), Cell::int($row->version)];
        }

        return $out;
    }

    /** @return array<int, list<array{int, ?string, ?string}>> swings and what they were measured from, by case */
    private static function swings(Sitting $panel): array
    {
        $text = static fn (mixed $v): ?string => $v === null ? null : Cell::text($v);
        $out = [];
        $rows = DB::table('case_swings')
            ->leftJoin('measurement_sets', 'measurement_sets.recording_id', '=', 'case_swings.recording_id')
            ->whereIn('case_swings.case_id', $panel->cases()->where('occasion', 1)->select('case_id'))
            ->orderBy('case_swings.position')
            ->get(['case_id', 'case_swings.recording_id', 'inputs_checksum', 'core_version']);
        foreach ($rows as $row) {
            $out[Cell::int($row->case_id)][] = [
                Cell::int($row->recording_id),
                $text($row->inputs_checksum),
                $text($row->core_version),
            ];
        }

        return $out;
    }

    private static function handedIn(Sitting $panel): Builder
    {
        return DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $panel->id)
            ->where('sitting_cases.occasion', 1)
            ->where('readings.stage', Stage::Blind->value)
            ->whereNotNull('readings.handed_in_at');
    }

    /**
     * What a consensus is made from, of every call; the database puts a case's calls into one text. What a member said
     * in a following round takes the place of it.
     *
     * @return array<int, array<string, list<CoreCall>>> by place and fault
     */
    private function said(Sitting $panel): array
    {
        $rows = self::handedIn($panel)
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->groupBy('readings.sitting_case_id')
            ->selectRaw("readings.sitting_case_id, string_agg(
                concat(fault, ' ', presence, ' ', severity, ' ', onset, ' ', readings.user_id), ','
                order by readings.id, calls.id) as said, min(sitting_cases.case_id) as case_id")
            ->get();
        $out = [];
        $later = FollowingRounds::said($panel);
        foreach ($rows as $row) {
            $changed = $later[Cell::int($row->case_id)] ?? [];
            foreach (explode(',', Cell::text($row->said)) as $call) {
                [$fault, $presence, $severity, $onset, $member] = explode(' ', $call);
                $now = $changed[$fault][(int) $member] ?? null;
                $out[Cell::int($row->sitting_case_id)][$fault][] = $now !== null ? new CoreCall(
                    $fault,
                    $now->presence,
                    $now->severity,
                    $now->onset,
                ) : new CoreCall(
                    $fault,
                    Presence::from($presence),
                    $severity === '' ? null : Severity::from((int) $severity),
                    $onset === '' ? null : Station::from($onset),
                );
            }
        }

        return $out;
    }

    /** @return Collection<int, SittingCase> with what was measured of their swings, under the panel's lens */
    private function cases(Sitting $panel): Collection
    {
        return $panel
            ->cases()
            ->where('occasion', 1)
            ->with(['rated', 'swings.recording.measured' => static fn ($q) => $q
                ->select(['id', 'recording_id'])
                ->selectRaw('jsonb_build_object(?::text, faults -> ?::text) as faults', [$panel->lens, $panel->lens])])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  list<CoreCall>  $calls
     * @param  non-empty-list<array<string, FaultVerdict>>  $measured
     * @return array<string, mixed>
     */
    private static function entry(CaseKind $kind, string $fault, array $calls, array $measured, ?KeyEntry $ruled): array
    {
        $judgement = self::judge($kind, array_map(static fn (array $m): Judgement => $m[$fault]->judgement, $measured));
        $entry = CoreKeyEntry::fromCalls(
            $fault,
            $calls,
            $judgement,
            config()->float('academy.majority'),
            config()->integer('academy.able'),
        );
        $said = $entry->consensus;
        $stands =
            $ruled !== null &&
            $ruled->label === $said->label->value &&
            $ruled->grade === $entry->grade->value &&
            $ruled->verdict === $judgement->verdict->value;

        return [
            'fault' => $fault,
            'label' => $said->label->value,
            'grade' => $entry->grade->value,
            'present' => $said->present,
            'absent' => $said->absent,
            'cannot_tell' => $said->cannotTell,
            'severity' => $said->severity,
            'onset' => $said->onset?->value,
            'verdict' => $judgement->verdict->value,
            'margin' => $judgement->margin,
            'judgement' => json_encode(
                JudgementJson::write($judgement),
                JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
            ),
            'ruling' => $stands ? $ruled->ruling : null,
            'ruling_reason' => $stands ? $ruled->ruling_reason : null,
            'ruled_by' => $stands ? $ruled->getAttribute('ruled_by') : null,
            'ruled_at' => $stands ? $ruled->ruled_at : null,
        ];
    }

    /**
     * @return non-empty-list<array<string, FaultVerdict>> what was measured of each swing, cold ones of a series set
     * aside
     */
    private function measured(SittingCase $case, string $lens): array
    {
        $swings = array_values($case->swings->all());
        $warm =
            $case->kind === CaseKind::Series
                ? array_values(array_filter($swings, static fn (CaseSwing $s): bool => ! $s->recording->is_cold))
                : $swings;

        /** @var non-empty-list<array<string, FaultVerdict>> every case has a swing */
        return array_map(
            fn (CaseSwing $s): array => ($s->recording->measured ?? ($this->measure)($s->recording))->verdicts($lens),
            $warm === [] ? $swings : $warm,
        );
    }

    /** @param  non-empty-list<Judgement>  $swings */
    private static function judge(CaseKind $kind, array $swings): Judgement
    {
        return match (true) {
            // As it stands before the change.
            $kind === CaseKind::Ladder => $swings[0],
            $kind === CaseKind::Pair && isset($swings[1]) => Judgement::ofPair($swings[0], $swings[1]),
            count($swings) > 1 => Judgement::ofSeries($swings),
            default => $swings[0],
        };
    }
}
