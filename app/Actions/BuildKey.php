<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Call;
use App\Models\CaseSwing;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Round;
use App\Models\RoundCase;
use App\Queries\Codebooks;
use Core\Codebook\Judgement;
use Core\Codebook\Verdict;
use Core\Consensus\Consensus;
use Core\Consensus\Grade;
use Core\Reading\Call as CoreCall;
use Core\Version;

/** Turns a panel's handed-in readings into a key: consensus per case and fault, graded by the measurement. */
final readonly class BuildKey
{
    public function __construct(private MeasureRecording $measure, private Codebooks $codebooks)
    {
    }

    public function __invoke(Round $panel): KeyVersion
    {
        $key = KeyVersion::query()->create([
            'round_id' => $panel->id,
            'number' => 1 + (int) $panel->keys()->max('number'),
            'lens' => $panel->lens,
            'core_version' => Version::CURRENT,
        ]);
        $codebook = $this->codebooks->of($panel);
        $rows = [];
        foreach ($panel->cases()->with(['swings.recording', 'readings' => fn ($q) => $q->whereNotNull('handed_in_at'), 'readings.calls'])->get() as $case) {
            $measured = $this->measured($case, $panel->lens);
            $calls = $case->readings->flatMap->calls->groupBy('fault');
            foreach ($codebook->keys() as $fault) {
                $consensus = Consensus::of(
                    array_values($calls->get($fault)?->map(static fn (Call $c): CoreCall => $c->toCore())->all() ?? []),
                    (float) config('academy.majority'),
                    (int) config('academy.able'),
                );
                $judgement = self::judge($case->kind, array_map(static fn (array $m): Judgement => new Judgement(Verdict::from($m[$fault]['verdict']), $m[$fault]['margin'], $m[$fault]['sentence']), $measured));
                $rows[] = [
                    'key_version_id' => $key->id, 'recording_id' => $case->recording_id, 'fault' => $fault,
                    'label' => $consensus->label->value, 'grade' => Grade::of($consensus->label, $judgement)->value,
                    'present' => $consensus->present, 'absent' => $consensus->absent, 'cannot_tell' => $consensus->cannotTell,
                    'severity' => $consensus->severity, 'onset' => $consensus->onset?->value,
                    'verdict' => $judgement->verdict->value, 'margin' => $judgement->margin, 'sentence' => $judgement->sentence,
                ];
            }
        }
        foreach (array_chunk($rows, 200) as $chunk) {
            KeyEntry::query()->insert($chunk);
        }

        return $key;
    }

    /** @return non-empty-list<array<string, array<string, mixed>>> what was measured of each swing, cold ones of a series set aside */
    private function measured(RoundCase $case, string $lens): array
    {
        $swings = array_values($case->swings->all());
        $warm = $case->kind === RoundCase::SERIES ? array_values(array_filter($swings, static fn (CaseSwing $s): bool => ! $s->recording->is_cold)) : $swings;

        /** @var non-empty-list<array<string, array<string, mixed>>> every case has a swing */
        return array_map(fn (CaseSwing $s): array => ($this->measure)($s->recording)->faults[$lens], $warm === [] ? $swings : $warm);
    }

    /** @param  non-empty-list<Judgement>  $swings */
    private static function judge(string $kind, array $swings): Judgement
    {
        return match (true) {
            $kind === RoundCase::PAIR && isset($swings[1]) => Judgement::ofPair($swings[0], $swings[1]),
            count($swings) > 1 => Judgement::ofSeries($swings),
            default => $swings[0],
        };
    }
}
