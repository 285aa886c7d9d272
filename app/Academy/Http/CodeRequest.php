<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A code of the second factor, or one of the recovery codes. */
final class CodeRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:20']];
    }

    public function code(): string
    {
        return $this->string('code')->trim()->value();
    }
}
