<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use Core\Motion\Station;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A change of a film's clock: by hand, by an event seen in film and trace, or events taken back. */
final class FilmClockRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'by' => ['required', Rule::in(['hand', 'event', 'forget'])],
            'shift' => ['required_if:by,hand', 'numeric', 'between:-30,30'],
            'film_s' => ['required_if:by,event', 'numeric', 'between:0,130'],
            'trace_s' => ['required_if:by,event', 'numeric', 'between:-10,700'],
            'code' => ['nullable', Rule::enum(Station::class)],
        ];
    }

    /** @return array{by: string, shift: float, film: float, trace: float, code: ?string} */
    public function change(): array
    {
        return [
            'by' => $this->string('by')->value(),
            'shift' => $this->float('shift'),
            'film' => $this->float('film_s'),
            'trace' => $this->float('trace_s'),
            'code' => $this->filled('code') ? $this->string('code')->value() : null,
        ];
    }
}
