<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What a recording is to be put beside: chosen from a list, or looked for. */
final class BesideRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['other' => ['nullable', 'string', 'max:40'], 'find' => ['nullable', 'string', 'max:80']];
    }

    public function other(): string
    {
        return $this->string('other')->value();
    }

    public function find(): string
    {
        return $this->string('find')->squish()->value();
    }
}
