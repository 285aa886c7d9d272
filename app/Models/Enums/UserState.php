<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How a person stands to the academy. What somebody did stays, whatever becomes of them. */
enum UserState: string
{
    /** Asked to come; has chosen no password yet. */
    case Invited = 'invited';
    case Active = 'active';
    /** Kept from logging in until somebody lets them in again. */
    case Disabled = 'disabled';
    /** Gone, of their own will or not; comes back by a new invitation only. */
    case Left = 'left';

    /** Whether a round may be planned with them. */
    public function maySit(): bool
    {
        return $this === self::Invited || $this === self::Active;
    }
}
