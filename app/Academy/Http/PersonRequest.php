<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;

/** What a person is from now on. */
final class PersonRequest extends FormRequest
{
    use TakesPerson;

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [...$this->personRules(), 'golfer' => ['bail', 'nullable', 'integer', 'exists:golfers,id'],
            'seen' => ['nullable', 'string', 'max:20']];
    }

    public function golfer(): ?int
    {
        return $this->filled('golfer') ? $this->integer('golfer') : null;
    }
}
