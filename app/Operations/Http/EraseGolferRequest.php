<?php

declare(strict_types=1);

namespace App\Operations\Http;

use Illuminate\Foundation\Http\FormRequest;

/** The golfer's name, typed by who means it. */
final class EraseGolferRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['typed' => ['required', 'string', 'max:60']];
    }
}
