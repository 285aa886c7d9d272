<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which hand-in is to be opened again. */
final class ReopenRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['reading' => ['required', 'string', 'size:26']];
    }
}
