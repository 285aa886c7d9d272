<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Core\Prescription\Level;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is known of a golfer. */
final class GolferRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pseudonym' => ['required', 'string', 'max:60'],
            'handedness' => ['required', 'string', 'in:right,left'],
            'height_cm' => ['nullable', 'integer', 'between:80,240'],
            'mass_kg' => ['nullable', 'numeric', 'between:15,250'],
            'born_year' => ['nullable', 'integer', 'between:1900,'.now()->year],
            'is_minor' => ['boolean'],
            'limits' => ['nullable', 'string', 'max:200'],
            'notes' => ['nullable', 'string', 'max:2000'],
            'level' => ['nullable', 'string', Rule::enum(Level::class)],
            'seen' => ['nullable', 'string', 'max:20'],
        ];
    }

    /**
     * @return array{pseudonym: string, handedness: string, height_cm: ?int, mass_kg: ?float, born_year: ?int,
     *     is_minor: bool, limits: ?string, notes: ?string, level: ?string}
     */
    public function facts(): array
    {
        $text = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->trim()->value() : null;

        return [
            'pseudonym' => $this->string('pseudonym')->trim()->value(),
            'handedness' => $this->string('handedness')->value(),
            'height_cm' => $this->filled('height_cm') ? $this->integer('height_cm') : null,
            'mass_kg' => $this->filled('mass_kg') ? $this->float('mass_kg') : null,
            'born_year' => $this->filled('born_year') ? $this->integer('born_year') : null,
            'is_minor' => $this->boolean('is_minor'),
            'limits' => $text('limits'),
            'notes' => $text('notes'),
            'level' => $text('level'),
        ];
    }
}
