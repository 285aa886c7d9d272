<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Core\Motion\Station;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A station put at a time, or without one: taken back. */
final class StationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'code' => ['required', Rule::enum(Station::class)],
            't_s' => ['nullable', 'numeric', 'between:-60,3600'],
        ];
    }

    public function station(): Station
    {
        return Station::from($this->string('code')->value());
    }

    /** @return float|null s; null where the mark is taken back */
    public function time(): ?float
    {
        return $this->validated('t_s') === null ? null : $this->float('t_s');
    }
}
