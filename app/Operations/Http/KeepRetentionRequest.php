<?php

declare(strict_types=1);

namespace App\Operations\Http;

use App\Models\Casts\Cell;
use Illuminate\Foundation\Http\FormRequest;

/** What the dry run listed, and shall go. */
final class KeepRetentionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'swings' => ['array', 'max:5000'],
            'swings.*' => ['integer'],
            'films' => ['array', 'max:5000'],
            'films.*' => ['integer'],
        ];
    }

    /** @return list<int> */
    public function ids(string $of): array
    {
        return array_values(array_map(Cell::int(...), (array) $this->validated($of, [])));
    }
}
