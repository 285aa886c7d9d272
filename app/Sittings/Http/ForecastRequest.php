<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Models\Casts\Cell;
use Illuminate\Foundation\Http\FormRequest;

/** What is ticked so far of a round that is being planned. */
final class ForecastRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'recordings' => ['sometimes', 'array', 'max:200'],
            'recordings.*' => ['integer', 'between:1,9007199254740991'],
            'several' => ['sometimes', 'integer', 'between:0,200'],
            'again' => ['sometimes', 'integer', 'between:0,200'],
            'readers' => ['sometimes', 'integer', 'between:0,200'],
        ];
    }

    /** @return list<int> */
    public function recordings(): array
    {
        return array_values(array_unique(array_map(Cell::int(...), (array) $this->validated('recordings', []))));
    }
}
