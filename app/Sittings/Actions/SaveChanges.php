<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Call;
use App\Models\Casts\Cell;
use App\Models\Reading;
use Core\CoreException;
use Core\Reading\Edit;
use Core\Reading\Reading as CoreReading;
use Illuminate\Database\Eloquent\Casts\Json;
use Illuminate\Database\Query\Builder;
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
     * @throws ActionException when the reading is locked; nothing was taken that was not taken before
     */
    public function __invoke(Reading $reading, string $writer, array $changes): array
    {
        return DB::transaction(function () use ($reading, $writer, $changes): array {
            $reading = ($this->hold)($reading);
            $since = $changes === [] ? 0 : min(array_column($changes, 'base'));
            $ids = array_column($changes, 'id');
            $earlier = $this->earlier($reading, $ids, $since);
            $known = array_fill_keys(array_column($earlier, 'client_id'), true);
            // Sent again after an answer that was lost: all of it was taken while it could be.
            if ($reading->isLocked() && ($ids === [] || array_diff_key(array_flip($ids), $known) !== [])) {
                throw ActionException::because($reading->handed_in_at !== null
                    ? 'refusals.sittings.reading-handed-locked-nothing'
                    : 'refusals.sittings.round-closed-nothing-changed', status: ActionException::LOCKED);
            }
            $last = array_column($earlier, null, 'target');
            $names = $this->codebooks->namesOf($reading->case->sitting);
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
                        $core = (new Edit($c['target'], $c['value']))->applyTo($core, $names);
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
                    'client_id' => $c['id'],
                    'writer' => $by,
                    'version' => $version,
                    'target' => $c['target'],
                    'value' => json_encode($c['value'], JSON_THROW_ON_ERROR),
                    'made_at' => Carbon::createFromTimestampMs(max(0, min(4_102_444_800_000, $c['at'])))->format(
                        'Y-m-d H:i:s.vP',
                    ),
                ];
            }
            if ($rows !== []) {
                $this->keep($reading, $before, $core, $rows, $version, $active);
            }
            $isOthers = static fn (array $c): bool => $c['version'] > $since && $c['writer'] !== $writer
                && $c['target'] !== self::TIME;

            return [
                'version' => $version,
                'applied' => $applied,
                'refused' => $refused,
                'others' => array_filter([...$earlier, ...$rows], $isOthers) !== [],
            ];
        });
    }

    /**
     * What of these was taken before, and all that was taken since the oldest version any of them was made on: nothing
     * before that can be in the way of one.
     *
     * @param  list<string>  $ids
     * @return list<array{client_id: string, target: string, writer: string, version: int}> in the order taken
     */
    private function earlier(Reading $reading, array $ids, int $since): array
    {
        return array_values(DB::table('reading_changes')
            ->where('reading_id', $reading->id)
            ->where(static fn (Builder $q): Builder => $q->whereIn('client_id', $ids)->orWhere('version', '>', $since))
            ->orderBy('id')
            ->get(['client_id', 'target', 'writer', 'version'])
            ->map(static fn (object $c): array => [
                'client_id' => Cell::text($c->client_id),
                'target' => Cell::text($c->target),
                'writer' => Cell::text($c->writer),
                'version' => Cell::int($c->version),
            ])
            ->all());
    }

    /** @param  non-empty-list<array<string, mixed>>  $taken */
    private function keep(
        Reading $reading,
        CoreReading $before,
        CoreReading $now,
        array $taken,
        int $version,
        int $active,
    ): void {
        $gone = array_keys(array_diff_key($before->calls, $now->calls));
        if ($gone !== []) {
            Call::query()->where('reading_id', $reading->id)->whereIn('fault', $gone)->delete();
        }
        $called = [];
        foreach ($now->calls as $fault => $call) {
            if (($before->calls[$fault] ?? null) !== $call) {
                $called[] = Call::row($call);
            }
        }
        $row = Reading::row($now);
        if (json_encode($row) !== json_encode(Reading::row($before))) {
            $reading->update($row);
        }
        DB::select('select keep_changes(?, ?, ?, ?, ?, ?)', [
            $reading->id,
            Json::encode($taken),
            Json::encode($called),
            $version,
            $active,
            now()->format('Y-m-d H:i:s.vP'),
        ]);
    }
}
