<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Models\Golfer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;

/** Files sent together, and whose they are where their names do not say. */
final class BatchRequest extends FormRequest
{
    /** As many as the server takes in one request. */
    public const MOST = 60;

    /** @return array<string, list<string|Exists>> */
    public function rules(): array
    {
        return [
            'golfer' => ['bail', 'required', 'integer', Rule::exists(Golfer::class, 'id')],
            'files' => ['required', 'array', 'min:1', 'max:'.self::MOST],
            'files.*' => ['file', 'max:40960'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'files.required' => (string) __('import.choose-file'),
            'files.*.max' => (string) __('import.too-large'),
            'files.*.uploaded' => (string) __('import.not-whole'),
        ];
    }

    /** @return non-empty-list<UploadedFile> */
    public function sent(): array
    {
        $files = array_values(array_filter(
            (array) $this->file('files'),
            static fn (mixed $file): bool => $file instanceof UploadedFile,
        ));

        /** @var list<UploadedFile> $files */
        return $files === [] ? abort(422) : $files;
    }
}
