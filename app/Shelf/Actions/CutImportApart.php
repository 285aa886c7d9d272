<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\PendingImport;
use App\Shelf\OpenedImport;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Occasion;
use Core\Motion\StationTimes;
use Core\Trace\Quality;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Makes one file on its way in into as many as it holds swings: the same file, each a stretch of it. */
final readonly class CutImportApart
{
    public function __construct(private DropImport $drop)
    {
    }

    /**
     * @return string the batch they are
     *
     * @throws ActionException|CoreException where it holds one swing or none
     */
    public function __invoke(PendingImport $import): string
    {
        $in = (new OpenedImport($import))->read();
        $parts = Occasion::parts(
            new Evidence($in->stations ?? StationTimes::fromTimes([]), $in->trace, $in->views, $in->trace->stance),
            Quality::findings($in->trace),
        );
        if ($parts === []) {
            throw ActionException::because('import.nothing-to-cut', [], ActionException::CONFLICT);
        }
        $batch = $import->batch ?? Str::lower((string) Str::ulid());
        $copies = [];
        foreach (array_keys($parts) as $i) {
            $copies[$i] = [
                self::copy($import->path),
                $import->meta_path === null ? null : self::copy($import->meta_path),
            ];
        }
        DB::transaction(static function () use ($import, $parts, $copies, $batch): void {
            foreach ($parts as $i => $part) {
                PendingImport::query()->create([
                    ...$import->only(['user_id', 'golfer_id', 'format', 'file_name', 'meta_name', 'checksum']),
                    'batch' => $batch,
                    'path' => $copies[$i][0],
                    'meta_path' => $copies[$i][1],
                    'settings' => [
                        ...$import->settings,
                        'part' => $part,
                        // Several swings of one file are a series, in the order in which they were made.
                        'series' => $import->settings['series'] ?? mb_substr($import->file_name, 0, 60),
                        'place' => $i + 1,
                    ],
                ]);
            }
        });
        ($this->drop)($import);

        return $batch;
    }

    private static function copy(string $path): string
    {
        $to = 'imports/'.Str::random(40);
        $disk = Storage::disk(OpenedImport::disk());
        $from = $disk->readStream($path);
        if ($from === null || $disk->put($to, $from) === false) {
            throw ActionException::because('import.not-kept');
        }

        return $to;
    }
}
