<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Enums\WorkKind;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Models\RememberedColumns;
use App\Models\User;
use App\Shelf\Events\RecordingImported;
use App\Shelf\OpenedImport;
use App\Works\Works;
use Core\Format\FormatException;
use Core\Sight\Scope;
use Illuminate\Support\Facades\DB;

/** Puts a file that was looked at on the Shelf, and remembers how its columns were mapped. */
final readonly class FinishImport
{
    public function __construct(
        private StoreRecording $store,
        private Works $works,
        private DropImport $drop,
    ) {
    }

    /** @throws FormatException|ActionException */
    public function __invoke(PendingImport $import, User $by): Recording
    {
        $import->load('golfer.consents');
        if (! $import->golfer->consentsTo(Scope::Lessons, Scope::StaffTraining)) {
            throw ActionException::because('import.no-consent', ['golfer' => $import->golfer->pseudonym]);
        }
        $opened = new OpenedImport($import);
        $in = $opened->read();
        $text = static fn (string $name): ?string => is_string($import->settings[$name] ?? null) &&
        $import->settings[$name] !== ''
            ? $import->settings[$name]
            : null;
        $recording = DB::transaction(function () use ($import, $opened, $in, $text, $by): Recording {
            $recording = ($this->store)(
                $import->golfer,
                [
                    // What the file says, where nobody said otherwise.
                    ...Recording::factsRow($in->swing),
                    'club' => $text('club') ?? ($in->facts->club ?? 'not stated'),
                    'swing' => $text('swing') ?? ($in->facts->swing ?? 'full'),
                    'device_name' => $text('device_name') ?? $in->facts->deviceName,
                    'source' => 'file',
                    'shape' => $text('shape') ?? $in->swing->shape,
                    'series' => $text('series') ?? $in->swing->series,
                    'is_cold' => (bool) ($import->settings['is_cold'] ?? $in->swing->isCold),
                    ...array_filter(self::more($import->settings), static fn (mixed $said): bool => $said !== null),
                ],
                $in->trace,
                $in->stations,
                $in->views,
            );
            $map = $import->format === 'csv' ? $opened->map() : null;
            if ($map !== null && ! $map->isPlain()) {
                RememberedColumns::query()->updateOrCreate(
                    ['header_checksum' => $opened->headerChecksum()],
                    ['device_name' => $text('device_name') ?? $in->facts->deviceName, 'map' => $map->toArray()],
                );
            }
            $this->works->ask(WorkKind::Measure, $recording, $by);
            event(new RecordingImported($recording, $import->file_name, $by));

            return $recording;
        });
        ($this->drop)($import);

        return $recording;
    }

    /**
     * @param  array<string, mixed>  $settings
     * @return array{size: ?string, loft_deg: ?float, effort_pct: ?int, has_ball: ?bool, place: ?int}
     */
    private static function more(array $settings): array
    {
        $said = static fn (string $name): string => Cell::text($settings[$name] ?? '');
        $whole = static fn (string $name): ?int => $said($name) === '' ? null : (int) $said($name);

        return [
            'size' => $said('size') === '' ? null : $said('size'),
            'loft_deg' => $said('loft_deg') === '' ? null : (float) $said('loft_deg'),
            'effort_pct' => $whole('effort_pct'),
            'has_ball' => $said('has_ball') === '' ? null : $said('has_ball') === '1',
            'place' => $whole('place'),
        ];
    }
}
