<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\PasswordRule;
use Illuminate\Foundation\Http\FormRequest;

/** An academy and its first head coach. */
final class BeginRequest extends FormRequest
{
    /** @return array<string, list<string|PasswordRule>> */
    public function rules(): array
    {
        return [
            'academy' => ['required', 'string', 'max:120'],
            'zone' => ['required', 'string', 'timezone:all'],
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email:rfc', 'max:255'],
            'password' => NewPassword::rules(
                null,
                $this->input('academy'),
                $this->input('name'),
                $this->input('email'),
            ),
        ];
    }
}
