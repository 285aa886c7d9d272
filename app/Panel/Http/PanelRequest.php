<?php

declare(strict_types=1);

namespace App\Panel\Http;

use Illuminate\Foundation\Http\FormRequest;

/** Which part of a long key is asked for. */
final class PanelRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'page' => ['nullable', 'integer', 'between:1,100000'],
            'decide' => ['nullable', 'integer', 'between:1,100000'],
            'from' => ['nullable', 'integer', 'between:1,100000'],
            'to' => ['nullable', 'integer', 'between:1,100000'],
            'lens' => ['nullable', 'string', 'max:40'],
            'entry' => ['nullable', 'integer', 'between:1,9007199254740991'],
        ];
    }

    /** The lens under which the key is looked at; null for the study's own. */
    public function lens(): ?string
    {
        return $this->filled('lens') ? $this->string('lens')->value() : null;
    }

    /** An entry that its page is to hold. */
    public function entry(): ?int
    {
        return $this->filled('entry') ? $this->integer('entry') : null;
    }
}
