<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** An edited codebook, with what has changed in it. */
final class CodebookRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'file', 'max:1024'],
            'note' => ['required', 'string', 'min:5', 'max:500'],
        ];
    }

    public function document(): string
    {
        $file = $this->file('document');

        return $file instanceof UploadedFile ? (string) $file->get() : '';
    }
}
