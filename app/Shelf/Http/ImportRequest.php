<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Golfer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ImportRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'golfer' => ['bail', 'required', 'integer', Rule::exists(Golfer::class, 'id')],
            'trace' => ['required', 'file', 'max:40960'],
            'meta' => ['nullable', 'file', 'max:256'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'trace.required' => (string) __('import.choose-file'),
            'trace.max' => (string) __('import.too-large'),
            'trace.uploaded' => (string) __('import.not-whole'),
        ];
    }
}
