<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\User;
use Core\Format\RecordingReader;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/**
 * Lays an uploaded file aside to be looked at; nothing is on the Shelf yet. Forgets what nobody came back to for a
 * week.
 */
final readonly class BeginImport
{
    public function __construct(private DropImport $drop)
    {
    }

    /** @throws ActionException */
    public function __invoke(Golfer $golfer, UploadedFile $file, ?UploadedFile $meta, User $by): PendingImport
    {
        if (! $golfer->isConsenting()) {
            throw new ActionException(
                "{$golfer->pseudonym} has no valid consent for training use; nothing was stored. Record the consent "
                    .'first.',
            );
        }
        PendingImport::query()
            ->where('created_at', '<', now()->subWeek())
            ->get()
            ->each(fn (PendingImport $old) => ($this->drop)($old));
        $start = (string) @file_get_contents($file->getRealPath(), false, null, 0, 512);
        $path = Storage::disk('local')->putFile('imports', $file);
        $metaPath = $meta === null ? null : Storage::disk('local')->putFile('imports', $meta);
        if ($path === false || $metaPath === false) {
            throw new ActionException('The file could not be kept: the disk may be full. Nothing was stored.');
        }

        return PendingImport::query()->create([
            'user_id' => $by->id,
            'golfer_id' => $golfer->id,
            'format' => RecordingReader::formatOf($start),
            'file_name' => self::name($file),
            'path' => $path,
            'meta_name' => $meta === null ? null : self::name($meta),
            'meta_path' => $metaPath,
            'checksum' => hash_file('sha256', $file->getRealPath()),
            'settings' => [],
        ]);
    }

    private static function name(UploadedFile $file): string
    {
        return mb_substr(basename($file->getClientOriginalName()), 0, 80);
    }
}
