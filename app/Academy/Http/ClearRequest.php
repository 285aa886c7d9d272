<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;

/** The sample's name, typed by who means it. */
final class ClearRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['typed' => ['required', 'string', 'max:120']];
    }
}
