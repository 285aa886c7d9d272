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
use App\Panel\KeyInputs;
use App\Panel\PanelSheets;
use App\Shelf\Actions\MeasureRecording;
use App\Works\Progress;
use Core\Agreement\Profile\SecondOpinion;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Judgement;
use Core\Consensus\CaseConsensus;
use Core\Consensus\KeyEntry as CoreKeyEntry;
use Core\Consensus\PanelRules;
use Core\Format\Json\CaseConsensusJson;
use Core\Format\Json\JudgementJson;
use Core\Motion\Station;
use Core\Reading\Call as CoreCall;
use Core\Reading\CaseKind;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Severity;
use Core\Sight\SittingState;
use Core\Version;
use Illuminate\Database\Eloquent\Collection;
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
        'id', 'recording_id', 'core_version', 'codebook_version', 'format', 'inputs_checksum', 'held',
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
                    $newest->inputs_checksum !== KeyInputs::checksum($panel))
            ) {
                $this->now($panel);
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
     * Makes a new version under every lens; rulings are carried over where the panel and the measurement say what they
     * said.
     *
     * @param  string|null  $lens  whose version is wanted; the panel's own where null
     */
    public function now(Sitting $panel, ?string $lens = null): KeyVersion
    {
        return DB::transaction(function () use ($panel, $lens): KeyVersion {
            $before = $panel->keys()->first();
            $said = $this->said($panel);
            $sheets = PanelSheets::ofPanel($panel);
            $inputs = KeyInputs::checksum($panel);
            $second = self::second($said);
            $made = [];
            foreach ([$panel->lens, ...array_keys($this->codebooks->document($panel->codebook_version)->lenses())] as $of) {
                $made[$of] ??= $this->under($panel, $of, $inputs, $said, $second, $sheets);
            }
            if ($before !== null) {
                event(new KeyMadeAnew($panel, $made[$panel->lens], $before));
            }

            return $made[$lens ?? $panel->lens] ?? throw new \LogicException("no lens $lens");
        });
    }

    /** Makes the key of a panel under a lens under which it has none. */
    public function add(Sitting $panel, string $lens): KeyVersion
    {
        $said = $this->said($panel);

        return $panel->keysUnder($lens)->first() ?? $this->under(
            $panel,
            $lens,
            KeyInputs::checksum($panel),
            $said,
            self::second($said),
            PanelSheets::ofPanel($panel),
        );
    }

    /**
     * @param  array<int, array<string, array<int, CoreCall>>>  $said
     * @param  array<string, array<int, float>>  $second  how likely each fault is there, by place
     * @param  array<int, list<CoreReading>>  $sheets
     */
    private function under(
        Sitting $panel,
        string $lens,
        string $inputs,
        array $said,
        array $second,
        array $sheets,
    ): KeyVersion {
        $before = $panel->keysUnder($lens)->first();
        $key = KeyVersion::query()->create([
            'sitting_id' => $panel->id,
            'number' => 1 + ($before->number ?? 0),
            'lens' => $lens,
            'core_version' => Version::CURRENT,
            'inputs_checksum' => $inputs,
        ]);
        $rulings =
            $before
                ?->entries()
                ->whereNotNull('ruling')
                ->get()
                ->keyBy(static fn (KeyEntry $e): string => "{$e->case_id}|{$e->fault}") ?? new Collection();
        // What the panel was not asked, or what is no fault under this lens, has no place in its key.
        $document = $this->codebooks->document($panel->codebook_version);
        $faults = array_values(array_intersect(
            $this->codebooks->of($panel)->keys(),
            $this->codebooks->under($document, $lens)->keys(),
        ));
        $rules = $panel->panelRules();
        $rows = $whole = [];
        // How appropriate a drill is was asked under the panel's own lens.
        $judged = $lens === $panel->lens ? Judgings::said($panel) : [];
        foreach ($this->cases($panel, $lens) as $case) {
            $measured = $this->measured($case, $document, $lens);
            if (isset($sheets[$case->id])) {
                $whole[] = [
                    'key_version_id' => $key->id,
                    'case_id' => $case->case_id,
                    'body' => json_encode(CaseConsensusJson::write(CaseConsensus::fromReadings(
                        $sheets[$case->id],
                        $rules->majority,
                        $rules->able,
                    )->judged($judged[$case->case_id] ?? [])), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                ];
            }
            foreach ($faults as $fault) {
                $rows[] = [
                    'key_version_id' => $key->id,
                    'case_id' => $case->case_id,
                    ...self::entry(
                        $case->kind,
                        $fault,
                        array_values($said[$case->id][$fault] ?? []),
                        $measured,
                        $rulings->get("{$case->case_id}|$fault"),
                        $rules,
                    ),
                    'second' => $second[$fault][$case->id] ?? null,
                ];
            }
        }
        foreach (array_chunk($rows, 200) as $chunk) {
            KeyEntry::query()->insert($chunk);
        }
        foreach (array_chunk($whole, 100) as $chunk) {
            KeyCase::query()->insert($chunk);
        }

        return $key;
    }

    /**
     * What a consensus is made from, of every call; the database puts a case's calls into one text. What a member said
     * in a following round takes the place of it.
     *
     * @return array<int, array<string, array<int, CoreCall>>> by place, fault and member
     */
    private function said(Sitting $panel): array
    {
        $rows = KeyInputs::handedIn($panel)
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
                $out[Cell::int($row->sitting_case_id)][$fault][(int) $member] = $now !== null ? new CoreCall(
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

    /**
     * A second opinion beside the majority: of who could tell.
     *
     * @param  array<int, array<string, array<int, CoreCall>>>  $said
     * @return array<string, array<int, float>> by fault and place
     */
    private static function second(array $said): array
    {
        $calls = [];
        foreach ($said as $place => $faults) {
            foreach ($faults as $fault => $members) {
                foreach ($members as $member => $call) {
                    if ($call->presence !== Presence::CannotTell) {
                        $calls[$fault][$place][$member] = $call->presence === Presence::Present;
                    }
                }
            }
        }

        return array_map(SecondOpinion::of(...), $calls);
    }

    /** @return Collection<int, SittingCase> with what was measured of their swings under a lens */
    private function cases(Sitting $panel, string $lens): Collection
    {
        return $panel
            ->cases()
            ->where('occasion', 1)
            ->with(['rated', 'swings.recording.measured' => static fn ($q) => $q
                ->select(['id', 'recording_id', 'codebook_version'])
                ->selectRaw('jsonb_build_object(?::text, faults -> ?::text) as faults', [$lens, $lens])])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  list<CoreCall>  $calls
     * @param  non-empty-list<array<string, FaultVerdict>>  $measured
     * @return array<string, mixed>
     */
    private static function entry(
        CaseKind $kind,
        string $fault,
        array $calls,
        array $measured,
        ?KeyEntry $ruled,
        PanelRules $rules,
    ): array {
        $judgement = self::judge($kind, array_map(static fn (array $m): Judgement => $m[$fault]->judgement, $measured));
        $entry = CoreKeyEntry::fromCalls(
            $fault,
            $calls,
            $judgement,
            $rules->majority,
            $rules->able,
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
     * @return non-empty-list<array<string, FaultVerdict>> what the panel's own codebook says of each swing, cold ones
     *     of
     * a series set aside
     */
    private function measured(SittingCase $case, CodebookDocument $document, string $lens): array
    {
        $swings = array_values($case->swings->all());
        $warm =
            $case->kind === CaseKind::Series
                ? array_values(array_filter($swings, static fn (CaseSwing $s): bool => ! $s->recording->is_cold))
                : $swings;

        /** @var non-empty-list<array<string, FaultVerdict>> every case has a swing */
        return array_map(
            function (CaseSwing $s) use ($document, $lens): array {
                // Measured under another codebook, the whole of it is wanted: it is judged anew.
                if ($s->recording->measured?->codebook_version !== $document->version()) {
                    $s->recording->setRelation('measured', ($this->measure)($s->recording->refresh()));
                }

                return $this->codebooks->verdicts($document, $lens, $s->recording)
                    ?? throw new \LogicException('measured, and not in full');
            },
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
