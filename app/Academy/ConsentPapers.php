<?php

declare(strict_types=1);

namespace App\Academy;

use App\Exceptions\ActionException;
use App\Models\ConsentPaper;
use App\Models\Golfer;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Scans of signed forms: encrypted before they are laid down, opened for who may see them. */
final readonly class ConsentPapers
{
    /** What a scan is, by how its bytes begin; its name says nothing. */
    private const KINDS = ['pdf' => '%PDF-', 'jpg' => "\xFF\xD8\xFF", 'png' => "\x89PNG\r\n\x1A\n"];

    public const TYPES = ['pdf' => 'application/pdf', 'jpg' => 'image/jpeg', 'png' => 'image/png'];

    /** @throws ActionException */
    public function keep(Golfer $golfer, UploadedFile $sent): ConsentPaper
    {
        $bytes = (string) file_get_contents($sent->getRealPath());
        $kind = null;
        foreach (self::KINDS as $name => $begins) {
            $kind = str_starts_with($bytes, $begins) ? $name : $kind;
        }
        if ($kind === null) {
            throw ActionException::because('refusals.academy.no-paper');
        }
        $paper = ConsentPaper::query()->create([
            'golfer_id' => $golfer->id,
            'kind' => $kind,
            'bytes' => strlen($bytes),
            'checksum' => hash('sha256', $bytes),
        ]);
        Storage::disk(ConsentPaper::DISK)->put($paper->path(), Crypt::encryptString($bytes));
        DB::afterRollBack(static fn () => Storage::disk(ConsentPaper::DISK)->delete($paper->path()));

        return $paper;
    }

    /** @throws ActionException where the file is gone, or lies under another key */
    public function open(ConsentPaper $paper): string
    {
        try {
            $bytes = Crypt::decryptString((string) Storage::disk(ConsentPaper::DISK)->get($paper->path()));
        } catch (DecryptException|\League\Flysystem\FilesystemException $e) {
            throw ActionException::because('refusals.academy.paper-unreadable', [], previous: $e);
        }

        return hash('sha256', $bytes) === $paper->checksum
            ? $bytes
            : throw ActionException::because('refusals.academy.paper-unreadable');
    }

    /** @return int how many scans were laid under the key that is in use; one that cannot be opened is left as it is */
    public function layUnder(): int
    {
        $done = 0;
        foreach (ConsentPaper::query()->orderBy('id')->lazyById(50) as $paper) {
            try {
                $bytes = $this->open($paper);
            } catch (ActionException) {
                continue;
            }
            Storage::disk(ConsentPaper::DISK)->put($paper->path(), Crypt::encryptString($bytes));
            $done++;
        }

        return $done;
    }
}
