<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use Illuminate\Foundation\Http\FormRequest;

/** From which key, and on which day of the week. */
final class ChecksRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'key' => ['bail', 'required', 'integer', 'exists:key_versions,id'],
            'weekday' => ['required', 'integer', 'between:1,7'],
        ];
    }
}
