<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\PasswordRule;
use App\Models\Academy;
use App\Models\User;

/** What every form that takes a new password asks of it. */
final class NewPassword
{
    /**
     * @param  mixed  ...$about  what else the form says of the person
     * @return list<string|PasswordRule>
     */
    public static function rules(?User $of, mixed ...$about): array
    {
        $known = array_values(array_filter(
            [$of?->name, $of?->email, Academy::here()?->name, ...$about],
            is_string(...),
        ));

        return ['required', 'string', new PasswordRule($known), 'confirmed'];
    }
}
