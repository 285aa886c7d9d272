<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which drill. */
final class ChooseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['drill' => ['required', 'string', 'max:40']];
    }
}
