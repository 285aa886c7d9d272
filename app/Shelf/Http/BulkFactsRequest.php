<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Casts\Cell;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/** Facts of several swings at once; only what was filled in changes. */
final class BulkFactsRequest extends FormRequest
{
    use TakesFacts;

    protected function prepareForValidation(): void
    {
        $this->replace(array_filter($this->all(), static fn (mixed $sent): bool => $sent !== null && $sent !== ''));
    }

    /** @return array<string, list<string|Enum|In>> */
    public function rules(): array
    {
        return [
            ...$this->factRules(),
            'swings' => ['required', 'array', 'min:1', 'max:200'],
            'swings.*' => ['required', 'string', 'size:26'],
        ];
    }

    /** @return list<string> public identifiers */
    public function swings(): array
    {
        return array_values(array_map(Cell::text(...), (array) $this->validated('swings')));
    }
}
