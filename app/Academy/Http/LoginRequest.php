<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Http\FormRequest;

/** An address and a password. */
final class LoginRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:255'],
            'password' => ['required', 'string', 'max:255'],
        ];
    }

    /** @return array{email: Closure, password: string} */
    public function credentials(): array
    {
        $email = mb_strtolower($this->string('email')->trim()->value());

        return [
            'email' => static fn (Builder $q) => $q->whereRaw('lower(email) = ?', [$email]),
            'password' => $this->string('password')->value(),
        ];
    }
}
