<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\PasswordRule;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** Another password, by who knows the old one. */
final class PasswordRequest extends FormRequest
{
    /** @return array<string, list<string|PasswordRule>> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'current' => ['bail', 'required', 'string', 'current_password'],
            'password' => NewPassword::rules($user instanceof User ? $user : null),
        ];
    }
}
