<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Call;
use App\Models\CaseSwing;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Panel\Events\KeyMadeAnew;
use App\Shelf\Actions\MeasureRecording;
use App\Works\Progress;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Judgement;
use Core\Consensus\KeyEntry as CoreKeyEntry;
use Core\Format\Json\JudgementJson;
use Core\Reading\Call as CoreCall;
use Core\Reading\CaseKind;
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
    public function __construct(private MeasureRecording $measure, private Codebooks $codebooks)
    {
    }

    /** Makes the key of a closed panel that has none, or whose key was made from something else. */
    public function carryOut(Sitting $panel, Progress $progress): void
    {
        if ($panel->state === SittingState::Draft || $panel->state === SittingState::Open) {
            throw ActionException::because('refusals.panel.not-closed-its-key', ['panel' => $panel->name]);
        }
        $recordings = $panel
            ->cases()
            ->with('swings.recording')
            ->get()
            ->flatMap(static fn (SittingCase $c): array => $c->swings->all())
            ->map(static fn (CaseSwing $s): Recording => $s->recording)
            ->unique('id')
            ->values();
        foreach ($recordings as $i => $recording) {
            ($this->measure)($recording);
            $progress->tell(0.9 * ($i + 1) / $recordings->count());
        }
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
            $rows = [];
            foreach ($this->cases($panel) as $case) {
                $measured = $this->measured($case, $panel->lens);
                $calls = $case->readings->flatMap(static fn (Reading $r): array => $r->calls->all())->groupBy('fault');
                foreach ($codebook->keys() as $fault) {
                    $rows[] = [
                        'key_version_id' => $key->id,
                        'case_id' => $case->case_id,
                        ...self::entry(
                            $case->kind,
                            $fault,
                            array_values($calls->get($fault)?->all() ?? []),
                            $measured,
                            $rulings->get("{$case->case_id}|$fault"),
                        ),
                    ];
                }
            }
            foreach (array_chunk($rows, 200) as $chunk) {
                KeyEntry::query()->insert($chunk);
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
        hash_update(
            $hash,
            json_encode(
                [$panel->lens, $panel->codebook_version, config('academy.majority'), config('academy.able')],
                JSON_THROW_ON_ERROR,
            ),
        );
        foreach ($this->cases($panel) as $case) {
            hash_update(
                $hash,
                json_encode(
                    [
                        $case->case_id,
                        $case->readings->map(static fn ($r): array => [$r->id, $r->version])->all(),
                        $case->swings
                            ->map(
                                static fn (CaseSwing $s): array => [
                                    $s->recording_id,
                                    $s->recording->measured?->inputs_checksum,
                                    $s->recording->measured?->core_version,
                                ],
                            )
                            ->all(),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
        }

        return hash_final($hash);
    }

    /** @return Collection<int, SittingCase> */
    private function cases(Sitting $panel): Collection
    {
        return $panel
            ->cases()
            ->where('occasion', 1)
            ->with([
                'swings.recording.measured',
                'readings' => static fn ($q) => $q->whereNotNull('handed_in_at')->orderBy('id'),
                'readings.calls',
            ])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  list<Call>  $calls
     * @param  non-empty-list<array<string, FaultVerdict>>  $measured
     * @return array<string, mixed>
     */
    private static function entry(CaseKind $kind, string $fault, array $calls, array $measured, ?KeyEntry $ruled): array
    {
        $judgement = self::judge($kind, array_map(static fn (array $m): Judgement => $m[$fault]->judgement, $measured));
        $entry = CoreKeyEntry::fromCalls(
            $fault,
            array_map(static fn (Call $c): CoreCall => $c->toCore(), $calls),
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
            $kind === CaseKind::Pair && isset($swings[1]) => Judgement::ofPair($swings[0], $swings[1]),
            count($swings) > 1 => Judgement::ofSeries($swings),
            default => $swings[0],
        };
    }
}
