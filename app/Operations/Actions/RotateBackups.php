<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Operations\BackupStore;
use Illuminate\Support\Carbon;

/** Takes away backups that are older than what is to be kept: of the last days, weeks and months one each. */
final readonly class RotateBackups
{
    public function __construct(private BackupStore $store)
    {
    }

    /** @return int how many were taken away */
    public function __invoke(): int
    {
        $names = $this->store->names();
        $gone = array_diff($names, self::kept($names));
        $this->store->alone(function () use ($gone): void {
            foreach ($gone as $name) {
                $this->store->forget($name);
            }
        });

        return count($gone);
    }

    /**
     * @param  list<string>  $names  in the order of time
     * @return list<string>
     */
    public static function kept(array $names): array
    {
        $kept = [];
        foreach (['daily' => 'Y-m-d', 'weekly' => 'o-W', 'monthly' => 'Y-m'] as $how => $format) {
            $of = [];
            foreach ($names as $name) {
                // The newest of each.
                $of[Carbon::parse(substr($name, 0, 16))->format($format)] = $name;
            }
            $many = config("backup.$how");
            $kept = [...$kept, ...array_slice(array_values($of), -max(1, is_int($many) ? $many : 1))];
        }

        return array_values(array_unique($kept));
    }
}
