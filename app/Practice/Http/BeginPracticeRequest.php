<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Codebook\Codebooks;
use Core\Training\Mode;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How many questions, and whether about one fault only. */
final class BeginPracticeRequest extends FormRequest
{
    private const USUAL = 8;

    /** @return array<string, list<mixed>> */
    public function rules(Codebooks $codebooks): array
    {
        return [
            'mode' => ['nullable', Rule::enum(Mode::class)],
            'fault' => ['nullable', 'string', Rule::in($codebooks->current()->keys())],
            'questions' => ['nullable', 'integer', 'between:5,10'],
        ];
    }

    public function mode(): Mode
    {
        return $this->enum('mode', Mode::class) ?? Mode::Fault;
    }

    public function fault(): ?string
    {
        $fault = $this->validated('fault');

        return is_string($fault) ? $fault : null;
    }

    public function questions(): int
    {
        return $this->integer('questions') ?: self::USUAL;
    }
}
