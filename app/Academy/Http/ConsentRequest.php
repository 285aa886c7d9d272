<?php

declare(strict_types=1);

namespace App\Academy\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rules\Enum;

/** What a golfer or a guardian has agreed to. */
final class ConsentRequest extends FormRequest
{
    use TakesScopes;

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            ...$this->scopeRules(),
            'given_on' => [
                'bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before_or_equal:tomorrow',
            ],
            'expires_on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:given_on', 'before:2100-01-01'],
            'guardian' => ['nullable', 'string', 'max:120'],
            'paper' => ['nullable', 'file', 'max:8192', 'mimes:pdf,jpg,jpeg,png'],
        ];
    }

    public function day(string $field): Carbon
    {
        return Carbon::parse($this->string($field)->value());
    }

    public function guardian(): ?string
    {
        return $this->filled('guardian') ? $this->string('guardian')->trim()->value() : null;
    }

    public function paper(): ?UploadedFile
    {
        $file = $this->file('paper');

        return $file instanceof UploadedFile ? $file : null;
    }
}
