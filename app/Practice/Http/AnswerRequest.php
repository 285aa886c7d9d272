<?php

declare(strict_types=1);

namespace App\Practice\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What is said to a question of practice; whether that is an answer to it, its kind tells. */
final class AnswerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['said' => ['required', 'string', 'max:60']];
    }

    public function said(): string
    {
        return $this->string('said')->toString();
    }
}
