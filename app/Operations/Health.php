<?php

declare(strict_types=1);

namespace App\Operations;

use App\Models\Casts\Cell;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Throwable;

/**
 * Whether what the application stands on is there, for whatever watches it; says which, and nothing of what it holds.
 */
final readonly class Health
{
    /** Jobs wait no longer than this where somebody works through them. */
    private const QUEUE_S = 600;

    private const QUEUES = ['default', 'films'];

    private const DISK_MB = 500;

    private const BACKUP_H = 30;

    public function __construct(private BackupStore $store)
    {
    }

    /** @return array<string, bool> by what is looked at */
    public function checks(): array
    {
        $checks = [
            'database' => self::holds(static fn (): bool => DB::selectOne('select 1 as one') !== null),
            'queue' => self::holds(static fn (): bool => self::waiting() <= self::QUEUE_S),
            'disk' => self::holds(static fn (): bool => disk_free_space(storage_path()) >= self::DISK_MB * 1_048_576),
        ];

        // Where backups are made by themselves, one that did not come is a failure.
        return config('backup.expected') === true
            ? [...$checks, 'backup' => self::holds(fn (): bool => $this->backedUp())]
            : $checks;
    }

    /** @return int seconds for which the oldest job that could be done has waited */
    private static function waiting(): int
    {
        $now = now()->getTimestamp();
        $since = array_map(
            static fn (string $of): int => Cell::int(Queue::connection()->creationTimeOfOldestPendingJob($of) ?? $now),
            self::QUEUES,
        );

        return max(0, $now - min($since));
    }

    private function backedUp(): bool
    {
        $dates = $this->store->dates();
        $last = end($dates);

        return $last instanceof Carbon && $last->gt(now()->subHours(self::BACKUP_H));
    }

    private static function holds(callable $look): bool
    {
        try {
            return $look() === true;
        } catch (Throwable) {
            return false;
        }
    }
}
