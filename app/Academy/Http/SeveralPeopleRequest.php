<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Models\Casts\Cell;
use App\Models\Group;
use Illuminate\Foundation\Http\FormRequest;

/** People who are put into a group together, or taken out of it. */
final class SeveralPeopleRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'people' => ['required', 'array', 'min:1', 'max:200'],
            'people.*' => ['bail', 'integer', 'distinct', 'exists:users,id'],
            'into' => ['bail', 'required', 'integer', 'exists:groups,id'],
            'do' => ['required', 'string', 'in:in,out'],
        ];
    }

    public function group(): Group
    {
        return Group::query()->whereKey($this->integer('into'))->firstOrFail();
    }

    /** @return list<int> */
    public function people(): array
    {
        return array_values(array_map(Cell::int(...), (array) $this->validated('people')));
    }

    public function isIn(): bool
    {
        return $this->string('do')->value() === 'in';
    }
}
