<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Models\Casts\Cell;
use Core\Sight\Role;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** What a person is at the academy, as a form says it. */
trait TakesPerson
{
    /** @return array<string, list<string|Enum>> */
    private function personRules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'role' => ['required', 'string', Rule::enum(Role::class)],
            'on_panel' => ['boolean'],
            'groups' => ['array', 'max:40'],
            'groups.*' => ['bail', 'integer', 'distinct', 'exists:groups,id'],
        ];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->value());
    }

    /** @return list<int> */
    public function groups(): array
    {
        return array_values(array_map(Cell::int(...), (array) $this->validated('groups', [])));
    }
}
