<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\User;
use App\Shelf\OpenedImport;
use App\Shelf\UploadQuota;
use Core\Format\RecordingReader;
use Core\Sight\Scope;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FilesystemException;

/**
 * Lays an uploaded file aside to be looked at; nothing is on the Shelf yet. Forgets what nobody came back to for a
 * week.
 */
final readonly class BeginImport
{
    /** Bytes read at once. */
    private const PART = 1 << 20;

    /** So many bytes tell a file's format. */
    private const START = 512;

    public function __construct(private DropImport $drop)
    {
    }

    /** @throws ActionException */
    public function __invoke(Golfer $golfer, UploadedFile $file, ?UploadedFile $meta, User $by): PendingImport
    {
        if (! $golfer->consentsTo(Scope::Lessons, Scope::StaffTraining)) {
            throw ActionException::because('import.no-consent', ['golfer' => $golfer->pseudonym]);
        }
        UploadQuota::take($by, (int) $file->getSize());
        PendingImport::query()
            ->where('created_at', '<', now()->subWeek())
            ->get()
            ->each(fn (PendingImport $old) => ($this->drop)($old));
        $arrived = self::copied($file);
        $path = $this->keep($arrived['stream'], $file);
        $metaPath = $meta === null ? null : $this->keep(self::copied($meta)['stream'], $meta);

        return PendingImport::query()->create([
            'user_id' => $by->id,
            'golfer_id' => $golfer->id,
            'format' => RecordingReader::formatOf($arrived['start']),
            'file_name' => self::name($file),
            'path' => $path,
            'meta_name' => $meta === null ? null : self::name($meta),
            'meta_path' => $metaPath,
            'checksum' => $arrived['checksum'],
            'settings' => [],
        ]);
    }

    /**
     * The file read once: its first bytes and its checksum are taken on the way.
     *
     * @return array{stream: resource, start: string, checksum: string} the stream at its start
     *
     * @throws ActionException
     */
    private static function copied(UploadedFile $file): array
    {
        $from = @fopen($file->getRealPath(), 'rb');
        $stream = fopen('php://temp', 'w+b');
        if ($from === false || $stream === false) {
            throw ActionException::because('import.not-kept');
        }
        $hash = hash_init('sha256');
        $start = '';
        while (($part = fread($from, self::PART)) !== false && $part !== '') {
            $start = $start === '' ? substr($part, 0, self::START) : $start;
            hash_update($hash, $part);
            fwrite($stream, $part);
        }
        fclose($from);
        rewind($stream);

        return ['stream' => $stream, 'start' => $start, 'checksum' => hash_final($hash)];
    }

    /**
     * @param  resource  $stream
     *
     * @throws ActionException
     */
    private function keep($stream, UploadedFile $file): string
    {
        $path = 'imports/'.$file->hashName();
        try {
            if (Storage::disk(OpenedImport::disk())->put($path, $stream) === false) {
                throw ActionException::because('import.not-kept');
            }
        } catch (FilesystemException) {
            throw ActionException::because('import.not-kept');
        } finally {
            if (is_resource($stream)) {
                fclose($stream);
            }
        }

        return $path;
    }

    private static function name(UploadedFile $file): string
    {
        return mb_substr(basename($file->getClientOriginalName()), 0, 80);
    }
}
