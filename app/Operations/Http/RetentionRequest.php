<?php

declare(strict_types=1);

namespace App\Operations\Http;

use Illuminate\Foundation\Http\FormRequest;

/** How long things are held, in days; empty: as long as is agreed to. */
final class RetentionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'consent_days' => ['nullable', 'integer', 'between:1,3650'],
            'film_days' => ['nullable', 'integer', 'between:1,3650'],
        ];
    }

    public function days(string $field): ?int
    {
        return $this->filled($field) ? $this->integer($field) : null;
    }
}
