<?php

declare(strict_types=1);

namespace App\Audit;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/**
 * Values of persons in the record lie under a key of each subject's own, itself kept under the application's. Who is
 * erased takes the key along: the entries stay, and nobody can read what was personal in them, in backups either.
 */
final readonly class SubjectKeys
{
    private const CIPHER = 'AES-256-CBC';

    /** @param  array<string, mixed>  $values */
    public function seal(string $subject, array $values): string
    {
        return $this->of($subject)->encryptString(json_encode($values, JSON_THROW_ON_ERROR));
    }

    /** @return array<string, mixed>|null null where the key is gone */
    public function open(string $subject, string $sealed): ?array
    {
        $held = DB::table('subject_keys')->where('subject', $subject)->value('held');
        if (! is_string($held)) {
            return null;
        }
        try {
            $values = json_decode((new Encrypter(Crypt::decryptString($held), self::CIPHER))
                ->decryptString($sealed), true);
        } catch (DecryptException) {
            return null;
        }

        /** @var array<string, mixed>|null $values */
        return is_array($values) ? $values : null;
    }

    public function forget(string $subject): void
    {
        DB::table('subject_keys')->where('subject', $subject)->delete();
    }

    private function of(string $subject): Encrypter
    {
        $fresh = Encrypter::generateKey(self::CIPHER);
        DB::table('subject_keys')->insertOrIgnore([
            'subject' => $subject,
            'held' => Crypt::encryptString($fresh),
            'created_at' => now(),
        ]);
        $held = DB::table('subject_keys')->where('subject', $subject)->value('held');

        return new Encrypter(Crypt::decryptString(is_string($held) ? $held : ''), self::CIPHER);
    }
}
