<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Casts\Cell;
use Illuminate\Filesystem\AwsS3V3Adapter;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FilesystemException;
use Psr\Http\Message\StreamInterface;
use Symfony\Component\HttpFoundation\Response;

/**
 * A file of a disk as an answer, whole or the range that was asked for. From a distant disk only that range is fetched.
 * Who may have it is asked elsewhere.
 */
final class StoredFile
{
    /** Bytes handed on at once. */
    private const PIECE = 1 << 16;

    /** @param  array<string, string>  $headers */
    public static function answer(string $on, string $path, array $headers): Response
    {
        /** @var FilesystemAdapter $disk */
        $disk = Storage::disk($on);
        abort_unless($disk->exists($path), 404);
        $headers['Accept-Ranges'] = 'bytes';
        if ($disk instanceof LocalFilesystemAdapter) {
            return response()->file($disk->path($path), $headers);
        }
        try {
            $size = $disk->size($path);
        } catch (FilesystemException) {
            abort(404);
        }
        $range = request()->headers->has('If-Range')
            ? null
            : self::range((string) request()->headers->get('Range'), $size);
        if ($range === []) {
            return response('', Response::HTTP_REQUESTED_RANGE_NOT_SATISFIABLE, ['Content-Range' => "bytes */$size"]);
        }
        [$first, $last] = $range ?? [0, $size - 1];
        $headers['Content-Length'] = (string) ($last - $first + 1);
        if ($range !== null) {
            $headers['Content-Range'] = "bytes $first-$last/$size";
        }

        return response()->stream(
            static fn () => self::pour($disk, $path, $first, $last),
            $range !== null ? Response::HTTP_PARTIAL_CONTENT : Response::HTTP_OK,
            $headers,
        );
    }

    /**
     * @param  string  $asked  the Range header
     * @return array{int, int}|array{}|null first and last byte; empty where there is nothing there; null for the whole,
     *     which is also the answer to several ranges and to what is none
     */
    private static function range(string $asked, int $size): ?array
    {
        if (preg_match('/^bytes=(\d{0,15})-(\d{0,15})$/D', trim($asked), $m) !== 1 || $m[1].$m[2] === '') {
            return null;
        }
        [$first, $last] = $m[1] === ''
            ? [max(0, $size - (int) $m[2]), $size - 1]
            : [(int) $m[1], $m[2] === '' ? $size - 1 : min((int) $m[2], $size - 1)];
        if ($m[1] !== '' && $m[2] !== '' && (int) $m[2] < (int) $m[1]) {
            return null;
        }

        return $first < $size ? [$first, $last] : [];
    }

    private static function pour(FilesystemAdapter $disk, string $path, int $first, int $last): void
    {
        if ($last < $first) {
            return;
        }
        if ($disk instanceof AwsS3V3Adapter) {
            /** @var StreamInterface $body */
            $body = $disk->getClient()->getObject([
                'Bucket' => Cell::text($disk->getConfig()['bucket'] ?? ''),
                'Key' => $disk->path($path),
                'Range' => "bytes=$first-$last",
                '@http' => ['stream' => true],
            ])['Body'];
            while (! $body->eof()) {
                echo $body->read(self::PIECE);
            }

            return;
        }
        $from = $disk->readStream($path);
        if ($from === null) {
            return;
        }
        for ($skip = $first; $skip > 0 && ! feof($from);) {
            $skip -= strlen((string) fread($from, max(1, min($skip, self::PIECE))));
        }
        for ($left = $last - $first + 1; $left > 0 && ! feof($from);) {
            $read = (string) fread($from, max(1, min($left, self::PIECE)));
            $left -= strlen($read);
            echo $read;
        }
        fclose($from);
    }
}
