<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Models\Enums\GroupKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** A group of people. */
final class GroupRequest extends FormRequest
{
    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', Rule::enum(GroupKind::class)],
            'name' => ['required', 'string', 'max:60'],
        ];
    }

    public function kind(): GroupKind
    {
        return GroupKind::from($this->string('kind')->value());
    }
}
