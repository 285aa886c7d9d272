<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What the version is called, and what is another in it. */
final class PublishDraftRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer'],
            'version' => ['required', 'string', 'max:20'],
            'note' => ['required', 'string', 'min:5', 'max:500'],
        ];
    }
}
