<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What the academy is called, when its days begin, and what its letters begin with. */
final class AcademyRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'zone' => ['required', 'string', 'timezone:all'],
            'letterhead' => ['nullable', 'string', 'max:600'],
        ];
    }

    public function letterhead(): ?string
    {
        $text = $this->string('letterhead')->trim()->value();

        return $text === '' ? null : $text;
    }
}
