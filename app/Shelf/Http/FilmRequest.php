<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A film announced before its first byte is sent. */
final class FilmRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'view' => ['required', Rule::in(['face-on', 'down-the-line'])],
            'name' => ['required', 'string', 'max:160'],
            'bytes' => ['required', 'integer', 'min:1'],
            'slowed' => ['nullable', Rule::in([1, 2, 4, 8, 10])],
        ];
    }
}
