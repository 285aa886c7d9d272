<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\User;
use Illuminate\Contracts\Mail\Factory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/** Sends letters once what they tell of is stored. One that does not go stops nothing: it can be sent again. */
final readonly class Letters
{
    public function __construct(private Factory $mail)
    {
    }

    /**
     * @param  string  $line  of lang/en/letters.php
     * @param  array<string, string>  $with
     */
    public function send(string $line, string $to, User $for, array $with = []): void
    {
        $letter = new Letter($line, ['name' => $for->name, ...$with]);
        DB::afterCommit(function () use ($letter, $to, $line): void {
            try {
                $this->mail->mailer()->to($to)->send($letter);
            } catch (\Throwable $e) {
                Log::warning('a letter did not go', ['letter' => $line, 'why' => $e::class]);
            }
        });
    }
}
