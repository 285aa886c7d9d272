<?php

declare(strict_types=1);

namespace App\Panel\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A head coach's ruling on an entry of a key, with its reason. */
final class RulingRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'ruling' => ['required', 'in:present,absent,none'],
            'reason' => ['required', 'string', 'min:10', 'max:2000'],
        ];
    }

    /** @return 'present'|'absent'|'none' */
    public function ruling(): string
    {
        return match ($this->string('ruling')->value()) {
            'present' => 'present',
            'absent' => 'absent',
            default => 'none',
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.min' => (string) __('panel.reason-too-short')];
    }
}
