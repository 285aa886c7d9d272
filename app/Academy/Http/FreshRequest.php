<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A password given once more, and a code of the second factor where there is one. */
final class FreshRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:255'], 'code' => ['nullable', 'string', 'max:20']];
    }

    public function code(): string
    {
        return $this->string('code')->trim()->value();
    }
}
