<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use App\Queries\Codebooks;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RoundRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('manage', Round::class) ?? false;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'kind' => ['required', Rule::in([Round::PANEL, Round::STAFF])],
            'lens' => ['sometimes', 'string', Rule::in(array_keys(app(Codebooks::class)->document()->lenses()))],
            'show' => ['required', Rule::in(['both', 'film', 'trace'])],
            'recordings' => ['required', 'array', 'min:1', 'max:200'],
            'recordings.*' => ['distinct', Rule::exists(Recording::class, 'id')],
            'members' => ['required', 'array', 'min:1'],
            'members.*' => ['distinct', Rule::exists(User::class, 'id')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'recordings.required' => 'Choose at least one recording.',
            'members.required' => 'Choose at least one member.',
        ];
    }
}
