<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;

/** Somebody to be invited. */
final class InviteRequest extends FormRequest
{
    use TakesPerson;

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [...$this->personRules(), 'email' => ['required', 'string', 'email:rfc', 'max:255']];
    }
}
