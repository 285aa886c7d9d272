<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Core\Reading\BallFlight;
use Core\Reading\Turf;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/** What one ball did. */
final class BallRequest extends FormRequest
{
    /** @return array<string, list<string|In|Enum>> */
    public function rules(): array
    {
        return [
            'place' => ['required', 'integer', 'between:1,500'],
            'club' => ['nullable', 'string', 'max:40'],
            'note' => ['nullable', 'string', 'max:200'],
            'start_deg' => ['required', 'numeric', 'between:-45,45'],
            'curve_deg' => ['required', 'numeric', 'between:-60,60'],
            'height' => ['required', 'string', Rule::in(BallFlight::HEIGHTS)],
            'strike' => ['required', 'string', Rule::in(BallFlight::STRIKES)],
            'low_point_cm' => ['nullable', 'numeric', 'between:-40,40'],
            'path_deg' => ['nullable', 'numeric', 'between:-30,30'],
            'attack_deg' => ['nullable', 'numeric', 'between:-30,30'],
            'turf' => ['nullable', 'string', Rule::enum(Turf::class)],
        ];
    }

    public function ball(): BallFlight
    {
        $number = fn (string $field): ?float => $this->filled($field) ? $this->float($field) : null;

        return new BallFlight(
            $this->float('start_deg'),
            $this->float('curve_deg'),
            $this->string('height')->value(),
            $this->string('strike')->value(),
            $number('low_point_cm'),
            $number('path_deg'),
            $number('attack_deg'),
            Turf::tryFrom($this->string('turf')->value()),
        );
    }

    public function club(): ?string
    {
        return $this->filled('club') ? $this->string('club')->trim()->value() : null;
    }

    public function note(): ?string
    {
        return $this->filled('note') ? $this->string('note')->trim()->value() : null;
    }
}
