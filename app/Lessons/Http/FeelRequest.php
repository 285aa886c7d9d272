<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What a golfer felt, said before any number is shown. */
final class FeelRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['feel' => ['required', 'string', 'max:2000']];
    }
}
