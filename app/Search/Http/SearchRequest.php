<?php

declare(strict_types=1);

namespace App\Search\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What somebody looks for. */
final class SearchRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['q' => ['nullable', 'string', 'max:80']];
    }

    public function asked(): string
    {
        return $this->string('q')->squish()->value();
    }
}
