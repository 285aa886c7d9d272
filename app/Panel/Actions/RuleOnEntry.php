<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\User;
use App\Panel\Events\EntryRuled;
use App\Panel\Events\RulingTakenBack;
use Core\Consensus\Grade;
use Illuminate\Support\Facades\DB;

/** The head coach's ruling on one entry of a key. On a frozen key it goes into a new version; both stay visible. */
final readonly class RuleOnEntry
{
    /**
     * @param  'present'|'absent'|'none'  $ruling
     *
     * @throws ActionException
     */
    public function __invoke(KeyEntry $entry, string $ruling, string $reason, User $by): KeyEntry
    {
        return DB::transaction(function () use ($entry, $ruling, $reason, $by): KeyEntry {
            $key = KeyVersion::query()->lockForUpdate()->findOrFail($entry->key_version_id);
            $newest = Cell::int(KeyVersion::query()
                ->where('sitting_id', $key->sitting_id)
                ->where('lens', $key->lens)
                ->max('number'));
            if ($key->number !== $newest) {
                throw ActionException::because('refusals.panel.version-key-followed-version', [
                    'key' => $key->number,
                    'newest' => $newest,
                ]);
            }
            if ($entry->grade === Grade::Contested->value) {
                throw ActionException::because('refusals.panel.panel-does-not-agree');
            }
            if ($key->frozen_at !== null) {
                $entry = $this->copy($key)
                    ->entries()
                    ->where('case_id', $entry->case_id)
                    ->where('fault', $entry->fault)
                    ->sole();
            }
            $entry->update([
                'ruling' => $ruling,
                'ruling_reason' => $reason,
                'ruled_by' => $by->id,
                'ruled_at' => now(),
            ]);
            event(new EntryRuled($entry, $ruling, $reason, $by));

            return $entry;
        });
    }

    /**
     * What puts an entry back as it stood before the ruling on it, while nothing has come of that.
     *
     * @return array<string, mixed>
     */
    public static function before(KeyEntry $entry, KeyEntry $ruled): array
    {
        return [
            'entry' => $ruled->id,
            'ruled_at' => $ruled->ruled_at?->format('Y-m-d H:i:s.uP'),
            'was' => [
                'ruling' => $entry->ruling,
                'ruling_reason' => $entry->ruling_reason,
                'ruled_by' => $entry->ruled_by,
                'ruled_at' => $entry->ruled_at?->format('Y-m-d H:i:s.uP'),
            ],
        ];
    }

    /**
     * @param  array<array-key, mixed>  $before  as before() gave it
     *
     * @throws ActionException where the key was frozen or the entry was ruled on since
     */
    public function back(array $before, User $by): void
    {
        DB::transaction(static function () use ($before, $by): void {
            $entry = KeyEntry::query()->lockForUpdate()->findOrFail(Cell::int($before['entry'] ?? 0));
            $key = KeyVersion::query()->lockForUpdate()->findOrFail($entry->key_version_id);
            if ($key->frozen_at !== null || $entry->ruled_at?->format('Y-m-d H:i:s.uP') !== $before['ruled_at']) {
                throw ActionException::because('refusals.panel.ruling-stands');
            }
            /** @var array<string, mixed> $was */
            $was = $before['was'];
            $entry->update($was);
            event(new RulingTakenBack($entry->load('recording'), $by));
        });
    }

    private function copy(KeyVersion $key): KeyVersion
    {
        $next = $key->replicate(['frozen_at'])->fill(['number' => $key->number + 1]);
        $next->save();
        $rows = $key
            ->entries()
            ->get()
            ->map(
                fn (KeyEntry $e): array => ['key_version_id' => $next->id] +
                    collect($e->getAttributes())->except('id')->all(),
            );
        foreach ($rows->chunk(200) as $chunk) {
            KeyEntry::query()->insert(array_values($chunk->all()));
        }
        // What the panel says of a case beyond that no ruling touches.
        KeyCase::query()->insertUsing(['key_version_id', 'case_id', 'body'], $key->cases()
            ->toBase()
            ->selectRaw('?::bigint, case_id, body', [$next->id]));

        return $next;
    }
}
