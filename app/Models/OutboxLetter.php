<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * A letter that waits to be handed over by a person, where no mailer is set up. Encrypted: it may hold a link.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $body
 * @property Carbon $created_at
 */
final class OutboxLetter extends Row
{
    public const UPDATED_AT = null;

    protected $fillable = ['recipient', 'subject', 'body'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'encrypted', 'created_at' => 'datetime'];
    }
}
