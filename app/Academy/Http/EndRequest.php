<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A person who is kept out or has left, and what becomes of the cases they still had to read. */
final class EndRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', 'in:disabled,left'],
            'open_cases' => ['required', 'string', 'in:wait,out'],
        ];
    }

    public function waits(): bool
    {
        return $this->string('open_cases')->value() === 'wait';
    }
}
