<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which later session. */
final class BeginRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['session' => ['required', 'string', 'max:26']];
    }
}
