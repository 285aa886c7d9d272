<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Models\Casts\Cell;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rules\Enum;

/** What several golfers have agreed to. */
final class SeveralConsentsRequest extends FormRequest
{
    use TakesScopes;

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            ...$this->scopeRules(),
            'golfers' => ['required', 'array', 'min:1', 'max:200'],
            'golfers.*' => ['integer', 'distinct'],
            'given_on' => [
                'bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before_or_equal:tomorrow',
            ],
            'expires_on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:given_on', 'before:2100-01-01'],
        ];
    }

    /** @return list<int> */
    public function golfers(): array
    {
        return array_values(array_map(Cell::int(...), (array) $this->validated('golfers')));
    }

    public function day(string $field): Carbon
    {
        return Carbon::parse($this->string($field)->value());
    }
}
