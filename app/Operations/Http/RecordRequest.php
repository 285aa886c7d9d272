<?php

declare(strict_types=1);

namespace App\Operations\Http;

use Illuminate\Foundation\Http\FormRequest;

final class RecordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'action' => ['nullable', 'string', 'max:30'],
            'who' => ['nullable', 'integer', 'between:1,2147483647'],
            'from' => ['bail', 'nullable', 'string', 'date_format:Y-m-d'],
            'to' => ['bail', 'nullable', 'string', 'date_format:Y-m-d'],
            'page' => ['nullable', 'integer', 'between:1,1000000'],
        ];
    }

    /** @return array<string, string> what was asked for and is not empty */
    public function filter(): array
    {
        $out = [];
        foreach (['action', 'who', 'from', 'to'] as $name) {
            $value = $this->string($name)->trim()->value();
            if ($value !== '') {
                $out[$name] = $value;
            }
        }

        return $out;
    }
}
