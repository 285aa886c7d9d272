<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Core\Codebook\Rung;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** On which rung of the ladder each swing was swung. */
final class RungsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'rungs' => ['array', 'max:100'],
            'rungs.*' => ['nullable', 'string', Rule::enum(Rung::class)],
        ];
    }

    /** @return array<int, string> by recording */
    public function rungs(): array
    {
        $out = [];
        foreach ((array) $this->validated('rungs', []) as $recording => $rung) {
            if (is_string($rung) && $rung !== '') {
                $out[(int) $recording] = $rung;
            }
        }

        return $out;
    }
}
