<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Call;
use App\Models\Casts\Cell;
use App\Models\Reading;
use App\Models\ReadingChange;
use Core\CoreException;
use Core\Reading\Edit;
use Core\Reading\Reading as CoreReading;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Takes changes of a reading in the order they were made. Each has an id of the client's making and counts once,
 * however often it is sent. Two writers – windows or devices – may change different things of one reading at the
 * same time; where both changed the same thing, the later to arrive is refused and told what stands there now.
 */
final readonly class SaveChanges
{
    /** Active time is told beside the calls and changes nothing of them. */
    private const TIME = 'time';

    private const MOST_MS = 600_000;

    public function __construct(private Codebooks $codebooks, private HoldRound $hold)
    {
    }

    /**
     * @param  list<array{id: string, target: string, value: mixed, base: int, at: int, writer?: string}>  $changes  at:
     *     ms since 1970 by the client's clock; base: the version the client had seen
     * @return array{version: int, applied: list<string>, refused: list<array{id: string, target: string,
     *     because: string, conflict: bool}>, others: bool}  others: somebody else changed it meanwhile
     *
     * @throws ActionException when the reading is locked; nothing was taken
     */
    public function __invoke(Reading $reading, string $writer, array $changes): array
    {
        return DB::transaction(function () use ($reading, $writer, $changes): array {
            $reading = ($this->hold)($reading);
            if ($reading->isLocked()) {
                throw ActionException::because($reading->handed_in_at !== null
                    ? 'refusals.sittings.reading-handed-locked-nothing'
                    : 'refusals.sittings.round-closed-nothing-changed', status: ActionException::LOCKED);
            }
            $known = array_flip(
                ReadingChange::query()
                    ->where('reading_id', $reading->id)
                    ->whereIn('client_id', array_column($changes, 'id'))
                    ->pluck('client_id')
                    ->map(Cell::text(...))
                    ->all(),
            );
            $last = $this->latest($reading, array_column($changes, 'target'));
            $codebook = $this->codebooks->of($reading->case->sitting);
            $core = $reading->toCore();
            $before = $core;
            $version = $reading->version;
            $active = 0;
            $applied = $refused = $rows = [];
            foreach ($changes as $c) {
                if (isset($known[$c['id']])) {
                    $applied[] = $c['id'];

                    continue;
                }
                $by = $c['writer'] ?? $writer;
                if ($c['target'] === self::TIME) {
                    $active += max(0, min(self::MOST_MS, is_int($c['value']) ? $c['value'] : 0));
                } else {
                    $there = $last[$c['target']] ?? null;
                    if ($there !== null && $there['writer'] !== $by && $there['version'] > $c['base']) {
                        $refused[] = [
                            'id' => $c['id'],
                            'target' => $c['target'],
                            'because' => (string) __('refusals.sittings.changed-elsewhere'),
                            'conflict' => true,
                        ];

                        continue;
                    }
                    try {
                        $core = (new Edit($c['target'], $c['value']))->applyTo($core, $codebook);
                    } catch (CoreException $e) {
                        $refused[] = [
                            'id' => $c['id'],
                            'target' => $c['target'],
                            'because' => Refusal::sentenceOf($e),
                            'conflict' => false,
                        ];

                        continue;
                    }
                    $last[$c['target']] = ['writer' => $by, 'version' => ++$version];
                }
                $known[$c['id']] = true;
                $applied[] = $c['id'];
                $rows[] = [
                    'reading_id' => $reading->id,
                    'client_id' => $c['id'],
                    'writer' => $by,
                    'version' => $version,
                    'target' => $c['target'],
                    'value' => json_encode($c['value'], JSON_THROW_ON_ERROR),
                    'made_at' => Carbon::createFromTimestampMs(max(0, min(4_102_444_800_000, $c['at'])))->format(
                        'Y-m-d H:i:s.vP',
                    ),
                    'created_at' => now()->format('Y-m-d H:i:s.vP'),
                ];
            }
            ReadingChange::query()->insert($rows);
            $this->keep($reading, $before, $core, $version, $active);

            return [
                'version' => $version,
                'applied' => $applied,
                'refused' => $refused,
                'others' => $changes !== [] &&
                    ReadingChange::query()
                        ->where('reading_id', $reading->id)
                        ->where('version', '>', min(array_column($changes, 'base')))
                        ->where('writer', '<>', $writer)
                        ->where('target', '<>', self::TIME)
                        ->exists(),
            ];
        });
    }

    /**
     * @param  list<string>  $targets
     * @return array<string, array{writer: string, version: int}>
     */
    private function latest(Reading $reading, array $targets): array
    {
        return ReadingChange::query()
            ->where('reading_id', $reading->id)
            ->whereIn('target', array_unique($targets))
            ->orderBy('id')
            ->get(['target', 'writer', 'version'])
            ->mapWithKeys(
                static fn (ReadingChange $c): array => [
                    $c->target => ['writer' => $c->writer, 'version' => $c->version],
                ],
            )
            ->all();
    }

    private function keep(Reading $reading, CoreReading $before, CoreReading $now, int $version, int $active): void
    {
        if ($version === $reading->version && $active === 0) {
            return;
        }
        $gone = array_keys(array_diff_key($before->calls, $now->calls));
        if ($gone !== []) {
            Call::query()->where('reading_id', $reading->id)->whereIn('fault', $gone)->delete();
        }
        $rows = [];
        foreach ($now->calls as $fault => $call) {
            if (($before->calls[$fault] ?? null) !== $call) {
                $row = Call::row($call);
                $rows[] = [
                    'reading_id' => $reading->id,
                    ...$row,
                    'pins' => json_encode($row['pins'], JSON_THROW_ON_ERROR),
                ];
            }
        }
        if ($rows !== []) {
            Call::query()->upsert(
                $rows,
                ['reading_id', 'fault'],
                ['presence', 'severity', 'onset', 'decision', 'confidence', 'pins', 'trend', 'reaction', 'sound'],
            );
        }
        $reading->update([...Reading::row($now), 'version' => $version, 'active_ms' => $reading->active_ms + $active]);
    }
}
