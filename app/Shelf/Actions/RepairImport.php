<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\PendingImport;
use App\Shelf\OpenedImport;
use Core\CoreException;
use Core\Trace\Quality;
use Core\Trace\Repair;
use Core\Trace\RepairKind;
use Illuminate\Support\Facades\DB;

/** A person says yes to a repair that was offered of a file on its way in, or takes the last one back. */
final readonly class RepairImport
{
    /** @throws ActionException|CoreException where nothing of the kind is wrong with it, or not any more */
    public function __invoke(PendingImport $import, RepairKind $kind): void
    {
        $offered = null;
        $trace = (new OpenedImport($import))->read()->trace;
        foreach (Quality::findings($trace) as $finding) {
            $repair = Repair::of($finding->remark, $trace->device);
            $offered ??= $repair?->kind === $kind ? $repair : null;
        }
        if ($offered === null) {
            throw ActionException::because('import.nothing-to-repair', [], ActionException::CONFLICT);
        }
        $this->change($import, static fn (array $made): array => [...$made, $offered->toArray()]);
    }

    public function back(PendingImport $import): void
    {
        $this->change($import, static fn (array $made): array => array_slice($made, 0, -1));
    }

    /** @param  callable(list<mixed>): list<mixed>  $change */
    private function change(PendingImport $import, callable $change): void
    {
        DB::transaction(static function () use ($import, $change): void {
            $locked = PendingImport::query()->whereKey($import->id)->lockForUpdate()->firstOrFail();
            $made = $locked->settings['repairs'] ?? [];
            $locked->update(['settings' => [
                ...$locked->settings,
                'repairs' => $change(is_array($made) ? array_values($made) : []),
            ]]);
        });
    }
}
